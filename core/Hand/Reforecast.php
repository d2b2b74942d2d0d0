<?php

declare(strict_types=1);

namespace JollyFurrow\Hand;

use JollyFurrow\Beds\Conflicts;
use JollyFurrow\Climate\Climate;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Crop\Method;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Message\Message;
use JollyFurrow\Planting\Dates;
use JollyFurrow\Planting\FieldNote;
use JollyFurrow\Planting\Happening;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Promise\Outlet;
use JollyFurrow\Time\Day;

/**
 * What stands, reckoned anew from the weather as it was. Told only where it matters: another market day is the first it
 * can serve, or the bed is free another week.
 */
final readonly class Reforecast
{
    private const LEAST_DAYS = 3;
    private const WEEK = 7;
    /** Less than this from normal is no reason, degrees C. */
    private const NOTABLE = 0.4;

    private function __construct(public Planting $was, public Planting $is, public Message $why)
    {
    }

    /** @return list<self> the soonest ready first */
    public static function of(Garden $garden, CropBook $book): array
    {
        $timing = $garden->timing();
        if (null === $timing) {
            return [];
        }
        $moved = [];
        foreach ($garden->plantings as $planting) {
            $crop = $book->grown($planting->item, $planting->variety);
            if (Standing::Growing !== $planting->standing || $crop->growth->anchored || $planting->ready->isBefore($garden->today)
                || self::wasSeen($garden, $planting)) {
                continue;
            }
            $ripening = $timing->of($crop, $garden->coversOf($planting));
            $ripe = $ripening->fromGround($planting->sow->number, $planting->ground->number, $planting->method);
            $emerged = self::emerged($garden, $planting);
            if (null !== $ripe && null !== $emerged && Method::Sown === $planting->method) {
                $ripe = $ripening->fromStage($planting->sow->number, $planting->ground->number, $emerged->number, $emerged->number,
                    $ripening->toCome($planting->method));
            }
            if (null !== $ripe && self::matters($garden, $planting->ready, Day::of($ripe->ready))) {
                $moved[] = new self($planting, self::redated($planting, Day::of($ripe->ready)), self::why($garden, $planting,
                    $ripe->ready > $planting->ready->number));
            }
        }
        usort($moved, static fn (self $a, self $b): int => [$a->is->ready->number, $a->is->key] <=> [$b->is->ready->number, $b->is->key]);

        return $moved;
    }

    /**
     * Those that can take their new dates beside everything else on their beds, in turn.
     *
     * @param list<self> $moved
     *
     * @return list<self>
     */
    public static function possible(Garden $garden, CropBook $book, array $moved): array
    {
        $conflicts = new Conflicts($book);
        $taken = [];
        foreach ($moved as $one) {
            $after = $garden->with($garden->plantings->with($one->is));
            $is = MakeWay::capped($after, $one->is);
            if (null === $is) {
                continue;
            }
            $one = new self($one->was, $is, $one->why);
            $after = $garden->with($garden->plantings->with($is));
            if ([] === $conflicts->hard($after, $one->is->key)) {
                $taken[] = $one;
                $garden = $after;
            }
        }

        return $taken;
    }

    public static function redated(Planting $planting, Day $ready): Planting
    {
        $by = $ready->since($planting->ready);
        $clear = $planting->clear->plus($by);

        return $planting->but(dates: new Dates($planting->sow, $planting->ground, $planting->bedStart, $ready, $clear->isBefore($ready)
            ? $ready : $clear));
    }

    private static function matters(Garden $garden, Day $was, Day $is): bool
    {
        return abs($is->since($was)) >= self::LEAST_DAYS && (self::firstMarketDay($garden, $was) !== self::firstMarketDay($garden, $is)
            || intdiv($was->number, self::WEEK) !== intdiv($is->number, self::WEEK));
    }

    private static function firstMarketDay(Garden $garden, Day $ready): int
    {
        for ($n = 0; $n < self::WEEK; ++$n) {
            if ([] !== array_filter($garden->outlets, static fn (Outlet $o): bool => $o->days->isOpenOn($ready->plus($n)))) {
                return $ready->number + $n;
            }
        }

        return $ready->number;
    }

    /** "cool August": the month since it went into the ground that lay furthest from normal in the right direction. */
    private static function why(Garden $garden, Planting $planting, bool $isLater): Message
    {
        $sums = [];
        foreach ($garden->climate->measured->min as $number => $min) {
            if ($number >= $planting->ground->number && $number < $garden->today->number) {
                $i = Climate::index(Day::of($number));
                $month = Day::of($number)->month() - 1;
                $sums[$month] = ($sums[$month]
                    ?? 0.0) + ($min + $garden->climate->measured->max[$number]) / 2 - ($garden->climate->climate->min[$i] + $garden->climate->climate->max[$i]) / 2;
            }
        }
        $worst = null;
        foreach ($sums as $month => $sum) {
            if (($isLater ? -$sum : $sum) > self::NOTABLE && (null === $worst || abs($sum) > abs($sums[$worst]))) {
                $worst = $month;
            }
        }

        return null === $worst ? Message::of(WhyMoved::Anew) : Message::of($isLater ? WhyMoved::CoolMonth : WhyMoved::WarmMonth,
            month: $worst + 1);
    }

    private static function emerged(Garden $garden, Planting $planting): ?Day
    {
        $notes = array_values(array_filter($garden->notes, static fn (FieldNote $n): bool => $n->planting === $planting->key
            && Happening::Emerged === $n->what));

        return $notes[0]->day ?? null;
    }

    /** A sign seen with one's own eyes beats the model. */
    private static function wasSeen(Garden $garden, Planting $planting): bool
    {
        return [] !== array_filter($garden->notes, static fn (FieldNote $n): bool => $n->planting === $planting->key
            && null !== $n->sign);
    }
}
