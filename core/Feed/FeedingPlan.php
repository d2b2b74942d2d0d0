<?php

declare(strict_types=1);

namespace JollyFurrow\Feed;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Crop\Feeding;
use JollyFurrow\Crop\Pattern;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Land\Bed;
use JollyFurrow\Measure\Area;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Soil\BedSoil;
use JollyFurrow\Soil\FeedSchool;
use JollyFurrow\Soil\Nutrients;
use JollyFurrow\Work\CareCalendar;

/**
 * Who is fed what: the need of each crop by its row, the soil and its yield; less what is there; the rest in doses by stage.
 * Bed by bed in the order of planting, so that what one crop leaves over is the next one's.
 */
final readonly class FeedingPlan
{
    /** What is over or under the book's yield counts so far. */
    private const LEAST_YIELD = 0.5;
    private const MOST_YIELD = 1.5;
    private const GRAMS = 0.1;

    /** @param array<string, PlantingFeed> $plantings by key, in the order of planting */
    private function __construct(public array $plantings)
    {
    }

    public static function of(Garden $garden, CropBook $crops, RecipeBook $recipes, NeedTable $needs, FeedCalendar $calendar,
        CareCalendar $care): self
    {
        $credits = new Credits($garden, $crops, $recipes);
        $beds = $garden->bedsByName();
        $plantings = $garden->plantings->all();
        usort($plantings, static fn (Planting $a, Planting $b): int => [$a->ground->number, $a->key] <=> [$b->ground->number, $b->key]);
        $on = $left = $soils = $fed = [];
        foreach ($plantings as $planting) {
            $crop = $crops->grown($planting->item, $planting->variety);
            $pieces = [];
            foreach ($planting->pieces as $stretch) {
                $bed = $beds[$stretch->bed] ?? null;
                if (null === $bed) {
                    continue;
                }
                $before = array_column(array_filter($on[$bed->name] ?? [], static fn (array $was): bool => $was[1]->from < $stretch->to
                    && $stretch->from < $was[1]->to), 0);
                $soil = $soils[$bed->name] ??= $garden->soil->soilOf($bed, $garden->today);
                $left[$bed->name] ??= new Leftovers();
                $piece = new PieceFeed($stretch, Area::fromSquareMetres($stretch->length()->times($bed->width)->squareMetres
                    * $stretch->widthShare), $soil, self::need($garden, $planting, $crop,
                        $needs->of($crop), $soil, $bed, $before, $crops), $credits->of($planting, $stretch, $soil, $before,
                            $left[$bed->name]->take($stretch, $planting->ground)));
                $left[$bed->name]->leave($stretch, $piece->surplus, $planting->clear);
                $pieces[] = $piece;
                $on[$bed->name][] = [$planting, $stretch];
            }
            $fed[$planting->key] = new PlantingFeed($planting, $needs->of($crop), $pieces,
                static fn (): array => $calendar->of($planting, $crop, $care));
        }

        return new self($fed);
    }

    public function get(string $planting): ?PlantingFeed
    {
        return $this->plantings[$planting] ?? null;
    }

    /**
     * Grams a square metre.
     *
     * @param list<Planting> $before on that bed
     */
    private static function need(Garden $garden, Planting $planting, Crop $crop, CropNeed $row, BedSoil $soil, Bed $bed, array $before,
        CropBook $crops): Nutrients
    {
        if (Pattern::GreenManure === $crop->pattern) {
            return Nutrients::none();
        }
        $rules = $garden->soil->rules;
        $last = [] === $before ? null : $before[array_key_last($before)];
        $lastCrop = null === $last ? null : $crops->grown($last->item, $last->variety);
        $byTest = self::byTest($planting, $crop, $row, $soil);
        $need = match ($rules->school) {
            FeedSchool::ByTest, FeedSchool::InCompost => $byTest,
            FeedSchool::StandingDose => Feeding::Giver === $crop->feeding ? $rules->standing()->shared(0.0, 1.0, 1.0) : $rules->standing(),
            FeedSchool::WhereLittleIsLeft => null !== $lastCrop && Feeding::Heavy !== $lastCrop->feeding ? Nutrients::none() : $byTest,
            FeedSchool::ByRotation => null !== $lastCrop && Pattern::GreenManure === $lastCrop->pattern ? Nutrients::none() : $byTest,
        };

        return $need->times(self::GRAMS * $rules->basis->times($bed));
    }

    /** Kilograms a hectare. Legumes take their nitrogen from the air. */
    private static function byTest(Planting $planting, Crop $crop, CropNeed $row, BedSoil $soil): Nutrients
    {
        $yield = $crop->produce->perMetre > 0.0 ? $planting->perMetre / $crop->produce->perMetre : 1.0;
        $need = $row->at($soil->p, $soil->k)->times(max(self::LEAST_YIELD, min(self::MOST_YIELD, $yield)));

        return Feeding::Giver === $crop->feeding ? $need->shared(0.0, 1.0, 1.0) : $need;
    }
}
