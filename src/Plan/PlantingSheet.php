<?php

declare(strict_types=1);

namespace App\Plan;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\Pattern;
use JollyFurrow\Crop\Spacing;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Maturity\ReadyRange;
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
use JollyFurrow\Season\SowingRisks;
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
    /**
     * @param list<Working>   $dates
     * @param ReadyRange|null $range early, likely and late; null: it has been seen, is past, or does not go by heat and light
     * @param list<Message>   $odds  what it is planned into: odds of frost, heat, seed
     */
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
        public ?ReadyRange $range,
        public array $odds,
    ) {
    }

    public static function of(Planting $planting, Crop $crop, Garden $garden, RecipeBook $recipes): self
    {
        $bed = $garden->bedsByName()[$planting->pieces[0]->bed];
        $spacing = Spacing::inBed($crop->standFor($planting->method), $bed->width, $planting->length());
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
            self::range($planting, $crop, $garden),
            self::odds($planting, $crop, $garden),
        );
    }

    /** Ready days with their odds, while the harvest is still to come and goes by heat and light. */
    private static function range(Planting $planting, Crop $crop, Garden $garden): ?ReadyRange
    {
        $timing = $garden->timing();
        $cover = $garden->coversOf($planting);
        $ripe = null === $timing || !$garden->today->isBefore($planting->ready) || Pattern::Perennial === $crop->pattern ? null
            : $timing->of($crop, $cover)->fromGround($planting->sow->number, $planting->ground->number, $planting->method);

        return null === $ripe || null === $timing || $ripe->ready !== $planting->ready->number ? null
            : ReadyRange::of($timing, $crop, $cover, $ripe, $planting->method);
    }

    /** @return list<Message> */
    private static function odds(Planting $planting, Crop $crop, Garden $garden): array
    {
        if (!$garden->today->isBefore($planting->ready) || \in_array($crop->pattern, [Pattern::Perennial, Pattern::GreenManure], true)) {
            return [];
        }
        $timing = $garden->local();
        $ripening = $timing->of($crop, $garden->coversOf($planting));
        $ripe = $ripening->fromGround($planting->sow->number, $planting->ground->number, $planting->method);

        return array_values((new SowingRisks($crop, $planting->method, $ripening, $timing))->of($planting->ground->number, $ripe));
    }

    /** @return list<Working> dates as day numbers */
    private static function dates(Planting $planting, Crop $crop, Garden $garden, RecipeBook $recipes): array
    {
        $lead = $recipes->get($planting->recipe);
        $days = $crop->timing->daysNearest($planting->method);
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
        if ($planting->ready->since($planting->ground) === $days + $spread) {
            $workings[] = Working::of(Sum::ReadyByCatalogue, $planting->ready->number, Unit::Date, 'ground + days + floor(spread / 2)', [
                Input::of('ground', $planting->ground->number, Unit::Date, Source::garden(From::ThePlanting)),
                Input::of('days', $days, Unit::Day, $crop->daysSource($planting->method), Message::of(Label::CatalogueDays,
                    method: $planting->method)),
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
        $units = floor($planting->perMetre * $planting->bedMetres() + 1e-9);

        return Working::goods(Sum::YieldInAll, $crop->produce->goods($units), 'floor(metres * perMetre + 0.000000001)', [
            Input::of('metres', $planting->bedMetres(), Unit::Metre, Source::garden(From::ThePlanting)),
            Input::goods('perMetre', $crop->produce->ofAMetre($planting->perMetre), $crop->source('yield_per_m')),
        ], Source::practice());
    }
}
