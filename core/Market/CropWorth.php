<?php

declare(strict_types=1);

namespace JollyFurrow\Market;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Promise\Product;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\Period;

/** What a crop brought in a season, less the hours and bought things that went into it, by metre of bed and week. Cents. */
final readonly class CropWorth
{
    private const WEEK = 7;

    /**
     * @param float         $takings    cents
     * @param float         $sold       units
     * @param float         $hours      noted: harvests and jobs with a time
     * @param float         $bought     cents: seed that was opened, a share of ground and water
     * @param float         $metreWeeks metres of bed times weeks it was its own
     * @param list<Missing> $missing    what is not known
     */
    private function __construct(public Crop $crop, public float $takings, public float $sold, public float $hours, public float $bought,
        public float $metreWeeks, public float $wage, public array $missing)
    {
    }

    /**
     * @param float $ground cents a metre of bed and week for ground and water, where that is wanted
     *
     * @return list<self> what earns most a metre and week first
     */
    public static function all(Garden $garden, CropBook $crops, Period $season, float $ground = 0.0): array
    {
        [$takings, $sold] = self::takings($garden, $season);
        $metreWeeks = $hours = $untimed = [];
        foreach ($garden->plantings as $planting) {
            $from = max($planting->bedStart->number, $season->start->number);
            $to = min($planting->clear->number + 1, $season->end->number, $garden->today->number + 1);
            $metreWeeks[$planting->item] = ($metreWeeks[$planting->item] ?? 0.0) + max(0, $to - $from) / self::WEEK
                * $planting->bedMetres();
        }
        $keys = [];
        foreach ($garden->plantings as $planting) {
            $keys[$planting->key] = $planting->item;
        }
        foreach ($garden->store->harvests as $lot) {
            if ($season->contains($lot->day)) {
                $hours[$lot->item] = ($hours[$lot->item] ?? 0.0) + ($lot->minutes ?? 0) / 60;
                $untimed[$lot->item] = ($untimed[$lot->item] ?? false) || null === $lot->minutes;
            }
        }
        foreach ($garden->diary->marks as $mark) {
            $item = $keys[$mark->task->of] ?? null;
            if (null !== $item && $season->contains($mark->day)) {
                $hours[$item] = ($hours[$item] ?? 0.0) + ($mark->minutes ?? 0) / 60;
            }
        }
        $seed = self::seed($garden, $crops, $season);
        $all = [];
        foreach ($metreWeeks as $item => $weeks) {
            if ($weeks <= 0.0 || !$crops->has($item)) {
                continue;
            }
            $missing = array_values(array_filter([isset($takings[$item]) ? null : Missing::Sales, $untimed[$item] ?? true ? Missing::Hours
                : null, isset($seed[$item]) ? null : Missing::Bought]));
            $all[] = new self($crops->get($item), $takings[$item] ?? 0.0, $sold[$item] ?? 0.0, $hours[$item] ?? 0.0,
                ($seed[$item] ?? 0.0) + $ground * $weeks, $weeks, $garden->settings->wage, $missing);
        }
        usort($all, static fn (self $a, self $b): int => [$b->perMetreWeek(), $a->crop->name] <=> [$a->perMetreWeek(), $b->crop->name]);

        return $all;
    }

    public function costs(): float
    {
        return $this->hours * $this->wage + $this->bought;
    }

    public function left(): float
    {
        return $this->takings - $this->costs();
    }

    /** Cents a metre of bed and week. */
    public function perMetreWeek(): float
    {
        return $this->left() / $this->metreWeeks;
    }

    /** Cents a unit at which nothing is earned and nothing lost; null: nothing was sold, or nobody noted the hours. */
    public function breakEven(): ?float
    {
        return \in_array(Missing::Hours, $this->missing, true) ? null : self::breakEvenOf($this->costs(), $this->sold);
    }

    public static function breakEvenOf(float $costs, float $sold): ?float
    {
        return $sold > 0.0 ? $costs / $sold : null;
    }

    /** @return array{array<string, float>, array<string, float>} cents and units by item; a mix is split by its units */
    private static function takings(Garden $garden, Period $season): array
    {
        $products = array_combine(array_map(static fn (Product $p): string => $p->key, $garden->products), $garden->products);
        $cents = $units = [];
        foreach ($garden->market->days as $day) {
            foreach ($season->contains($day->day) ? $day->lines : [] as $line) {
                $product = $products[$line->product] ?? null;
                if (null === $product) {
                    continue;
                }
                $taken = $line->cents ?? $garden->market->price($day->outlet, $product, $day->day, $line->size)->cents(
                    $line->units());
                $whole = array_sum(array_map(static fn ($part): float => $part->units, $product->parts));
                foreach ($product->parts as $part) {
                    $cents[$part->item] = ($cents[$part->item] ?? 0.0) + $taken * $part->units / $whole;
                    $units[$part->item] = ($units[$part->item] ?? 0.0) + $line->units() * $part->units;
                }
            }
        }

        return [$cents, $units];
    }

    /** @return array<string, float> cents of seed counted in the drawer that season, by item */
    private static function seed(Garden $garden, CropBook $crops, Period $season): array
    {
        $cents = [];
        foreach ($garden->diary->seedLots as $lot) {
            if (null !== $lot->cents && $crops->has($lot->variety) && $season->contains(Day::of(min($lot->counted->number,
                $season->last()->number)))) {
                $item = $crops->get($lot->variety)->item();
                $cents[$item] = ($cents[$item] ?? 0.0) + $lot->cents;
            }
        }

        return $cents;
    }
}
