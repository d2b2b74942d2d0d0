<?php

declare(strict_types=1);

namespace App\Job;

use JollyFurrow\Crop\Method;
use JollyFurrow\Job\Job;
use JollyFurrow\Job\PlacedTask;
use JollyFurrow\Job\PlantOutCheck;
use JollyFurrow\Land\WaterWay;
use JollyFurrow\Lime\LimeKind;
use JollyFurrow\Lime\SoilSigns;
use JollyFurrow\Measure\Length;
use JollyFurrow\Measure\Quantity;
use JollyFurrow\Measure\Unit;
use JollyFurrow\Message\Sayable;
use JollyFurrow\Task\Carry;
use JollyFurrow\Task\FeedDoses;
use JollyFurrow\Task\Site;
use JollyFurrow\Task\Task;
use JollyFurrow\Task\TaskKind;
use JollyFurrow\Time\Day;

/** A job as one line of the list: what, where, and what to carry. */
final readonly class JobLine
{
    private const MOST_BEDS = 8;

    /** @param list<string|Sayable|\BackedEnum> $carry in words and quantities */
    private function __construct(public Job $job, public string $verb, public string $what, public string $where, public array $carry,
        public bool $isDoable, public Day $today)
    {
    }

    public static function of(Job $job, Site $site, JobWords $words): self
    {
        return new self($job, $words->verb($job->first()), $words->what($job), $words->where($job, $site), self::carried($job, $site),
            $job->isOpen() && $job->canBeDoneOn($site->garden->today), $site->garden->today);
    }

    /**
     * @param list<Job> $jobs
     *
     * @return list<self>
     */
    public static function all(array $jobs, Site $site, JobWords $words): array
    {
        return array_map(static fn (Job $job): self => self::of($job, $site, $words), $jobs);
    }

    /** @return list<string|Sayable|\BackedEnum> */
    private static function carried(Job $job, Site $site): array
    {
        return match ($job->kind) {
            TaskKind::SowTrays, TaskKind::SowBed, TaskKind::PlantStock, TaskKind::PlantOut => self::stock($job, $site),
            TaskKind::Pick, TaskKind::Lift => self::goods($job, $site),
            TaskKind::Feed => self::mixed($job, $site),
            TaskKind::Irrigate => self::watered($job, $site),
            TaskKind::Water => self::onDrip($job, $site),
            TaskKind::Lime => self::limed($job, $site),
            default => $job->length()->micrometres > 0 && !$job->kind->isInNursery() ? [Quantity::long($job->length())] : [],
        };
    }

    /** @return list<string|Sayable|\BackedEnum> products of all its mixes together */
    private static function mixed(Job $job, Site $site): array
    {
        $kilograms = [];
        foreach (FeedDoses::mixes($site, array_map(static fn (PlacedTask $p): Task => $p->task, $job->tasks)) as $mix) {
            foreach ($mix->parts as $part) {
                $kilograms[$part['product']->name] = ($kilograms[$part['product']->name] ?? 0.0) + $mix->kilograms($part['product']);
            }
        }
        $words = [];
        foreach ($kilograms as $name => $kg) {
            array_push($words, ...[] === $words ? [] : ['+'], ...[Quantity::of($kg * 1000, Unit::Gram), mb_strtolower((string) $name)]);
        }

        return $words;
    }

    /** @return list<string|Sayable|\BackedEnum> of each kind, for one go */
    private static function limed(Job $job, Site $site): array
    {
        $words = [];
        foreach (LimeKind::cases() as $kind) {
            $kg = 0.0;
            foreach ($job->beds() as $bed) {
                $need = SoilSigns::lime($site->garden, $site->crops, $site->beds[$bed]);
                $kg += $kind === $need?->kind ? $need->kg / $need->goes : 0.0;
            }
            $words = $kg <= 0.0 ? $words : [...$words, ...[] === $words ? [] : ['+'], Quantity::of(round($kg, 1) * 1000, Unit::Gram),
                $kind];
        }

        return $words;
    }

    /** @return list<string> what is sown does not come up by drip alone: those beds want a can or a sprinkler */
    private static function onDrip(Job $job, Site $site): array
    {
        $beds = array_values(array_filter($job->beds(), static fn (string $bed): bool => WaterWay::Drip
            === $site->garden->soil->valveOf($bed)?->way));

        return [] === $beds ? [] : ['by hand, not by drip alone:', implode(', ', \array_slice($beds, 0, self::MOST_BEDS))
            .(\count($beds) > self::MOST_BEDS ? ' …' : '')];
    }

    /** @return list<string|Sayable|\BackedEnum> */
    private static function watered(Job $job, Site $site): array
    {
        foreach ($site->water?->week($job->first()->due) ?? [] as $week) {
            if ($week->valve?->name === $job->name) {
                $minutes = $week->minutesEach();

                return [...null === $minutes ? [] : [$week->openings().' ×', Quantity::of(round($minutes), Unit::Minute), '·'],
                    Quantity::of($week->litres, Unit::Litre)];
            }
        }

        return [];
    }

    /** @return list<string|Sayable|\BackedEnum> */
    private static function goods(Job $job, Site $site): array
    {
        $planting = $job->first()->planting;

        return null === $planting ? [] : ['about', $site->crop($planting)->produce->goods(round($job->units()))];
    }

    /** @return list<string|Sayable|\BackedEnum> */
    private static function stock(Job $job, Site $site): array
    {
        $carries = array_values(array_filter(array_map(static fn (PlacedTask $p): ?Carry => null === $p->task->planting ? null
            : Carry::of($site, $p->task->planting), $job->tasks)));
        if ([] === $carries) {
            return [];
        }
        $sum = static fn (\Closure $of): float => array_sum(array_map($of, $carries));
        $grams = Quantity::of($sum(static fn (Carry $c): float => $c->need->grams->value), Unit::Gram);
        $plants = Quantity::of($sum(static fn (Carry $c): float => $c->need->plants->value), Unit::Plant);
        [$first, $length] = [$carries[0], Quantity::long($job->length())];
        $rows = Quantity::of($first->spacing->rows, Unit::Row);
        $isSown = Method::Sown === $job->first()->planting?->method;

        return match ($job->kind) {
            TaskKind::SowTrays => null === $first->need->trays ? [$plants, ',', self::apart($first->depth), 'deep,', $grams]
                : [Quantity::of($sum(static fn (Carry $c): float => $c->need->trays->value ?? 0.0), Unit::Tray),
                'of '.$first->cellsPerTray, ',', $grams],
            TaskKind::PlantOut => [$plants, 'on', $length, ',', $rows, 'at', self::apart($first->sowing), ...self::verdict($job, $site)],
            default => [$length, ',', $rows, ',', self::apart($first->sowing), 'apart,', self::apart($first->depth), 'deep,', $isSown
                && TaskKind::SowBed === $job->kind ? $grams : Quantity::of($sum(static fn (Carry $c): float => $c->need->seeds->value),
                    Unit::Spot)],
        };
    }

    /** @return list<string|\BackedEnum> */
    private static function verdict(Job $job, Site $site): array
    {
        $planting = $job->first()->planting;

        return null === $planting || !$job->isOpen() || $site->garden->today->isBefore($job->day) ? [] : ['·',
            PlantOutCheck::of($site, $planting, $site->garden->today)->is];
    }

    private static function apart(Length $length): Quantity
    {
        return Quantity::short($length);
    }
}
