<?php

declare(strict_types=1);

namespace JollyFurrow\Forecast;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Market\TakeLine;
use JollyFurrow\Need\Need;
use JollyFurrow\Need\Needs;
use JollyFurrow\Promise\Outlet;
use JollyFurrow\Promise\Product;
use JollyFurrow\Sale\GlutKind;
use JollyFurrow\Sale\Weathering;
use JollyFurrow\Supply\Allocation;
use JollyFurrow\Supply\Lot;
use JollyFurrow\Supply\TrueSupply;
use JollyFurrow\Time\Day;

/** What of a crop nobody has a claim on and is lost before long, and where it may go, what brings most first. */
final readonly class Glut
{
    /** So many sale units at least are worth a thought. */
    private const LEAST = 3;
    private const WHOLE = 100;
    private const WEEK = 7;

    /**
     * @param int            $units of the product, packed
     * @param Day            $first the first day some of it is lost
     * @param list<GlutPart> $ways
     */
    private function __construct(public Crop $crop, public Product $product, public int $units, public Day $first, public array $ways)
    {
    }

    /**
     * @param array<string, float> $hours to pick and pack a unit of an item
     *
     * @return list<self> what is worth most first
     */
    public static function all(Garden $garden, CropBook $crops, int $days, array $hours): array
    {
        $end = $garden->today->plus($days);
        $lots = (new TrueSupply($garden, $crops))->byItem();
        $needs = Needs::of($garden, $crops);
        $gluts = [];
        foreach ($garden->products as $product) {
            $item = $product->parts[0]->item;
            if (!$product->isMix() && isset($lots[$item]) && !isset($gluts[$item])) {
                $glut = self::of($garden, $crops, $product, $needs->for($item), $lots[$item], $end, $hours[$item] ?? 0.0);
                null === $glut ?: $gluts[$item] = $glut;
            }
        }
        usort($gluts, static fn (self $a, self $b): int => $b->units * $b->product->price->cents <=> $a->units * $a->product->price->cents);

        return self::shared($gluts, (int) ceil($days / self::WEEK));
    }

    /**
     * @param list<Need> $needs
     * @param list<Lot>  $lots
     */
    private static function of(Garden $garden, CropBook $crops, Product $product, array $needs, array $lots, Day $end, float $hours): ?self
    {
        $crop = $crops->get($product->parts[0]->item);
        $reach = max([0, ...array_map(static fn (Outlet $o): int => $o->reach($crop->produce), $garden->outlets)]);
        $allocation = Allocation::of($needs, $lots);
        $packed = (1 - $crop->produce->packingLoss) / $product->parts[0]->units;
        $over = [];
        foreach ($allocation->lots as $l => $lot) {
            $last = $lot->goodUntil ?? $lot->to + $reach;
            if (!$lot->isGone && $last >= $garden->today->number && $last < $end->number && $allocation->left[$l] >= 1.0) {
                $over[] = [$lot, $allocation->left[$l] * $packed, $last];
            }
        }
        $units = (int) floor(array_sum(array_column($over, 1)) + 1e-9);
        $first = min([$end->number, ...array_column($over, 2)]);

        return $units < self::LEAST ? null : new self($crop, $product, $units, Day::of($first), self::ways($garden, $product,
            $crop, $units, $over, $end, $hours * $product->parts[0]->units));
    }

    /**
     * Units of what is too much that an outlet could still have on a market day.
     *
     * @param list<array{Lot, float, int}> $over
     */
    private static function inTime(Outlet $outlet, Crop $crop, array $over, Day $market): int
    {
        $units = 0.0;
        foreach ($over as [$lot, $some]) {
            $units += $lot->serves($market->number, $outlet->reach($crop->produce)) ? $some : 0.0;
        }

        return (int) floor($units + 1e-9);
    }

    /**
     * @param list<array{Lot, float, int}> $over lots, units and last days of what is too much
     *
     * @return list<GlutPart>
     */
    private static function ways(Garden $garden, Product $product, Crop $crop, int $units, array $over, Day $end, float $hours): array
    {
        $pick = $hours * $garden->settings->wage;
        $ways = [];
        foreach ($garden->outlets as $outlet) {
            $terms = $garden->market->termsOf($outlet->key);
            $day = null === $terms->closesDays ? $outlet->days->between($garden->today, $end->plus(-1))[0] ?? null : null;
            $most = null === $day ? 0 : self::inTime($outlet, $crop, $over, $day);
            if (null !== $day && $most > 0) {
                $price = $garden->market->price($outlet->key, $product, $day)->each->cents;
                $more = min($most, self::more($garden, $outlet, $product, $day, $units, $hours));
                $more < 1 ?: $ways[] = new GlutPart(GlutKind::More, $outlet->name, $price - $pick, $more, $outlet->key);
                $terms->second < 1 ?: $ways[] = new GlutPart(GlutKind::SecondPrice, $outlet->name, $price * $terms->second / self::WHOLE
                    - $pick, $most, $outlet->key);
            }
        }
        foreach ($garden->market->gluts as $way) {
            if ($way->takes($product->key)) {
                $ways[] = new GlutPart($way->kind, $way->name, $product->price->cents * $way->percent / self::WHOLE - $pick, $way->most,
                    key: $way->key);
            }
        }
        $ways[] = new GlutPart(GlutKind::GreenManure, '', 0.0, null);
        usort($ways, static fn (GlutPart $a, GlutPart $b): int => [$b->cents, $a->name] <=> [$a->cents, $b->name]);

        return $ways;
    }

    /** Units more than promised that an outlet like this sells on such a day. */
    private static function more(Garden $garden, Outlet $outlet, Product $product, Day $day, int $units, float $hours): int
    {
        $line = TakeLine::of($garden, $outlet, $product, $day, Weathering::Fair, false, $units + 10_000, $hours, 0.0);

        return 0 === $line->take->days ? 0 : $line->take->units - (int) ceil($line->promise);
    }

    /**
     * In order of worth, each as much as it takes, until all of it is gone. What takes so many units a week takes them of all crops
     * together, the one worth most first.
     *
     * @param list<self> $gluts
     *
     * @return list<self>
     */
    private static function shared(array $gluts, int $weeks): array
    {
        $taken = $shared = [];
        foreach ($gluts as $glut) {
            $units = $glut->units;
            $ways = [];
            foreach ($glut->ways as $way) {
                $most = '' === $way->key || null === $way->most ? $way->most : max(0, $weeks * $way->most - ($taken[$way->key] ?? 0));
                $some = min($units, $most ?? $units);
                $taken[$way->key] = ($taken[$way->key] ?? 0) + $some;
                $ways[] = $way->given($some);
                $units -= $some;
            }
            $shared[] = new self($glut->crop, $glut->product, $glut->units, $glut->first, $ways);
        }

        return $shared;
    }
}
