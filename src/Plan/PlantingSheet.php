<?php

declare(strict_types=1);

namespace App\Plan;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\Spacing;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Maturity\ReadyWorking;
use JollyFurrow\Measure\Area;
use JollyFurrow\Measure\Mass;
use JollyFurrow\Measure\Unit;
use JollyFurrow\Message\Message;
use JollyFurrow\Nursery\SeedNeed;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Preparation\Leads;
use JollyFurrow\Recipe\BedSeason;
use JollyFurrow\Recipe\Recipe;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Soil\Compost;
use JollyFurrow\Soil\Fertiliser;
use JollyFurrow\Working\From;
use JollyFurrow\Working\Input;
use JollyFurrow\Working\Label;
use JollyFurrow\Working\Source;
use JollyFurrow\Working\Sum;
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
            BedSketch::of($bed, $spacing, $settings->units),
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
            Working::of(Sum::BedTakenFrom, $planting->bedStart->number, Unit::Date, 'ground - lead', [
                Input::of('ground', $planting->ground->number, Unit::Date, Source::garden(From::ThePlanting)),
                Input::of('lead', $planting->ground->since($planting->bedStart), Unit::Day, $lead->source, self::leadLabel($lead,
                    $planting, $garden)),
            ], Source::practice()),
        ];
        $cover = $garden->coversOf($planting);
        $ripe = $garden->timing()?->of($crop, $cover)->fromGround($planting->sow->number, $planting->ground->number, $planting->method);
        if (null !== $ripe && !$crop->growth->anchored && null !== $garden->timing()) {
            return [...$workings, ReadyWorking::of($crop, $planting->method, $garden->timing(), $cover, $ripe,
                $ripe->ready === $planting->ready->number ? Sum::Ready : Sum::ReadyAnew)];
        }
        $spread = $crop->pattern->isStock() ? intdiv($crop->timing->spread, 2) : 0;
        if ('' !== $crop->source($name)->kind->value && $planting->ready->since($planting->ground) === $days + $spread) {
            $workings[] = Working::of(Sum::ReadyByCatalogue, $planting->ready->number, Unit::Date, 'ground + days + floor(spread / 2)', [
                Input::of('ground', $planting->ground->number, Unit::Date, Source::garden(From::ThePlanting)),
                Input::of('days', $days, Unit::Day, $crop->source($name), Message::of(Label::CatalogueDays, method: $planting->method)),
                Input::of('spread', $crop->pattern->isStock() ? $crop->timing->spread : 0, Unit::Day, $crop->source('spread_days')),
            ], Source::model(From::CatalogueDays));
        }

        return $workings;
    }

    private static function leadLabel(Recipe $recipe, Planting $planting, Garden $garden): Message
    {
        $reserve = (new Leads($garden))->reserve($recipe, $planting->ground);
        $season = BedSeason::on($planting->ground, $garden->place->latitude);

        return $reserve > 0 ? Message::of(Label::LeadWithReserve, recipe: lcfirst($recipe->name), season: $season, reserve: $reserve)
            : Message::of(Label::LeadOf, recipe: lcfirst($recipe->name), season: $season);
    }

    private static function yield(Planting $planting, Crop $crop): Working
    {
        $units = floor($planting->perMetre * $planting->length()->metres() + 1e-9);

        return Working::goods(Sum::YieldInAll, $crop->produce->goods($units), 'floor(metres * perMetre + 0.000000001)', [
            Input::of('metres', $planting->length()->metres(), Unit::Metre, Source::garden(From::ThePlanting)),
            Input::goods('perMetre', $crop->produce->ofAMetre($planting->perMetre), $crop->source('yield_per_m')),
        ], Source::practice());
    }
}
