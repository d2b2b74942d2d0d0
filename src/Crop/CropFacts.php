<?php

declare(strict_types=1);

namespace App\Crop;

use App\Wording\Prose;
use JollyFurrow\Crop\Cleaning;
use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\Method;
use JollyFurrow\Crop\Pattern;
use JollyFurrow\Crop\Rhythm;
use JollyFurrow\Crop\SpacingSchool;
use JollyFurrow\Crop\Stock;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Measure\Length;
use JollyFurrow\Measure\Quantity;
use JollyFurrow\Measure\Unit;
use JollyFurrow\Measure\Units;
use JollyFurrow\Season\SowingWindows;
use JollyFurrow\Time\MonthDay;
use JollyFurrow\Time\YearWindow;
use JollyFurrow\Working\From;
use JollyFurrow\Working\Source;

/** The values of a crop in a grower's words, each with its source. */
final class CropFacts
{
    /** @return array<string, list<Fact>> by heading */
    public function of(Crop $crop, Garden $garden): array
    {
        $units = $garden->settings->units;
        $groups = ['Timing' => $this->timing($crop), 'Harvest and sale' => $this->harvest($crop),
            'Warmth, frost and bolting' => [...$this->growth($crop), ...$this->hazards($crop)],
            'Spacing and stock' => $this->stand($crop, $units), 'Place and neighbours' => [...$this->place($crop, $garden),
            ...$this->neighbours($crop, $units)]];

        return array_map(static fn (array $facts): array => array_map(static fn (Fact $f): Fact => $f->from($crop->sources[$f->name]
            ?? Source::model(From::WarmthAndLight)),
            $facts), $groups);
    }

    /** @return list<mixed> one line of what a grower asks first, one thing after the other */
    public function atAGlance(Crop $crop): array
    {
        $h = $crop->habits;
        $t = $crop->timing;
        $parts = [
            ...(null === $t->daysSown ? [] : [['sown', Quantity::of($t->daysSown, Unit::Day)]]),
            ...(null === $t->daysTransplanted ? [] : [['planted out', Quantity::of($t->daysTransplanted, Unit::Day), 'after',
                Quantity::of($t->nurseryDays, Unit::Day), 'in the nursery']]),
            [$crop->pattern],
            ...(Pattern::GreenManure === $crop->pattern ? [] : [[$crop->produce->ofAMetre($crop->produce->perMetre)]]),
            [$h->hardiness],
            ['soil from', Quantity::of($crop->limits->soilLeast, Unit::Celsius)],
            [Quantity::of($crop->stand->rows, Unit::Row), ',', Quantity::short($crop->stand->inRow), 'apart'],
            ...(null === $h->store ? [] : [['keeps', $h->store->least, 'to', Quantity::of($h->store->most, Unit::Day), 'at',
                Quantity::of($h->store->celsius, Unit::Celsius)]]),
        ];

        return $parts;
    }

    /**
     * @param non-empty-list<YearWindow> $windows
     *
     * @return list<string|MonthDay>
     */
    private static function windows(array $windows): array
    {
        $said = [];
        foreach ($windows as $n => $window) {
            $said = [...$said, ...(0 === $n ? [] : ['and']), ...self::window($window)];
        }

        return $said;
    }

    /** @return list<string|MonthDay> */
    private static function window(?YearWindow $window): array
    {
        return null === $window ? [''] : [$window->from, 'to', $window->to];
    }

    /** @return list<Fact> what is spared while the crop is young */
    private static function seasons(Rhythm $rhythm): array
    {
        $days = array_map(static fn (int $days): Quantity => Quantity::of($days, Unit::Day), [...$rhythm->seasons, $rhythm->lasts]);

        return [] === $rhythm->seasons ? [] : [new Fact('Harvested in its first seasons', [...self::listed($days), 'from then on'],
            'season_days')];
    }

    /**
     * @param list<Quantity> $quantities
     *
     * @return list<Quantity|string>
     */
    private static function listed(array $quantities): array
    {
        $said = [];
        foreach ($quantities as $n => $quantity) {
            $said = [...$said, ...(0 === $n ? [] : [\count($quantities) - 1 === $n ? 'then' : ',']), $quantity];
        }

        return $said;
    }

