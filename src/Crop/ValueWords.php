<?php

declare(strict_types=1);

namespace App\Crop;

use JollyFurrow\Book\BookColumns;

/** The values of the book in a grower's words, grouped for a form. */
final class ValueWords
{
    private const GROUPS = [
        'Name' => ['name' => 'Crop', 'also' => 'Also called', 'variety' => 'Variety', 'family' => 'Family'],
        'Your notes' => ['note_tolerance' => 'What it bears, what it takes', 'note_quality' => 'Quality in hand and on the plate',
            'note_customers' => 'What customers say'],
        'Timing' => ['days_sown' => 'Days to maturity, sown in the bed', 'nursery_days' => 'Days in the nursery',
            'days_transplanted' => 'Days to maturity, from planting out', 'spread_days' => 'Ripens over, days',
            'hold_days' => 'Stands fit for, days', 'maturity' => 'Ripens', 'harvest_window' => 'Harvested at 47° north',
            'planting_slope' => 'Later for each week of later planting, days', 'bulb_hours' => 'Bulbs in days of, hours'],
        'Harvest and sale' => ['pattern' => 'Harvest', 'form' => 'What is harvested', 'unit' => 'Sold by',
            'yield_per_m' => 'Yield per metre of bed', 'packing_loss' => 'Lost in packing', 'keeping_days' => 'Keeps, days',
            'weekly_loss' => 'Shrinks in store a week', 'stored' => 'Stored', 'cuts' => 'Cuts',
            'every_days' => 'Regrowth, or days between pickings', 'later_share' => 'Each cut gives of the one before',
            'picking_days' => 'Picked for, days', 'ramp_days' => 'Climbs to full picking in, days',
            'years_to_first' => 'Years to the first harvest', 'season_days' => 'Days of harvest in the first seasons',
                'sign' => 'Ready when', 'pick_time' => 'Best picked',
            'cool_hours' => 'To be cool within, hours'],
        'Spacing and stock' => ['rows' => 'Rows in a bed of 75 cm', 'in_row_cm' => 'Distance in the row, cm', 'sow_cm' => 'Sown at, cm',
            'spacing_hoe' => 'Wide rows for the hoe', 'spacing_cover' => 'Closer under cover',
            'spacing_planted' => 'Planted out of trays', 'seeds_per_cell' => 'Seeds per cell',
                'plants_per_cell' => 'Plants left in a cell', 'depth_cm' => 'Depth, cm',
            'stock' => 'Grown from', 'stock_ahead_days' => 'Stock cut or started before, days', 'seeds_per_spot' => 'Seeds per spot',
            'plants_per_spot' => 'Plants left at each spot', 'plants_per_seed_unit' => 'Plants per seed unit',
            'germination' => 'Germination', 'field_factor' => 'Field factor', 'thousand_seed_g' => 'A thousand weigh, g',
            'tray_loss' => 'Lost in the nursery', 'cells_per_tray' => 'Cells per tray', 'container' => 'Raised in'],
        'Season and place' => ['ground_field' => 'Into the ground, open field', 'ground_tunnel' => 'Into the ground, unheated tunnel',
            'ground_heated' => 'Into the ground, heated', 'recipe' => 'Preparation recipe', 'feeding' => 'Feeding', 'ph' => 'pH',
            'rotation' => 'Rotates with', 'isolation_m' => 'From other varieties in flower, m',
            'isolation_days' => 'or days between flowerings', 'pollen' => 'Kind of pollen', 'bees' => 'Bees must reach the flowers',
            'flower_days' => 'Days from flower to harvest'],
        'Warmth, frost and bolting' => ['t_least' => 'Develops from, °C', 't_best' => 'Develops fastest at, °C',
            't_most' => 'Stops at, °C', 't_reference' => 'Catalogue days hold at, °C', 'emergence' => 'Days to emergence by soil',
            'light' => 'Content with light like', 'soil_least' => 'Soil at least, °C', 'soil_most' => 'Soil at most, °C',
            'frost_tender' => 'Ended by frost', 'frost_class' => 'Frost', 'kill_c' => 'Killed, when hardened, at, °C',
            'hurt_c' => 'What is harvested is spoiled at, °C', 'hurt_from' => 'and lost from this share of its days',
            'young_kill_c' => 'Killed while young at, °C', 'comes_again' => 'Comes again after frost',
            'hot' => 'Too hot from, by day and night, °C', 'hot_costs' => 'Heat takes', 'hot_lag_days' => 'and is felt after, days',
            'hot_share' => 'while this share of its days', 'hot_pause' => 'No harvest above this share of hot days',
            'hot_rules' => 'Heat decides what is usual', 'chill_days' => 'Runs to seed after chill days',
            'seed_warmth' => 'and spring warmth of, degree days', 'chill_need' => 'Needs chill days',
            'long_days' => 'Runs to seed in long warm days', 'long_days_sum' => 'at a sum of', 'germinating' => 'Germinates by soil',
            'germinating_least' => 'Not sown below a share of', 'cool_c' => 'Ends when two weeks are below, °C',
            'slow' => 'Usual within so many times its days', 'pick_share' => 'Usual from this share of the best harvest',
            'first_share' => 'First of it after this share of its days', 'longest_days' => 'Ready within, days',
            'mildews' => 'Mildews in the warm end of summer'],
        'Store' => ['store_c' => 'Stored at, °C', 'store_rh' => 'Humidity, %', 'store_days' => 'Keeps at its best, days',
            'chill_c' => 'Harmed by cold below, °C', 'cleaning' => 'Cleaned', 'toxic' => 'Toxic'],
    ];

    /** @return array<string, array<string, array{label: string, hint: string}>> by group and name */
    public static function groups(): array
    {
        $looks = BookColumns::all();

        $groups = [];
        foreach (self::GROUPS as $title => $names) {
            foreach ($names as $name => $label) {
                $groups[$title][$name] = ['label' => $label, 'hint' => $looks[$name]];
            }
        }

        return $groups;
    }

    public static function of(string $name): string
    {
        foreach (self::GROUPS as $group) {
            if (isset($group[$name])) {
                return $group[$name];
            }
        }

        return $name;
    }
}
