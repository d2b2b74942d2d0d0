<?php

declare(strict_types=1);

namespace App\Tests\Support;

/** A garden file small enough to read: four beds, two outlets, three products, one planting. */
final class SmallGarden
{
    /** @return array<string, mixed> */
    public static function values(): array
    {
        $bed = static fn (string $name, string $block, string $place): array => ['name' => $name, 'block' => $block,
            'length_mm' => 25000, 'width_mm' => 750, 'path_mm' => 450, 'place' => $place];
        $promises = [];
        foreach (['2026-06-03', '2026-06-10', '2026-06-17'] as $day) {
            $promises[] = ['outlet' => 'boxes', 'product' => 'lettuce', 'day' => $day, 'quantity' => 20];
        }

        return [
            'format' => 'jolly-furrow-garden', 'version' => 1, 'name' => 'Little Rill', 'today' => '2026-03-02',
            'place' => ['name' => 'Rill', 'latitude' => 46.9, 'altitude_m' => 310, 'last_frost' => '05-14', 'first_frost' => '10-06'],
            'settings' => [
                'units' => 'metric', 'currency' => 'EUR', 'sowing_days' => ['Tuesday', 'Friday'], 'recipe' => 'compost-mulch',
                'rent' => ['field' => 20.0, 'tunnel' => 60.0, 'heated' => 90.0], 'shortage_factor' => 1.5, 'keeping_share' => 0.002,
                    'wage' => 1800,
                'rotation_years' => ['field' => 3, 'tunnel' => 0, 'heated' => 0], 'compost_depth_mm' => 20,
                    'nitrogen_rate_g_m2' => 10.0, 'fertiliser_nitrogen_percent' => 10.0,
            ],
            'blocks' => ['A', 'T'],
            'beds' => [$bed('A1', 'A', 'field'), $bed('A2', 'A', 'field'), $bed('A3', 'A', 'field'), $bed('T1', 'T', 'tunnel')],
            'history' => [['bed' => 'A1', 'from_mm' => 0, 'to_mm' => 25000, 'width_share' => 1.0, 'crop' => 'chard',
                'cleared' => '2025-09-30']],
            'outlets' => [
                ['key' => 'boxes', 'name' => 'Boxes', 'weekday' => 3, 'priority' => 1, 'pick_window_days' => 3,
                    'pick_to_sale_days' => null],
                ['key' => 'stall', 'name' => 'Stall', 'weekday' => 6, 'priority' => 2, 'pick_window_days' => 3, 'pick_to_sale_days' => 2],
            ],
            'products' => [
                ['key' => 'lettuce', 'name' => 'Lettuce', 'unit' => 'head', 'price_cents' => 180,
                    'parts' => [['item' => 'lettuce-head', 'units' => 1.0]]],
                ['key' => 'mix', 'name' => 'Salad mix', 'unit' => 'bag', 'price_cents' => 320,
                    'parts' => [['item' => 'lettuce-leaf', 'units' => 1.0], ['item' => 'arugula', 'units' => 0.5]]],
                ['key' => 'corn', 'name' => 'Corn', 'unit' => 'ear', 'price_cents' => 110, 'parts' => [['item' => 'corn', 'units' => 1.0]]],
            ],
            'promises' => $promises,
            'climate' => ['timed_by' => 'catalogue-days', 'months' => [
                'min_c' => [-3.0, -2.5, 0.5, 3.6, 8.0, 11.2, 13.0, 12.6, 9.2, 5.4, 1.2, -1.8],
                'max_c' => [3.2, 5.0, 10.3, 15.2, 19.8, 22.9, 25.0, 24.5, 19.9, 14.2, 7.9, 4.0],
                'rain_mm' => [60.0, 55.0, 60.0, 65.0, 85.0, 95.0, 100.0, 90.0, 75.0, 65.0, 65.0, 65.0]], 'readings' => []],
            'plantings' => [[
                'key' => 'leek@2025-04-22#1', 'item' => 'leek', 'method' => 'transplanted', 'place' => 'field', 'recipe' => 'compost-mulch',
                'sow' => '2025-04-22', 'ground' => '2025-06-26', 'bed_start' => '2025-06-21', 'ready' => '2025-10-15',
                    'clear' => '2026-04-06',
                'per_metre' => 11.0, 'standing' => 'growing', 'locked' => false, 'remarks' => [],
                'pieces' => [['bed' => 'A3', 'from_mm' => 0, 'to_mm' => 25000, 'width_share' => 1.0]],
            ]],
        ];
    }

    /** @param array<string, mixed> $but what is other in it, by name */
    public static function json(array $but = []): string
    {
        return json_encode(array_replace_recursive(self::values(), $but), \JSON_THROW_ON_ERROR | \JSON_PRESERVE_ZERO_FRACTION);
    }
}
