<?php

declare(strict_types=1);

namespace JollyFurrow\Purchase;

use JollyFurrow\Crop\CropBook;
use JollyFurrow\Feed\Credits;
use JollyFurrow\Feed\FeedingPlan;
use JollyFurrow\Feed\MixCard;
use JollyFurrow\Feed\PlantingFeed;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Measure\Quantity;
use JollyFurrow\Measure\Unit;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Recipe\Mulch;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Seed\SeedBalance;
use JollyFurrow\Time\Day;

/**
 * What is to be bought, by the day it is first wanted: products beyond what lies in the shed, compost for the preparations to
 * come, film and straw to cover beds with, seed and planting stock short in the drawer.
 */
final readonly class Purchases
{
    private const AHEAD = 365;
    /** Straw as it is shaken out (common practice, no source). */
    private const STRAW_MM = 100.0;

    /** @return list<Purchase> by day */
    public static function of(Garden $garden, CropBook $crops, RecipeBook $recipes, FeedingPlan $plan): array
    {
        $all = [...self::products($garden, $plan), ...self::compost($garden, $recipes), ...self::mulch($garden, $recipes),
            ...self::seed($garden, $crops)];
        usort($all, static fn (Purchase $a, Purchase $b): int => [$a->by->number, $a->kind->value, $a->what] <=> [$b->by->number,
            $b->kind->value, $b->what]);

        return $all;
    }

    /** @return list<Purchase> month by month, what the shed holds taken first */
    private static function products(Garden $garden, FeedingPlan $plan): array
    {
        $doses = [];
        $beds = $garden->bedsByName();
        foreach ([] === $garden->soil->shed ? [] : $plan->plantings as $feed) {
            foreach ($feed->doses() as $n => $dose) {
                if (!$dose->day->isBefore($garden->today) && $dose->day->since($garden->today) <= self::AHEAD) {
                    $doses[self::month($dose->day)->number][$beds[self::bed($feed)]->block ?? ''][] = [$feed, $n];
                }
            }
        }
        ksort($doses);
        $stock = [];
        foreach ($garden->soil->shed as $product) {
            $stock[$product->key] = $product->stock ?? 0.0;
        }
        $bought = [];
        foreach ($doses as $month => $blocks) {
            $kilograms = [];
            foreach ($blocks as $of) {
                foreach (MixCard::of($garden, $of, true) as $mix) {
                    foreach ($mix->parts as $part) {
                        $kilograms[$part['product']->key] = ($kilograms[$part['product']->key] ?? 0.0) + $mix->kilograms($part['product']);
                    }
                }
            }
            foreach ($kilograms as $key => $kg) {
                $product = $garden->soil->product($key);
                $more = max(0.0, $kg - ($stock[$key] ?? 0.0));
                $stock[$key] = max(0.0, ($stock[$key] ?? 0.0) - $kg);
                if (null !== $product && $more > 1e-6) {
                    $bought[] = new Purchase(PurchaseKind::Product, Day::of($month), $product->name, Quantity::of($more * 1000, Unit::Gram),
                        $more * $product->cents);
                }
            }
        }

        return $bought;
    }

    /** @return list<Purchase> */
    private static function compost(Garden $garden, RecipeBook $recipes): array
    {
        $beds = $garden->bedsByName();
        $plantings = $garden->plantings->all();
        usort($plantings, static fn (Planting $a, Planting $b): int => [$a->ground->number, $a->key] <=> [$b->ground->number, $b->key]);
        $litres = $on = [];
        foreach ($plantings as $planting) {
            foreach ($planting->pieces as $piece) {
                $before = array_column(array_filter($on[$piece->bed] ?? [], static fn (array $was): bool => $was[1]->from < $piece->to
                    && $piece->from < $was[1]->to), 0);
                $on[$piece->bed][] = [$planting, $piece];
                if (self::isToCome($garden, $planting) && Credits::isComposted($garden, $recipes, $planting, $before)) {
                    $month = self::month($planting->bedStart)->number;
                    $litres[$month] = ($litres[$month] ?? 0.0) + self::litres($garden, $piece, $beds[$piece->bed]->width->metres());
                }
            }
        }
        $compost = Credits::product($garden);
        $bought = [];
        foreach ($litres as $month => $of) {
            $bought[] = new Purchase(PurchaseKind::Compost, Day::of($month), $compost->name, Quantity::of($of, Unit::Litre),
                $of * ($compost->litre ?? 0.6) * $compost->cents);
        }

        return $bought;
    }

    /** @return list<Purchase> metres of film, litres of straw, for the plantings whose beds are still to be made ready */
    private static function mulch(Garden $garden, RecipeBook $recipes): array
    {
        $beds = $garden->bedsByName();
        $wanted = [];
        foreach ($garden->plantings->all() as $planting) {
            $mulch = $recipes->get($planting->recipe)->mulch;
            foreach (self::isToCome($garden, $planting) && \in_array($mulch, [Mulch::Film, Mulch::Straw], true) ? $planting->pieces
                : [] as $piece) {
                $month = self::month($planting->bedStart)->number;
                $metres = $piece->length()->metres();
                $wanted[$mulch->value][$month] = ($wanted[$mulch->value][$month] ?? 0.0) + (Mulch::Film === $mulch ? $metres
                    : $metres * $beds[$piece->bed]->width->metres() * $piece->widthShare * self::STRAW_MM);
            }
        }
        $bought = [];
        foreach ($wanted as $kind => $months) {
            foreach ($months as $month => $amount) {
                $bought[] = new Purchase(PurchaseKind::from($kind), Day::of($month), '', Quantity::of($amount, Mulch::Film->value === $kind
                    ? Unit::Metre : Unit::Litre), null);
            }
        }

        return $bought;
    }

    private static function litres(Garden $garden, Stretch $piece, float $width): float
    {
        return $piece->length()->metres() * $width * $garden->settings->compostDepth->millimetres();
    }

    /** @return list<Purchase> in the month it is first sown */
    private static function seed(Garden $garden, CropBook $crops): array
    {
        $bought = [];
        foreach (SeedBalance::of($garden, $crops) as $seed) {
            if ($seed->packets > 0) {
                $first = array_key_first($seed->months);
                $bought[] = new Purchase(PurchaseKind::Seed, null === $first ? self::month($garden->today) : Day::parse($first.'-01'),
                    \sprintf('%s ‘%s’', $seed->crop->name, $seed->crop->variety),
                    Quantity::of($seed->packets * $seed->packet, Unit::Gram),
                    null === $seed->cents ? null : (float) ($seed->cents * $seed->packets));
            }
        }

        return $bought;
    }

    /** Its bed is still to be made ready. */
    private static function isToCome(Garden $garden, Planting $planting): bool
    {
        return Standing::Planned === $planting->standing && !$planting->bedStart->isBefore($garden->today);
    }

    private static function bed(PlantingFeed $feed): string
    {
        return [] === $feed->pieces ? '' : $feed->pieces[0]->stretch->bed;
    }

    private static function month(Day $day): Day
    {
        return $day->plus(1 - $day->dayOfMonth());
    }
}