    /** @return list<Fact> */
    private function timing(Crop $crop): array
    {
        $t = $crop->timing;
        $facts = [];
        if (null !== $t->daysSown) {
            $facts[] = new Fact('Days to maturity, sown in the bed', Quantity::of($t->daysSown, Unit::Day), 'days_sown');
        }
        if (null !== $t->daysTransplanted) {
            $facts[] = new Fact('Days in the nursery', Quantity::of($t->nurseryDays, Unit::Day), 'nursery_days');
            $facts[] = new Fact('Days to maturity, from planting out', Quantity::of($t->daysTransplanted, Unit::Day), 'days_transplanted');
        }
        if (!$crop->pattern->isStock()) {
            return $facts;
        }

        return [...$facts, new Fact('Ripens over', Quantity::of($t->spread, Unit::Day), 'spread_days'), new Fact('Stands fit for',
            Quantity::of($t->hold, Unit::Day), 'hold_days')];
    }

    /** @return list<Fact> */
    private function harvest(Crop $crop): array
    {
        $p = $crop->produce;
        $r = $crop->rhythm;
        $facts = [
            new Fact('Harvest', $crop->pattern, 'pattern'),
            new Fact('Sold by', $p->isByWeight() ? $p->goods(1.0) : $p->unit, 'unit'),
            new Fact('Yield', $p->ofAMetre($p->perMetre), 'yield_per_m'),
            new Fact('Lost in packing', Quantity::of($p->packingLoss, Unit::Share), 'packing_loss'),
            new Fact('Keeps', Quantity::of($p->keepingDays, Unit::Day), 'keeping_days'),
            new Fact('Shrinks in store', [Quantity::of($p->weeklyLoss, Unit::Share), 'a week'], 'weekly_loss'),
            new Fact('Ready when', new Prose($crop->habits->sign), 'sign'),
            new Fact('Best picked', $crop->habits->pickTime, 'pick_time'),
            new Fact('To be cool within', 0 === $crop->habits->coolHours ? 'no hurry' : Quantity::of($crop->habits->coolHours,
                Unit::Hour), 'cool_hours'),
            ...$this->store($crop),
            new Fact('Toxic', $crop->habits->toxic, 'toxic'),
        ];

        return match ($crop->pattern) {
            Pattern::Cuts => [...$facts, new Fact('Cuts', (string) $r->cuts, 'cuts'), new Fact('Regrowth', Quantity::of($r->every,
                Unit::Day), 'every_days'), new Fact('Each cut gives of the one before', Quantity::of($r->laterShare, Unit::Share),
                    'later_share')],
            Pattern::Picking => [...$facts, new Fact('Picked every', Quantity::of($r->every, Unit::Day), 'every_days'),
                new Fact('Picked for', Quantity::of($r->lasts, Unit::Day), 'picking_days'), new Fact('Climbs to full picking in',
                    Quantity::of($r->ramp, Unit::Day), 'ramp_days')],
            Pattern::Perennial => [...$facts, new Fact('Years to the first harvest', (string) $r->yearsToFirst, 'years_to_first'),
                new Fact('Harvested', self::window($r->harvest), 'harvest_window'), ...self::seasons($r)],
            Pattern::Once, Pattern::DigAsNeeded => $facts,
            Pattern::GreenManure => [new Fact('Harvest', $crop->pattern, 'pattern'), new Fact('Dry matter', $p->ofAMetre($p->perMetre),
                'yield_per_m'), new Fact('Ended when', new Prose($crop->habits->sign), 'sign'), new Fact('Toxic', $crop->habits->toxic,
                    'toxic')],
        };
    }

