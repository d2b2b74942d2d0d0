<?php

declare(strict_types=1);

namespace JollyFurrow\Market;

use JollyFurrow\Garden\Garden;
use JollyFurrow\Promise\Outlet;
use JollyFurrow\Promise\Product;
use JollyFurrow\Sale\MarketDay;
use JollyFurrow\Time\Day;

/**
 * What to promise an outlet of a product in a month to come, from what it sold in that month of years gone by: enough on two days
 * of three, days that sold out counted as at least; with few days it leans on what was promised (TakeAmount).
 */
final readonly class NextPromise
{
    /** One too few loses twice what one too many costs: enough on two days of three (own model). */
    private const PRICE = 3.0;
    private const COST = 1.0;
    private const ENDLESS = 1_000_000;
    /** A change of less than that much is none. */
    private const SAME = 0.1;
    private const FEW_DAYS = 3;
    private const YEAR = 364;
    private const MONTHS = 12;
    private const LONG_MONTH = 31;

    /**
     * @param non-empty-list<Day> $days     market days it is proposed for
     * @param float               $promised on one of them, or a year before, in the mean
     * @param list<string>        $outAt    when it was sold out, where that was noted, the earliest first
     */
    private function __construct(public Outlet $outlet, public Product $product, public array $days, public float $promised,
        public int $proposed, public int $least, public int $most, public int $seen, public int $soldOut, public array $outAt,
        public int $back)
    {
    }

    /** @return list<self> by outlet, month and product; months that saw too few market days are left out */
    public static function all(Garden $garden): array
    {
        $all = [];
        foreach ($garden->outlets as $outlet) {
            $sold = self::byMonth($garden->market->days, $outlet->key);
            foreach (self::months($garden->today, $outlet) as $days) {
                foreach ($garden->products as $product) {
                    $seen = $sold[self::month($days[0])][$product->key] ?? [];
                    if (\count($seen) >= self::FEW_DAYS) {
                        $all[] = self::of($garden, $outlet, $product, $days, $seen);
                    }
                }
            }
        }

        return $all;
    }

    /** It is promised about that much already. */
    public function isAsBefore(): bool
    {
        return abs($this->proposed - $this->promised) <= max(0.5, self::SAME * $this->promised);
    }

    public function key(): string
    {
        return $this->outlet->key.'/'.$this->product->key.'/'.$this->days[0]->iso();
    }

    /** The same, for the name of a field. */
    public function field(): string
    {
        return str_replace('/', '-', $this->key());
    }

    /**
     * @param non-empty-list<Day>       $days
     * @param non-empty-list<MarketDay> $seen
     */
    private static function of(Garden $garden, Outlet $outlet, Product $product, array $days, array $seen): self
    {
        $sold = $out = $outAt = [];
        $back = 0;
        foreach ($seen as $day) {
            $line = $day->of($product->key);
            if (null !== $line) {
                $line->isOut() ? $out[] = (float) $line->units() : $sold[] = (float) $line->units();
                null === $line->outAt ?: $outAt[] = $line->outAt;
                $back += $line->back;
            }
        }
        sort($outAt);
        $promised = self::promised($garden, $outlet->key, $product->key, $days);
        $take = TakeAmount::of(new Stake(self::PRICE, self::COST), $sold, $out, $promised, self::ENDLESS);
        $all = array_map('intval', [...$sold, ...$out]);

        return new self($outlet, $product, $days, $promised, $take->units, [] === $all ? 0 : min($all), max([0, ...$all]),
            \count($all), \count($out), $outAt, $back);
    }

    /**
     * On a day of them in the mean; where nothing is, a year before.
     *
     * @param non-empty-list<Day> $days
     */
    private static function promised(Garden $garden, string $outlet, string $product, array $days): float
    {
        foreach ([0, self::YEAR] as $ago) {
            $on = array_fill_keys(array_map(static fn (Day $d): int => $d->number - $ago, $days), true);
            $sum = 0.0;
            foreach ($garden->promises as $promise) {
                $sum += $promise->outlet === $outlet && $promise->product === $product && isset($on[$promise->day->number])
                    ? $promise->quantity : 0.0;
            }
            if ($sum > 0.0) {
                return $sum / \count($days);
            }
        }

        return 0.0;
    }

    /** @return list<non-empty-list<Day>> market days of the next twelve months, the running one left out */
    private static function months(Day $today, Outlet $outlet): array
    {
        $months = [];
        $running = $today->year() * self::MONTHS + self::month($today);
        foreach ($outlet->days->between($today, $today->plus(self::YEAR + 2 * self::LONG_MONTH)) as $day) {
            $month = $day->year() * self::MONTHS + self::month($day);
            $running < $month && $month <= $running + self::MONTHS ? $months[$month][] = $day : null;
        }

        return array_values($months);
    }

    /**
     * @param list<MarketDay> $days
     *
     * @return array<int, array<string, non-empty-list<MarketDay>>> by month of the year and product
     */
    private static function byMonth(array $days, string $outlet): array
    {
        $by = [];
        foreach ($days as $day) {
            foreach ($day->outlet === $outlet ? array_unique(array_column($day->lines, 'product')) : [] as $product) {
                $by[self::month($day->day)][$product][] = $day;
            }
        }

        return $by;
    }

    private static function month(Day $day): int
    {
        return (int) substr($day->iso(), 5, 2);
    }
}
