<?php

declare(strict_types=1);

namespace App\Nursery;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Crop\Method;
use JollyFurrow\Crop\Spacing;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Land\Bed;
use JollyFurrow\Measure\Length;
use JollyFurrow\Nursery\TrayCount;
use JollyFurrow\Nursery\Trays;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Time\Day;

/** A planting in its trays: how many, what was counted, until when it can stand there, and by when to sow again. */
final readonly class InTrays
{
    /** Sowings so many days ahead are shown. */
    private const AHEAD = 14;

    /** @param Day|null $again the last day sowing again still makes its market; null: too late */
    private function __construct(public Planting $planting, public Crop $crop, public Trays $trays, public ?TrayCount $count,
        public Day $oldest, public ?Day $again)
    {
    }

    /** @return list<self> those that go out first */
    public static function all(Garden $garden, CropBook $crops): array
    {
        $beds = $garden->bedsByName();
        $counts = self::counts($garden);
        $all = [];
        foreach ($garden->plantings as $planting) {
            $isThere = Standing::InNursery === $planting->standing || (Standing::Planned === $planting->standing
                && $planting->sow->since($garden->today) <= self::AHEAD && !$planting->ground->isBefore($garden->today));
            if (Method::Transplanted === $planting->method && $isThere) {
                $all[] = self::of($garden, $crops->grown($planting->item, $planting->variety), $planting, $beds, $counts[$planting->key]
                    ?? null);
            }
        }
        usort($all, static fn (self $a, self $b): int => [$a->planting->ground->number, $a->planting->key]
            <=> [$b->planting->ground->number, $b->planting->key]);

        return $all;
    }

    /** @param array<string, Bed> $beds */
    private static function of(Garden $garden, Crop $crop, Planting $planting, array $beds, ?float $counted): self
    {
        $stand = $crop->standFor(Method::Transplanted);
        $spacing = Spacing::inBed($stand, $beds[$planting->pieces[0]->bed ?? '']->width
            ?? Length::fromMicrometres(Spacing::STANDARD_WIDTH), $planting->length());
        $late = $planting->ready->plus(7);
        $again = $garden->timing()?->of($crop, $garden->coversOf($planting))->latestFor(min($late->number, $planting->clear->number),
            $planting->method)?->sow;

        return new self($planting, $crop, Trays::of($crop, $planting, $beds), null === $counted ? null : TrayCount::of($spacing, $counted),
            $planting->sow->plus($crop->stand->greatestAge($planting->ground->since($planting->sow))),
            null === $again || $again < $garden->today->number ? null : Day::of($again));
    }

    /** @return array<string, float> the last count, by planting */
    private static function counts(Garden $garden): array
    {
        $counts = [];
        foreach ($garden->diary->marks as $mark) {
            if ('count-trays' === $mark->task->step && null !== $mark->count) {
                $counts[$mark->task->of] = $mark->count;
            }
        }

        return $counts;
    }
}