    /** @return list<Fact> */
    private function stand(Crop $crop, Units $units): array
    {
        $s = $crop->stand;
        $h = $crop->habits;
        $school = static fn (?SpacingSchool $one): array => null === $one ? [] : [Quantity::of($one->rows, Unit::Row), ',',
            Quantity::short($one->inRow), 'apart'];

        return [
            new Fact('Grown from', $h->stock, 'stock'),
            ...($h->stockAhead > 0 ? [new Fact('Cut, sprouted or started', [Quantity::of($h->stockAhead, Unit::Day), 'before'],
                'stock_ahead_days')] : []),
            new Fact(['Rows in a bed of', Quantity::short(Length::fromCentimetres(75))], (string) $s->rows, 'rows'),
            new Fact('Distance in the row', Quantity::short($s->inRow), 'in_row_cm'),
            ...(null === $s->sowing ? [] : [new Fact('Sown at', [Quantity::short($s->sowing), '; about',
                Quantity::of($s->expected() * $s->rows, Unit::Plant), 'a metre come up'], 'sow_cm')]),
            new Fact('Wide rows for the hoe', $school($h->hoe), 'spacing_hoe'),
            ...(null === $h->underCover ? [] : [new Fact('Closer under cover', $school($h->underCover), 'spacing_cover')]),
            ...self::planted($crop),
            new Fact('Depth', Quantity::short($s->depth), 'depth_cm'),
            new Fact('Seeds per spot', (string) $s->seedsPerSpot, 'seeds_per_spot'),
            new Fact('Plants left at each spot', (string) $s->plantsPerSpot, 'plants_per_spot'),
            new Fact('Plants per seed unit', Units::number($s->plantsPerSeedUnit, 2), 'plants_per_seed_unit'),
            new Fact('Germination', Quantity::of($s->germination, Unit::Share), 'germination'),
            new Fact('Field factor', Quantity::of($s->fieldFactor, Unit::Share), 'field_factor'),
            \in_array($h->stock, [Stock::Seed, Stock::SeedBall], true) ? new Fact('A thousand seeds weigh',
                Quantity::of($s->thousandSeedGrams, Unit::Gram), 'thousand_seed_g') : new Fact('One piece weighs',
                    Quantity::of($s->thousandSeedGrams / 1000, Unit::Gram), 'thousand_seed_g'),
            new Fact('Lost in the nursery', Quantity::of($s->trayLoss, Unit::Share), 'tray_loss'),
            new Fact('Cells per tray', (string) $s->cellsPerTray, 'cells_per_tray'),
            new Fact('Raised in', $s->container, 'container'),
        ];
    }

    /** @return list<Fact> how it stands out of trays, where that is not as it is sown */
    private static function planted(Crop $crop): array
    {
        $planted = $crop->standFor(Method::Transplanted);

        return $planted === $crop->stand ? [] : [
            new Fact('Planted out of trays', [Quantity::of($planted->rows, Unit::Row), ',', Quantity::short($planted->inRow), 'apart'],
                'spacing_planted'),
            ...($planted->seedsPerSpot === $crop->stand->seedsPerSpot ? []
                : [new Fact('Seeds per cell', (string) $planted->seedsPerSpot, 'seeds_per_cell')]),
            ...($planted->plantsPerSpot === $crop->stand->plantsPerSpot ? []
                : [new Fact('Plants left in a cell', (string) $planted->plantsPerSpot, 'plants_per_cell')]),
        ];
    }

    /** @return list<Fact> */
    private function growth(Crop $crop): array
    {
        $g = $crop->growth;
        $up = array_merge(...array_map(static fn (int $degrees, float $days): array => [Quantity::of($degrees, Unit::Celsius),
            Units::number($days, 1).' d', ','], array_keys($g->emergence->days), $g->emergence->days));
        $facts = [
            new Fact('Develops from', Quantity::of($g->temperature->least, Unit::Celsius), 't_least'),
            new Fact('Develops fastest at', Quantity::of($g->temperature->best, Unit::Celsius), 't_best'),
            new Fact('Stops at', Quantity::of($g->temperature->most, Unit::Celsius), 't_most'),
            new Fact('Catalogue days hold at a mean of', Quantity::of($g->reference, Unit::Celsius), 't_reference'),
            new Fact('Days to emergence, by soil', \array_slice($up, 0, -1), 'emergence'),
            ...(null === $g->bulbHours ? [] : [new Fact('Bulbs in days of', [Quantity::of($g->bulbHours, Unit::Hour),
                ': planted late it ripens smaller, not later'], 'bulb_hours')]),
            new Fact('Ripens', $g->anchored ? 'in its season, whatever the count of days' : 'by warmth and light', 'maturity'),
        ];

        return $g->anchored && Pattern::Perennial !== $crop->pattern ? [...$facts, new Fact('Harvested at 47° north',
            self::window($crop->rhythm->harvest), 'harvest_window')] : $facts;
    }

