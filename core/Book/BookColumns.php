<?php

declare(strict_types=1);

namespace JollyFurrow\Book;

/** The names of all values the book knows of a crop, and what each must look like. */
final class BookColumns
{
    /** Values that are words and may be as long as a sentence. */
    public const NOTES = ['note_tolerance', 'note_quality', 'note_customers'];

    /** Windows of the year. */
    public const WINDOWS = ['ground_field', 'ground_tunnel', 'ground_heated', 'harvest_window'];

    /** @return array<string, string> what it must look like, by name; in the order a grower would fill them in */
    public static function all(): array
    {
        return [
            'of' => 'key of the crop it is a further variety of', 'name' => 'words',
                'also' => 'other names; one after the other', 'variety' => 'words', 'family' => 'words',
            'feeding' => 'giver, light, medium or heavy', 'frost_tender' => 'yes or no',
                'pattern' => 'once, cuts, picking, perennial, dig or green-manure',
            'nursery_days' => 'days', 'days_sown' => 'days', 'days_transplanted' => 'days', 'spread_days' => 'days', 'hold_days' => 'days',
            'rows' => 'rows in a bed of 75 cm', 'in_row_cm' => 'cm', 'sow_cm' => 'cm', 'depth_cm' => 'cm', 'seeds_per_spot' => 'number',
                'plants_per_spot' => 'number', 'plants_per_seed_unit' => 'number',
            'germination' => 'share from 0.05 to 1', 'field_factor' => 'share from 0.05 to 1', 'thousand_seed_g' => 'g',
                'tray_loss' => 'share from 0 to 0.9', 'cells_per_tray' => 'cells', 'container' => 'cells, blocks, chain or seedbed',
            'form' => 'words', 'unit' => 'a word, or 100 g', 'yield_per_m' => 'units of sale', 'packing_loss' => 'share from 0 to 0.9',
                'keeping_days' => 'days', 'weekly_loss' => 'share a week', 'stored' => 'yes or no',
            'ground_field' => 'window such as 15 Mar to 20 Jul', 'ground_tunnel' => 'window such as 15 Mar to 20 Jul',
                'ground_heated' => 'window such as 15 Mar to 20 Jul',
            'cuts' => 'number', 'every_days' => 'days', 'later_share' => 'share', 'picking_days' => 'days', 'ramp_days' => 'days',
                'years_to_first' => 'years', 'season_days' => 'days in each of the first seasons, such as 14 28',
                'harvest_window' => 'window such as 15 Mar to 20 Jul',
            'recipe' => 'key of a preparation recipe',
            't_least' => '°C', 't_best' => '°C', 't_most' => '°C', 't_reference' => '°C',
                'emergence' => 'degrees:days, such as 10:7.0 15:3.9', 'maturity' => 'developing or anchored',
                'planting_slope' => 'days a week', 'bulb_hours' => 'hours of day that start bulbs',
            'light' => 'hardy, ordinary, potato or warm', 'soil_least' => '°C', 'soil_most' => '°C',
                'frost_class' => 'tender, half-hardy or hardy', 'kill_c' => '°C, hardened', 'hurt_c' => '°C',
                'hurt_from' => 'share of its days', 'young_kill_c' => '°C', 'comes_again' => 'yes or no',
            'hot' => '°C by day / by night, such as 31.5/23.5', 'hot_costs' => 'leaves, flowers or tubers', 'hot_lag_days' => 'days',
                'hot_share' => 'shares of its days such as 0.4..0.6', 'hot_pause' => 'share of days', 'hot_rules' => 'yes or no',
            'chill_days' => 'days', 'seed_warmth' => 'degree days', 'chill_need' => 'days',
                'long_days' => 'hours from, over, at most, and the same of °C', 'long_days_sum' => 'sum',
            'germinating' => 'degrees:percent, such as 20:99 25:99 30:12', 'germinating_least' => 'share',
            'cool_c' => '°C', 'slow' => 'times its days', 'pick_share' => 'share', 'first_share' => 'share of its days',
                'longest_days' => 'days', 'mildews' => 'yes or no',
            'sign' => 'words',
                'pick_time' => 'cool-morning, after-dew, dry, any or none', 'cool_hours' => 'hours; 0: no hurry',
            'spacing_hoe' => 'rows x cm, such as 2x45', 'spacing_cover' => 'rows x cm, such as 2x45',
                'spacing_planted' => 'rows x cm, such as 4x19', 'seeds_per_cell' => 'number', 'plants_per_cell' => 'number',
                'stock' => 'seed, seed-ball, piece, set, clove, crown, slip or runner', 'stock_ahead_days' => 'days',
            'ph' => 'range such as 6.0..7.0', 'rotation' => implode(', ', HabitsReader::ROTATION), 'isolation_m' => 'm; 0: none',
                'isolation_days' => 'days', 'pollen' => 'yellow, white or supersweet',
                'bees' => 'yes or no', 'flower_days' => 'days from flower to harvest',
            'store_c' => '°C', 'store_rh' => '%', 'store_days' => 'range such as 14..21', 'chill_c' => '°C',
                'cleaning' => 'washed, rubbed, as-dug, stem-left or stem-trimmed', 'toxic' => 'words',
            'note_tolerance' => 'words', 'note_quality' => 'words', 'note_customers' => 'words',
        ];
    }
}
