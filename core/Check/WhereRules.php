<?php

declare(strict_types=1);

namespace JollyFurrow\Check;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Time\Day;

/**
 * Where a newly drawn planting may not stand: a family in quarantine, a resting bed, "not here", a reserve bed, corn of
 * another kind in flower.
 */
final readonly class WhereRules
{
    /** @var array<string, Sheet> */
    private array $beds;
    private Sheet $rules;
    /** @var list<Sheet> raw manure that was spread */
    private array $raw;
    /** What is eaten hangs above the soil: 90 days, else 120 (7 CFR 205.203(c)(1)). */
    private const HANGS = ['tomato', 'pepper', 'eggplant', 'cucumber', 'bean-runner', 'bean-broad', 'pea', 'corn', 'okra', 'bitter-gourd',
        'bottle-gourd', 'brussels-sprouts'];

    public function __construct(Sheet $garden, private CropBook $book)
    {
        $beds = [];
        foreach ($garden->parts('beds') as $bed) {
            $beds[$bed->text('name')] = $bed;
        }
        $this->beds = $beds;
        $this->rules = $garden->part('settings')->part('plan_rules');
        $this->raw = array_values(array_filter($garden->has('spreads') ? $garden->parts('spreads') : [],
            static fn (Sheet $s): bool => 'raw' === $s->text('manure')));
    }

    /**
     * @param list<Sheet> $new
     * @param list<Sheet> $there all that stands and is planned, the new ones among them
     *
     * @return list<Fault>
     */
    public function faults(array $new, array $there): array
    {
        $faults = [];
        foreach ($new as $planting) {
            $crop = $this->crop($planting);
            if (null === $crop) {
                continue;
            }
            foreach ($planting->parts('pieces') as $piece) {
                $bed = $this->beds[$piece->text('bed')] ?? null;
                $faults = null === $bed ? $faults : [...$faults, ...$this->bed($planting, $crop, $bed)];
            }
            $faults = $crop->habits->isolation > 0 ? [...$faults, ...$this->flower($planting, $crop, $there)] : $faults;
        }

        return $faults;
    }

    /** @return list<Fault> */
    private function bed(Sheet $planting, Crop $crop, Sheet $bed): array
    {
        $name = $bed->text('name');
        $start = $planting->day('bed_start') ?? 0;
        $last = $planting->day('clear') ?? 0;
        $found = [];
        foreach ($bed->parts('quarantine') as $kept) {
            if ($kept->text('family') === $crop->family && ($kept->day('until') ?? 0) >= $start) {
                $found[] = [FaultKind::Quarantined, \sprintf('The %s family is kept off bed %s.', $crop->family, $name)];
            }
        }
        foreach ($this->raw as $manure) {
            $from = $manure->day('worked_in') ?? $manure->day('day') ?? 0;
            $wait = \in_array($crop->item(), self::HANGS, true) ? 90 : 120;
            if ($manure->text('bed') === $name && ($manure->day('day') ?? 0) <= $last && ($planting->day('ready') ?? 0) < $from + $wait) {
                $found[] = [FaultKind::ManureWaits, \sprintf('%s on bed %s is ready before raw manure is %d days old.', $crop->name,
                    $name, $wait)];
            }
        }
        if (null !== $bed->day('retired') && $bed->day('retired') <= $last) {
            $found[] = [FaultKind::Retired, \sprintf('Bed %s is retired since %s.', $name, $bed->text('retired'))];
        }
        foreach ($this->rules->parts('resting') as $rest) {
            if ($rest->text('bed') === $name && ($rest->day('from') ?? 0) <= $last && $start <= ($rest->day('to') ?? 0)) {
                $found[] = [FaultKind::Resting, \sprintf('Bed %s rests from %s to %s.', $name, $rest->text('from'), $rest->text('to'))];
            }
        }
        foreach ($this->rules->parts('not_here') as $off) {
            if (\in_array($off->text('where'), [$name, $bed->text('block')], true) && \in_array($off->text('what'),
                [$crop->item(), $crop->key, $crop->family], true)) {
                $found[] = [FaultKind::NotHere, \sprintf('%s is kept off %s.', $off->text('what'), $off->text('where'))];
            }
        }
        if (\in_array($name, $this->rules->texts('reserve_beds'), true)) {
            $found[] = [FaultKind::OnReserve, \sprintf('Bed %s is kept in reserve.', $name)];
        }

        return array_map(static fn (array $one): Fault => new Fault($one[0], $planting->text('key'), $one[1]), $found);
    }

    /**
     * @param list<Sheet> $there
     *
     * @return list<Fault>
     */
    private function flower(Sheet $planting, Crop $crop, array $there): array
    {
        foreach ($there as $other) {
            $kind = $this->crop($other);
            if (null !== $kind && $kind->item() === $crop->item() && $kind->habits->pollen !== $crop->habits->pollen
                && abs(($other->day('ready') ?? 0) - ($planting->day('ready') ?? 0)) < $crop->habits->isolationDays
                && $this->metresApart($planting, $other) < $crop->habits->isolation) {
                return [new Fault(FaultKind::TooNearInFlower, $planting->text('key'),
                    \sprintf('%s is in flower within %d days of it, ready on %s.', $kind->variety, $crop->habits->isolationDays,
                        Day::of($other->day('ready') ?? 0)->iso()))];
            }
        }

        return [];
    }

    /** Between the nearest two of their beds, middle to middle; beds of two blocks count as beside each other. */
    private function metresApart(Sheet $planting, Sheet $other): float
    {
        $middles = $ends = [];
        foreach ($this->beds as $name => $bed) {
            $block = $bed->text('block');
            $middles[$name] = [$block, ($ends[$block] ?? 0.0) + $bed->number('width_mm') / 2000];
            $ends[$block] = ($ends[$block] ?? 0.0) + ($bed->number('width_mm') + $bed->number('path_mm')) / 1000;
        }
        $nearest = \INF;
        foreach ($planting->parts('pieces') as $one) {
            foreach ($other->parts('pieces') as $two) {
                [$mine, $theirs] = [$middles[$one->text('bed')] ?? null, $middles[$two->text('bed')] ?? null];
                $nearest = null === $mine || null === $theirs || $mine[0] !== $theirs[0] ? 0.0 : min($nearest, abs($mine[1] - $theirs[1]));
            }
        }

        return $nearest;
    }

    private function crop(Sheet $planting): ?Crop
    {
        $key = $planting->has('variety') ? $planting->text('variety') : $planting->text('item');

        return $this->book->has($key) ? $this->book->get($key) : null;
    }
}