    /** @return list<Fact> */
    private function store(Crop $crop): array
    {
        $room = $crop->habits->store;
        if (null === $room) {
            return [];
        }

        return [
            new Fact('Stored at', Quantity::of($room->celsius, Unit::Celsius), 'store_c'),
            new Fact('Humidity', Quantity::of($room->humidity, Unit::Percent), 'store_rh'),
            new Fact('Keeps at its best', [(string) $room->least, 'to', Quantity::of($room->most, Unit::Day)], 'store_days'),
            ...(null === $room->chill ? [] : [new Fact('Harmed by cold below', Quantity::of($room->chill, Unit::Celsius), 'chill_c')]),
            ...(Cleaning::Washed === $room->cleaning ? [] : [new Fact('Cleaned', $room->cleaning, 'cleaning')]),
        ];
    }

    /** @return list<Fact> */
    private function hazards(Crop $crop): array
    {
        $l = $crop->limits;
        $cold = $l->cold;
        $degrees = static fn (float $celsius): Quantity => Quantity::of($celsius, Unit::Celsius);
        $share = static fn (float $share): Quantity => Quantity::of($share, Unit::Share);

        return [
            new Fact('Soil at least', $degrees($l->soilLeast), 'soil_least'),
            ...($l->soilMost > 45.0 ? [] : [new Fact('Soil at most', $degrees($l->soilMost), 'soil_most')]),
            new Fact('Frost', $crop->habits->hardiness, 'frost_class'),
            new Fact('Killed, when hardened, at', [$degrees($cold->kill), ...($cold->comesAgain ? ['tops come again'] : [])], 'kill_c'),
            ...(null === $cold->youngKill ? [] : [new Fact('Killed while young at', $degrees($cold->youngKill), 'young_kill_c')]),
            ...(null === $cold->hurt ? [] : [new Fact('What is harvested is spoiled at', [$degrees($cold->hurt),
                ...(null === $cold->hurtFrom ? [] : ['from', $share($cold->hurtFrom), 'of its days'])], 'hurt_c')]),
            ...(null === $l->heat ? [] : [new Fact('Too hot from', [$degrees($l->heat->day), 'by day',
                ...(null === $l->heat->night ? [] : ['or', $degrees($l->heat->night), 'by night'])], 'hot')]),
            ...(null === $l->chill ? [] : [new Fact('Runs to seed after', [Quantity::of($l->chill->days, Unit::Day), 'of chill and',
                Quantity::of($l->chill->warmth, Unit::DegreeDay), 'of spring'], 'chill_days')]),
            ...(0.0 === $l->chillNeed ? [] : [new Fact('Needs a winter of', [Quantity::of($l->chillNeed, Unit::Day), 'of chill'],
                'chill_need')]),
            ...(null === $l->longDays ? []
                : [new Fact('Runs to seed in', 'warm days longer than '.Units::number($l->longDays->hoursFrom, 1).' hours',
                    'long_days')]),
            ...(null === $l->cool ? [] : [new Fact('Ends when two weeks are below', $degrees($l->cool), 'cool_c')]),
        ];
    }

    /** @return list<Fact> */
    private function neighbours(Crop $crop, Units $units): array
    {
        $h = $crop->habits;

        return [
            new Fact('pH', Units::number($h->phLeast, 1).' to '.Units::number($h->phMost, 1), 'ph'),
            new Fact('Rotates with', $h->rotation, 'rotation'),
            new Fact('Kept from other varieties in flower', 0 === $h->isolation ? 'no need' : [Quantity::of($h->isolation, Unit::Metre),
                ...($h->isolationDays > 0 ? ['or', Quantity::of($h->isolationDays, Unit::Day), 'between flowerings'] : [])], 'isolation_m'),
            new Fact('Bees', $h->needsBees() ? 'must reach the flowers' : 'not needed', 'bees'),
            ...(null === $h->flowerDays ? [] : [new Fact('From open flower to harvest', Quantity::of($h->flowerDays, Unit::Day),
                'flower_days')]),
        ];
    }

    /** @return list<Fact> */
    private function place(Crop $crop, Garden $garden): array
    {
        $facts = [new Fact('Family', $crop->family, 'family'), new Fact('Feeding', $crop->feeding->value, 'feeding')];
        foreach ($crop->places() as $place) {
            $method = $crop->methods()[0] ?? Method::Sown;
            $windows = SowingWindows::of($garden, $crop, $place, $method);
            $facts[] = new Fact(['Into the ground here,', $place], [] === $windows ? 'never' : self::windows($windows),
                'here');
        }

        return $facts;
    }
}
