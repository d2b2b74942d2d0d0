<?php

declare(strict_types=1);

namespace JollyFurrow\Market;

use JollyFurrow\Sale\MarketDay;
use JollyFurrow\Sale\Weathering;
use JollyFurrow\Time\Day;

/** Market days like one to come: of the same weather and time of year; where these are few, of that time of year, then all. */
final readonly class LikeDays
{
    private const FEW = 3;
    /** Days of the year either way. */
    private const SEASON = 42;
    private const YEAR = 365;

    /**
     * @param list<MarketDay> $days   the latest first
     * @param bool            $isLike the weather and the time of year are the same; else there were too few
     */
    private function __construct(public array $days, public bool $isLike)
    {
    }

    /** @param list<MarketDay> $history */
    public static function of(array $history, string $outlet, string $product, Day $day, Weathering $weather, bool $isHoliday = false): self
    {
        $sold = array_values(array_filter($history, static fn (MarketDay $d): bool => $d->outlet === $outlet && $d->day->isBefore($day)
            && null !== $d->of($product) && $d->isHoliday === $isHoliday));
        usort($sold, static fn (MarketDay $a, MarketDay $b): int => $b->day->number <=> $a->day->number);
        $season = array_values(array_filter($sold, static fn (MarketDay $d): bool => self::apart($d->day, $day) <= self::SEASON));
        $like = array_values(array_filter($season, static fn (MarketDay $d): bool => $d->weather === $weather));

        return match (true) {
            \count($like) >= self::FEW => new self($like, true),
            \count($season) >= self::FEW => new self($season, false),
            default => new self($sold, false),
        };
    }

    /** @return array{list<float>, list<float>} units sold where some came back, and where it sold out */
    public function sales(string $product): array
    {
        $sold = $out = [];
        foreach ($this->days as $day) {
            $line = $day->of($product);
            null === $line ? null : ($line->isOut() ? $out[] = (float) $line->units() : $sold[] = (float) $line->units());
        }

        return [$sold, $out];
    }

    /** @return array{int, int}|null the least and the most sold on the last of them */
    public function range(string $product, int $last = 3): ?array
    {
        $units = array_map(static fn (MarketDay $d): int => $d->of($product)?->units() ?? 0, \array_slice($this->days, 0, $last));

        return [] === $units ? null : [min($units), max($units)];
    }

    private static function apart(Day $a, Day $b): int
    {
        $days = abs($a->since($b)) % self::YEAR;

        return min($days, self::YEAR - $days);
    }
}
