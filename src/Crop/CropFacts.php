<?php

declare(strict_types=1);

namespace App\Crop;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\Pattern;
use JollyFurrow\Crop\SpacingSchool;
use JollyFurrow\Crop\Stage;
use JollyFurrow\Crop\Stock;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Measure\Length;
use JollyFurrow\Measure\Units;

/** The values of a crop in a grower's words, each with its source. */
final class CropFacts
{
    /** @return array<string, list<array{label: string, value: string, source: string}>> by heading */
    public function of(Crop $crop, Garden $garden): array
    {
        $units = $garden->settings->units;
        $groups = ['Timing' => $this->timing($crop), 'Harvest and sale' => $this->harvest($crop), 'Warmth, frost and bolting' => [...$this->growth($crop), ...$this->hazards($crop)], 'Spacing and stock' => $this->stand($crop, $units), 'Place and neighbours' => [...$this->place($crop, $garden), ...$this->neighbours($crop, $units)]];

        return array_map(static fn (array $facts): array => array_map(static fn (array $f): array => ['label' => $f[0], 'value' => $f[1], 'source' => $crop->source($f[2])->words()], $facts), $groups);
    }

    /** One line of what a grower asks first. */
    public function atAGlance(Crop $crop, Garden $garden): string
    {
        $h = $crop->habits;
        $days = array_filter([
            null === $crop->timing->daysSown ? '' : 'sown '.$crop->timing->daysSown.' days',
            null === $crop->timing->daysTransplanted ? '' : 'planted out '.$crop->timing->daysTransplanted.' days after '.$crop->timing->nurseryDays.' in the nursery',
        ]);

        return ucfirst(implode(', ', array_filter([
            implode(', or ', $days),
            $crop->pattern->words(),
            Pattern::GreenManure === $crop->pattern ? '' : $crop->produce->amount($crop->produce->perMetre).' a metre',
            $h->hardiness->words(),
            'soil from '.Units::number($h->soilLeast, 0).' °C',
            \sprintf('%d %s, %s in the row', $crop->stand->rows, 1 === $crop->stand->rows ? 'row' : 'rows', $garden->settings->units->short($crop->stand->inRow)),
            null === $h->store ? '' : 'keeps '.$h->store->least.' to '.$h->store->most.' days at '.Units::number($h->store->celsius, 0).' °C',
        ]))).'.';
    }

    /** @return list<array{string, string, string}> label, value, name in the book */
    private function timing(Crop $crop): array
    {
        $t = $crop->timing;
        $facts = [];
        if (null !== $t->daysSown) {
            $facts[] = ['Days to maturity, sown in the bed', $t->daysSown.' days', 'days_sown'];
        }
        if (null !== $t->daysTransplanted) {
            $facts[] = ['Days in the nursery', $t->nurseryDays.' days', 'nursery_days'];
            $facts[] = ['Days to maturity, from planting out', $t->daysTransplanted.' days', 'days_transplanted'];
        }
        if (!$crop->pattern->isStock()) {
            return $facts;
        }

        return [...$facts, ['Ripens over', $t->spread.' days', 'spread_days'], ['Stands fit for', $t->hold.' days', 'hold_days']];
    }

