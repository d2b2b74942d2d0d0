<?php

declare(strict_types=1);

namespace JollyFurrow\Stock;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\Pattern;
use JollyFurrow\Crop\PickTime;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Maturity\EndedBy;
use JollyFurrow\Maturity\Odds;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Supply\Lot;
use JollyFurrow\Time\Day;

/** What is left in the ground as a store: good until frost ends it, by nine years in ten and by every second year. */
final readonly class GroundHold
{
    private const LATEST = 365;

    /**
     * @param Day        $sure   good until then in nine years of ten
     * @param Day        $evens  in every second year
     * @param LastsUntil $bySure with what is in store besides
     */
    private function __construct(public Day $sure, public Day $evens, public LastsUntil $bySure, public LastsUntil $byEvens)
    {
    }

    /**
     * @param list<array{Lot, Crop}> $expected what stands and is to come, of one item
     * @param list<StockLot>         $stored
     * @param list<StockNeed>        $needs
     *
     * @return self|null null: nothing stands that is dug as it is wanted; what is lifted dry for store is not
     */
    public static function of(Garden $garden, array $expected, array $stored, array $needs): ?self
    {
        $sure = self::lots($garden, $expected, Odds::OneYearInTen);
        $evens = self::lots($garden, $expected, Odds::EverySecondYear);
        if ([] === $sure || [] === $evens) {
            return null;
        }

        return new self(self::last($sure), self::last($evens), LastsUntil::of($needs, [...$stored, ...$sure]),
            LastsUntil::of($needs, [...$stored, ...$evens]));
    }

    /** @param non-empty-list<StockLot> $lots */
    private static function last(array $lots): Day
    {
        return Day::of(max(array_map(static fn (StockLot $l): int => $l->last, $lots)));
    }

    /**
     * @param list<array{Lot, Crop}> $expected
     *
     * @return list<StockLot>
     */
    private static function lots(Garden $garden, array $expected, Odds $odds): array
    {
        $lots = [];
        foreach ($expected as $n => [$lot, $crop]) {
            $planting = $garden->plantings->get($lot->planting);
            $isHeld = Pattern::DigAsNeeded === $crop->pattern && PickTime::Dry !== $crop->habits->pickTime;
            $ends = null === $planting || !$isHeld || $planting->ground->number > $garden->today->number ? null
                : self::ends($garden, $planting, $crop, $odds);
            if (null !== $ends && $ends >= $garden->today->number) {
                $lots[] = new StockLot($lot->planting.' '.$n, max($lot->from, $garden->today->number), max($ends, $lot->from), $lot->units);
            }
        }

        return $lots;
    }

    /** The last day before frost, at those odds, or anything else ends it. */
    private static function ends(Garden $garden, Planting $planting, Crop $crop, Odds $odds): int
    {
        $ripening = $garden->local()->of($crop, $garden->coversOf($planting));
        $ripe = $ripening->fromGround($planting->sow->number, $planting->ground->number, $planting->method);
        $frozen = $ripening->frozenBy(max($planting->ready->number, $garden->today->number), $odds->share());
        $ends = null === $ripe || EndedBy::Frost === $ripe->endedBy ? \PHP_INT_MAX : $ripe->ends;

        return min($ends, null === $frozen ? \PHP_INT_MAX : $frozen - 1, $garden->today->number + self::LATEST);
    }
}
