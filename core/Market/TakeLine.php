<?php

declare(strict_types=1);

namespace JollyFurrow\Market;

use JollyFurrow\Garden\Garden;
use JollyFurrow\Promise\Outlet;
use JollyFurrow\Promise\Product;
use JollyFurrow\Sale\Weathering;
use JollyFurrow\Time\Day;

/** How much of a product to take to an outlet on a day, and what like days sold. */
final readonly class TakeLine
{
    /**
     * @param array{int, int}|null $range least and most sold on the last three like days
     * @param int                  $there units there are, as a rule
     */
    private function __construct(public Product $product, public TakeAmount $take, public LikeDays $like, public ?array $range,
        public float $promise, public int $there, public Stake $stake)
    {
    }

    /**
     * @param int   $there units there are, as a rule
     * @param float $hours to pick and pack a unit of sale
     * @param float $left  cents a unit of it is worth if it stays where it is
     */
    public static function of(Garden $garden, Outlet $outlet, Product $product, Day $day, Weathering $weather, bool $isHoliday, int $there,
        float $hours, float $left): self
    {
        $like = LikeDays::of($garden->market->days, $outlet->key, $product->key, $day, $weather, $isHoliday);
        $promise = 0.0;
        foreach ($garden->promises as $one) {
            $promise += $one->outlet === $outlet->key && $one->product === $product->key && $one->day->equals($day) ? $one->quantity : 0.0;
        }
        $price = (float) $garden->market->price($outlet->key, $product, $day)->each->cents;
        $stake = new Stake($price, $hours * $garden->settings->wage, $left, $price * $garden->market->termsOf($outlet->key)->second / 100);
        [$sold, $out] = $like->sales($product->key);

        return new self($product, TakeAmount::of($stake, $sold, $out, $promise, $there), $like, $like->range($product->key), $promise,
            $there,
            $stake);
    }

    /** "Short one week in four". Null: too few days say so. */
    public function shortOneIn(): ?int
    {
        $short = $this->take->short;

        return null === $short || $short <= 0.0 ? null : (int) max(1, round(1 / $short));
    }
}