    /** @return list<array{string, string, string}> */
    private function harvest(Crop $crop): array
    {
        $p = $crop->produce;
        $r = $crop->rhythm;
        $facts = [
            ['Harvest', $crop->pattern->words(), 'pattern'],
            ['Sold by', $p->unit, 'unit'],
            ['Yield per metre of bed', $p->amount($p->perMetre), 'yield_per_m'],
            ['Lost in packing', Units::number(100 * $p->packingLoss, 1).' %', 'packing_loss'],
            ['Keeps', $p->keepingDays.' days', 'keeping_days'],
            ['Shrinks in store', Units::number(100 * $p->weeklyLoss, 2).' % a week', 'weekly_loss'],
            ['Ready when', $crop->habits->sign, 'sign'],
            ['Best picked', $crop->habits->pickTime->words(), 'pick_time'],
            ['To be cool within', 0 === $crop->habits->coolHours ? 'no hurry' : $crop->habits->coolHours.' hours', 'cool_hours'],
            ...$this->store($crop),
            ['Toxic', $crop->habits->toxic, 'toxic'],
        ];

        return match ($crop->pattern) {
            Pattern::Cuts => [...$facts, ['Cuts', (string) $r->cuts, 'cuts'], ['Regrowth', $r->every.' days', 'every_days'], ['Each cut gives of the one before', Units::number(100 * $r->laterShare, 0).' %', 'later_share']],
            Pattern::Picking => [...$facts, ['Picked every', $r->every.' days', 'every_days'], ['Picked for', $r->lasts.' days', 'picking_days'], ['Climbs to full picking in', $r->ramp.' days', 'ramp_days']],
            Pattern::Perennial => [...$facts, ['Years to the first harvest', (string) $r->yearsToFirst, 'years_to_first'], ['Harvested', ($r->harvest?->from->iso() ?? '').' to '.($r->harvest?->to->iso() ?? ''), 'harvest_window']],
            Pattern::Once, Pattern::DigAsNeeded => $facts,
            Pattern::GreenManure => [['Harvest', $crop->pattern->words(), 'pattern'], ['Dry matter per metre of bed', $p->amount($p->perMetre), 'yield_per_m'], ['Ended when', $crop->habits->sign, 'sign'], ['Toxic', $crop->habits->toxic, 'toxic']],
        };
    }

    /** @return list<array{string, string, string}> */
    private function stand(Crop $crop, Units $units): array
    {
        $s = $crop->stand;
        $h = $crop->habits;
        $school = static fn (?SpacingSchool $one): string => null === $one ? '' : \sprintf('%d %s, %s in the row', $one->rows, 1 === $one->rows ? 'row' : 'rows', $units->short($one->inRow));

        return [
            ['Grown from', $h->stock->words(), 'stock'],
            ...($h->stockAhead > 0 ? [['Cut, sprouted or started', $h->stockAhead.' days before', 'stock_ahead_days']] : []),
            ['Rows in a bed of '.$units->short(Length::fromCentimetres(75)), (string) $s->rows, 'rows'],
            ['Distance in the row', $units->short($s->inRow), 'in_row_cm'],
            ['Wide rows for the hoe', $school($h->hoe), 'spacing_hoe'],
            ...(null === $h->underCover ? [] : [['Closer under cover', $school($h->underCover), 'spacing_cover']]),
            ['Depth', $units->short($s->depth), 'depth_cm'],
            ['Seeds per spot', (string) $s->seedsPerSpot, 'seeds_per_spot'],
            ['Plants left at each spot', (string) $s->plantsPerSpot, 'plants_per_spot'],
            ['Plants per seed unit', Units::number($s->plantsPerSeedUnit, 2), 'plants_per_seed_unit'],
            ['Germination', Units::number(100 * $s->germination, 0).' %', 'germination'],
            ['Field factor', Units::number(100 * $s->fieldFactor, 0).' %', 'field_factor'],
            \in_array($h->stock, [Stock::Seed, Stock::SeedBall], true) ? ['A thousand seeds weigh', Units::number($s->thousandSeedGrams, 2).' g', 'thousand_seed_g'] : ['One piece weighs', Units::number($s->thousandSeedGrams / 1000, 1).' g', 'thousand_seed_g'],
            ['Lost in the nursery', Units::number(100 * $s->trayLoss, 0).' %', 'tray_loss'],
            ['Cells per tray', (string) $s->cellsPerTray, 'cells_per_tray'],
        ];
    }

