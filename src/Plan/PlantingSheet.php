<?php

declare(strict_types=1);

namespace App\Plan;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\Spacing;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Maturity\ReadyWorking;
use JollyFurrow\Measure\Area;
use JollyFurrow\Measure\Mass;
use JollyFurrow\Nursery\SeedNeed;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Preparation\Leads;
use JollyFurrow\Recipe\BedSeason;
use JollyFurrow\Recipe\Recipe;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Soil\Compost;
use JollyFurrow\Soil\Fertiliser;
use JollyFurrow\Working\Input;
use JollyFurrow\Working\Source;
use JollyFurrow\Working\Working;

/** All numbers of one planting with their workings. */
final readonly class PlantingSheet
{
    /** @param list<Working> $dates */
    private function __construct(
        public Spacing $spacing,
        public Working $spots,
        public SeedNeed $seed,
        public Mass $seedMass,
        public Compost $compost,
        public Working $fertiliser,
        public Mass $weighed,
        public array $dates,
        public Working $yield,
        public BedSketch $sketch,
        public Area $area,
        public bool $spreadsCompost,
    ) {
    }

    public static function of(Planting $planting, Crop $crop, Garden $garden, RecipeBook $recipes): self
    {
        $bed = $garden->bedsByName()[$planting->pieces[0]->bed];
        $spacing = Spacing::inBed($crop->stand, $bed->width, $planting->length());
        $area = $planting->length()->times($bed->width);
        $seed = SeedNeed::of($crop, $planting->method, $spacing);
        $settings = $garden->settings;
        $fertiliser = Fertiliser::weighed($area, $settings->nitrogenRate, $crop->feeding->nitrogenShare(), $settings->fertiliserNitrogen);

        return new self(
            $spacing,
            $spacing->working($crop->source('rows'), $crop->source('in_row_cm')),
            $seed,
            Mass::fromGrams($seed->grams->value),
            Compost::over($area, $settings->compostDepth),
            $fertiliser,
            Mass::fromGrams($fertiliser->value)->weighable(),
            self::dates($planting, $crop, $garden, $recipes),
            self::yield($planting, $crop),
            BedSketch::of($bed, $spacing),
            $area,
            $recipes->get($planting->recipe)->spreadsCompost,
        );
    }

    /** @return list<Working> dates as day numbers */
    private static function dates(Planting $planting, Crop $crop, Garden $garden, RecipeBook $recipes): array
    {
        $lead = $recipes->get($planting->recipe);
        $days = $crop->timing->daysFor($planting->method) ?? 0;
        $name = 'sown' === $planting->method->value ? 'days_sown' : 'days_transplanted';
        $workings = [
            Working::of('Bed taken from', $planting->bedStart->number, 'day', 'day into the ground - longest lead of the preparation', 'ground - lead', [
                Input::of('ground', 'into the ground', $planting->ground->number, 'day', Source::garden('the planting')),
                Input::of('lead', self::leadWords($lead, $planting, $garden), $planting->ground->since($planting->bedStart), 'days', $lead->source),
            ], Source::practice()),
        ];
        $cover = $garden->coversOf($planting);
        $ripe = $garden->timing()?->of($crop, $cover)->fromGround($planting->sow->number, $planting->ground->number, $planting->method);
        if (null !== $ripe && !$crop->growth->anchored && null !== $garden->timing()) {
            return [...$workings, ReadyWorking::of($crop, $planting->method, $garden->timing(), $cover, $ripe, $ripe->ready === $planting->ready->number ? 'Ready' : 'Ready, reckoned anew')];
        }
        $spread = $crop->pattern->isStock() ? intdiv($crop->timing->spread, 2) : 0;
        if ($crop->source($name)->kind->value && $planting->ready->since($planting->ground) === $days + $spread) {
            $workings[] = Working::of('Ready', $planting->ready->number, 'day', 'day into the ground + catalogue days + half the days over which it ripens', 'ground + days + floor(spread / 2)', [
                Input::of('ground', 'into the ground', $planting->ground->number, 'day', Source::garden('the planting')),
                Input::of('days', 'catalogue days, '.$planting->method->words(), $days, 'days', $crop->source($name)),
                Input::of('spread', 'days over which it ripens', $crop->pattern->isStock() ? $crop->timing->spread : 0, 'days', $crop->source('spread_days')),
            ], Source::model('catalogue days hold whatever the season; half the crop is fit by then'));
        }

        return $workings;
    }

    /** "tarp and shallow till, in spring; 2 days of it in hand for wet soil" */
    private static function leadWords(Recipe $recipe, Planting $planting, Garden $garden): string
    {
        $reserve = (new Leads($garden))->reserve($recipe, $planting->ground);

        return \sprintf('lead of %s, %s%s', lcfirst($recipe->name), BedSeason::on($planting->ground, $garden->place->latitude)->words(), $reserve > 0 ? \sprintf('; %d days of it in hand for wet soil', $reserve) : '');
    }

    private static function yield(Planting $planting, Crop $crop): Working
    {
        return Working::of('Yield in all', floor($planting->perMetre * $planting->length()->metres() + 1e-9), $crop->produce->unit, 'metres x yield per metre, whole units', 'floor(metres * perMetre + 0.000000001)', [
            Input::of('metres', 'length planted', $planting->length()->metres(), 'm', Source::garden('the planting')),
            Input::of('perMetre', 'yield per metre of bed', $planting->perMetre, $crop->produce->unit, $crop->source('yield_per_m')),
        ], Source::practice());
    }
}
