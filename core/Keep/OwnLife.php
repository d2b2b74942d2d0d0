<?php

declare(strict_types=1);

namespace JollyFurrow\Keep;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Odds\Survival;
use JollyFurrow\Storage\Handling;
use JollyFurrow\Storage\HandlingKind;
use JollyFurrow\Storage\HarvestLot;
use JollyFurrow\Storage\StoreNeeds;

/**
 * How long a crop kept here, in days at its best place: a lot ended when half of it had been thrown out; one that was sold, or still
 * lies there, is known to keep at least so long. What the garden's own lots say outranks the handbook, when the grower says so.
 */
final readonly class OwnLife
{
    /** So few lots that spoiled say nothing. */
    private const LEAST = 3;
    private const HALF = 0.5;
    /** A quarter of the lots keeps shorter, a quarter longer. */
    private const QUARTER = 0.25;
    /** What differs by less is the book's. */
    private const DIFFERS = 0.15;

    /**
     * @param int $least days that three of four lots kept
     * @param int $most  days that one of four kept
     * @param int $ended lots that spoiled
     * @param int $seen  all lots
     */
    private function __construct(public Crop $crop, public StoreNeeds $book, public int $least, public int $likely, public int $most,
        public int $ended, public int $seen)
    {
    }

    /** @return list<self> of what keeps otherwise here than by the book, by crop */
    public static function all(Garden $garden, CropBook $crops): array
    {
        $handlings = [];
        foreach ($garden->store->handlings as $handling) {
            $handlings[$handling->lot][] = $handling;
        }
        $days = new DaysUsed($garden, $crops);
        $ended = $atLeast = [];
        foreach ($garden->store->harvests as $lot) {
            if ('' === $lot->place || !$lot->grade->isKept() || 0 === $lot->hundredths || !$crops->has($lot->variety)) {
                continue;
            }
            [$last, $isSpoilt] = self::end($garden, $lot, $handlings[$lot->key] ?? []);
            $used = $days->of($lot, $handlings[$lot->key] ?? [], $last);
            $isSpoilt ? $ended[$lot->variety][] = $used : $atLeast[$lot->variety][] = $used;
        }
        $all = [];
        foreach ($ended as $variety => $lives) {
            $own = \count($lives) < self::LEAST ? null : self::of($crops->get((string) $variety), $garden, Survival::of($lives,
                $atLeast[$variety] ?? []));
            null === $own || !$own->differs() ?: $all[] = $own;
        }

        return $all;
    }

    /** As the book writes a range of days. */
    public function written(): string
    {
        return $this->least.'..'.$this->most;
    }

    private static function of(Crop $crop, Garden $garden, Survival $survival): ?self
    {
        $likely = $survival->by(self::HALF);
        if (null === $likely) {
            return null;
        }
        $days = static fn (float $x): int => max(1, (int) round($x));

        return new self($crop, $garden->store->keeping->of($crop), $days($survival->by(self::QUARTER) ?? $likely), $days($likely),
            $days($survival->by(1 - self::QUARTER) ?? $survival->most), $survival->ended, $survival->seen);
    }

    private function differs(): bool
    {
        return abs($this->likely - $this->book->likely) > self::DIFFERS * $this->book->likely;
    }

    /**
     * @param list<Handling> $handlings oldest first
     *
     * @return array{\JollyFurrow\Time\Day, bool} the day half of it was gone bad, or to which it is known to have kept
     */
    private static function end(Garden $garden, HarvestLot $lot, array $handlings): array
    {
        $culled = $gone = 0;
        $last = $lot->day;
        foreach ($handlings as $handling) {
            $culled += HandlingKind::Culled === $handling->kind ? $handling->hundredths : 0;
            $gone += $handling->kind->isGone() ? $handling->hundredths : 0;
            $last = $handling->kind->isGone() ? $handling->day : $last;
            if ($culled >= self::HALF * $lot->hundredths) {
                return [$handling->day, true];
            }
        }

        return [$gone >= $lot->hundredths ? $last : $garden->today, false];
    }
}