    /** @return list<array{string, string, string}> */
    private function growth(Crop $crop): array
    {
        $g = $crop->growth;
        $up = implode(', ', array_map(static fn (int $degrees, float $days): string => \sprintf('%d° %s', $degrees, Units::number($days, 1)), array_keys($g->emergence->days), $g->emergence->days));
        $facts = [
            ['Develops from', Units::number($g->temperature->least, 1).' °C', 't_least'],
            ['Develops fastest at', Units::number($g->temperature->best, 1).' °C', 't_best'],
            ['Stops at', Units::number($g->temperature->most, 1).' °C', 't_most'],
            ['Catalogue days hold at a mean of', Units::number($g->reference, 1).' °C', 't_reference'],
            ['Days to emergence, by soil', $up, 'emergence'],
            ...(null === $g->bulbHours ? [] : [['Bulbs in days of', Units::number($g->bulbHours, 1).' hours: planted late it ripens smaller, not later', 'bulb_hours']]),
            ['Ripens', $g->anchored ? 'in its season, whatever the count of days' : 'by warmth and light', 'maturity'],
        ];

        return $g->anchored && Pattern::Perennial !== $crop->pattern ? [...$facts, ['Harvested at 47° north', ($crop->rhythm->harvest?->from->iso() ?? '').' to '.($crop->rhythm->harvest?->to->iso() ?? ''), 'harvest_window']] : $facts;
    }

    /** @return list<array{string, string, string}> */
    private function store(Crop $crop): array
    {
        $room = $crop->habits->store;
        if (null === $room) {
            return [];
        }

        return [
            ['Stored at', Units::number($room->celsius, 1).' °C', 'store_c'],
            ['Humidity', $room->humidity.' %', 'store_rh'],
            ['Keeps at its best', $room->least.' to '.$room->most.' days', 'store_days'],
            ...(null === $room->chill ? [] : [['Harmed by cold below', Units::number($room->chill, 1).' °C', 'chill_c']]),
        ];
    }

    /** @return list<array{string, string, string}> */
    private function hazards(Crop $crop): array
    {
        $h = $crop->habits;
        $frost = implode(', ', array_map(static fn (string $stage, float $degrees): string => Stage::from($stage)->words().' '.Units::number($degrees, 1).' °C', array_keys($h->frostDamage), $h->frostDamage));
        $b = $h->bolting;

        return [
            ['Soil at least', Units::number($h->soilLeast, 1).' °C', 'soil_least'],
            ['Frost', $h->hardiness->words(), 'frost_class'],
            ['Damage begins', $frost, 'frost_damage'],
            ...($b->isLikely() ? [] : [['Bolts or sets badly after', 'nothing usual', 'bolts']]),
            ...(null === $b->coldDays ? [] : [['Bolts after', $b->coldDays.' days below 7 °C', 'bolt_cold_days']]),
            ...(null === $b->dayHours ? [] : [['Bolts in days of', Units::number($b->dayHours, 1).' hours', 'bolt_day_hours']]),
            ...(null === $b->heat ? [] : [['Bolts or sets badly in a week of', Units::number($b->heat, 1).' °C', 'bolt_heat_c']]),
        ];
    }

    /** @return list<array{string, string, string}> */
    private function neighbours(Crop $crop, Units $units): array
    {
        $h = $crop->habits;

        return [
            ['pH', Units::number($h->phLeast, 1).' to '.Units::number($h->phMost, 1), 'ph'],
            ['Rotates with', $h->rotation, 'rotation'],
            ['Kept from other varieties in flower', 0 === $h->isolation ? 'no need' : $units->long(Length::fromMetres($h->isolation)).($h->isolationDays > 0 ? \sprintf(', or %d days between flowerings', $h->isolationDays) : ''), 'isolation_m'],
            ['Bees', $h->needsBees() ? 'must reach the flowers' : 'not needed', 'bees'],
            ...(null === $h->flowerDays ? [] : [['From open flower to harvest', $h->flowerDays.' days', 'flower_days']]),
        ];
    }

    /** @return list<array{string, string, string}> */
    private function place(Crop $crop, Garden $garden): array
    {
        $facts = [['Family', $crop->family, 'family'], ['Feeding', $crop->feeding->value, 'feeding']];
        foreach ($crop->places() as $place) {
            $window = $garden->season($crop, $place);
            $facts[] = ['Into the ground, '.$place->words(), null === $window ? 'never' : $window->from->iso().' to '.$window->to->iso(), 'ground_'.$place->value];
        }

        return $facts;
    }
}
