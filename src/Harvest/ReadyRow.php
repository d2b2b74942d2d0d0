<?php

declare(strict_types=1);

namespace App\Harvest;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Forecast\ReadyDays;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Readiness\ReadinessCard;
use JollyFurrow\Time\Day;

/** A planting on its way to the harvest, and the ridge it is drawn as: the slope from early to late, level while it holds. */
final readonly class ReadyRow
{
    public const WIDTH = 560;
    public const HIGH = 16;
    /** Days shown before today and from it on. */
    public const BACK = 7;
    public const AHEAD = 35;

    /** @param non-empty-list<ReadinessCard> $cards */
    private function __construct(public Planting $planting, public Crop $crop, public ReadyDays $days, public array $cards,
        public string $ridge,
        public string $soft, public bool $isOpen)
    {
    }

    /** @param non-empty-list<ReadinessCard> $cards */
    public static function of(Garden $garden, Planting $planting, Crop $crop, array $cards): self
    {
        $days = ReadyDays::of($garden, $planting, $crop);
        $x = static fn (int $day): float => self::x($garden->today, $day);
        $end = max($days->late, $planting->clear->number);
        $points = static fn (float ...$p): string => implode(' ', array_map(static fn (array $xy): string => \sprintf('%.1f,%.1f', ...$xy),
            array_chunk($p, 2)));

        return new self($planting, $crop, $days, $cards, $points($x($days->early), self::HIGH, $x($days->likely), 3, $x($end), 3, $x($end),
            self::HIGH), $points($x($days->early), self::HIGH, $x($days->likely), 3, $x($days->late), 3, $x($days->late), self::HIGH),
            $days->isOpen($garden->today->number));
    }

    public static function x(Day $today, int $day): float
    {
        return self::WIDTH * max(0, min(self::BACK + self::AHEAD, $day - $today->number + self::BACK)) / (self::BACK + self::AHEAD);
    }

    public function isReady(Day $today): bool
    {
        return $this->days->late <= $today->number;
    }

    public function early(): Day
    {
        return Day::of($this->days->early);
    }

    public function late(): Day
    {
        return Day::of($this->days->late);
    }
}
