<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Support;

use JollyFurrow\Feed\CropNeed;
use JollyFurrow\Feed\FeedCalendar;
use JollyFurrow\Feed\FeedingPlan;
use JollyFurrow\Feed\FeedPart;
use JollyFurrow\Feed\FeedRule;
use JollyFurrow\Feed\NeedTable;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Irrigation\CropWater;
use JollyFurrow\Irrigation\WaterTable;
use JollyFurrow\Work\CareCalendar;
use JollyFurrow\Work\CarePoint;
use JollyFurrow\Working\Source;

/** Needs of round numbers, without the application. */
final class Feeding
{
    /** Lettuce 200 N, 250 to 0 P2O5, 250 to 0 K2O; radish half of it. */
    public static function needs(): NeedTable
    {
        $row = static fn (string $key, float $times, string ...$crops): CropNeed => new CropNeed($key, $key, array_values($crops),
            array_map(static fn (float $n): float => $n * $times, [200.0, 180.0, 160.0, 150.0, 125.0, 75.0, 30.0]),
            array_map(static fn (float $n): float => $n * $times, [250.0, 200.0, 150.0, 100.0, 0.0]),
            array_map(static fn (float $n): float => $n * $times, [250.0, 200.0, 150.0, 0.0, 0.0]), Source::practice());

        return new NeedTable([$row('lettuce', 1.0, 'lettuce-head'), $row('radish', 0.5, 'radish'), $row('heavy', 1.0), $row('medium', 0.8),
            $row('light', 0.5), $row('giver', 0.5)]);
    }

    /** Lettuce 40 % at planting, the rest every ten days from then on until it is ready; all others at once. */
    public static function calendar(): FeedCalendar
    {
        $once = new FeedPart('at planting', CarePoint::Ground, 0, 0.0, 1.0, null, 1.0);

        return new FeedCalendar([new FeedRule(['lettuce-head'], [], [new FeedPart('at planting', CarePoint::Ground, 0, 0.0, 0.4, null, 1.0),
            new FeedPart('growing on', CarePoint::Ground, 10, 0.0, 0.6, 10, 1.0)]), new FeedRule([], ['heavy', 'medium', 'light', 'giver'],
                [$once])]);
    }

    public static function plan(Garden $garden): FeedingPlan
    {
        return FeedingPlan::of($garden, Book::crops(), Book::recipes(), self::needs(), self::calendar(), new CareCalendar($garden,
            Book::crops(), Book::recipes(), []));
    }

    public static function water(): WaterTable
    {
        return new WaterTable([new CropWater('lettuce', ['lettuce-head'], 0.7, 1.0, 0.95, 0.35, 0.3, 0, Source::practice()),
            new CropWater('onion', ['onion'], 0.7, 1.05, 0.75, 0.45, 0.3, 14, Source::practice()),
            new CropWater('other', [], 0.6, 1.05, 0.9, 0.5, 0.35, 0, Source::practice())]);
    }
}
