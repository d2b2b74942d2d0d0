<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Plan;

use JollyFurrow\Beds\Conflict;
use JollyFurrow\Beds\Conflicts;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Plan\Planner;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Tests\Support\Book;
use JollyFurrow\Tests\Support\RandomGarden;
use JollyFurrow\Tests\Support\RuleOfThumb;
use PHPUnit\Framework\TestCase;

/** The planner against sowing by the calendar and the first free bed, on the same gardens in one run. */
final class AgainstRuleOfThumbTest extends TestCase
{
    public function testMoreIsKeptWithLessBedAndFewerRulesBent(): void
    {
        $planner = new Planner(Book::crops(), Book::recipes());
        $sums = ['planner' => [0.0, 0.0, 0], 'thumb' => [0.0, 0.0, 0]];
        for ($seed = 1; $seed <= 25; ++$seed) {
            $garden = RandomGarden::of($seed);
            $plans = ['planner' => $planner->draw($garden)->new, 'thumb' => RuleOfThumb::plan($garden, Book::crops(), Book::recipes())];
            foreach ($plans as $who => $plantings) {
                [$kept, $bed, $bent] = self::measured($planner, $garden->with($plantings));
                $sums[$who] = [$sums[$who][0] + $kept, $sums[$who][1] + $bed, $sums[$who][2] + $bent];
            }
        }
        [$kept, $bed, $bent] = $sums['planner'];
        [$thumbKept, $thumbBed, $thumbBent] = $sums['thumb'];

        self::assertGreaterThan($thumbKept, $kept, 'units kept');
        self::assertLessThan($thumbBed / $thumbKept, $bed / $kept, 'metre-days of bed for a unit kept');
        self::assertLessThan($thumbBent, $bent, 'soft rules bent');
    }

    /** @return array{float, float, int} promised units kept, metre-days of bed, soft rules bent */
    private static function measured(Planner $planner, Garden $garden): array
    {
        $plan = $planner->asItStands($garden);
        $kept = array_sum(array_map(array_sum(...), $plan->served));
        $bed = array_sum(array_map(static fn (Planting $p): float => $p->length()->metres() * $p->occupancy()->days(),
            $garden->plantings->all()));
        $bent = array_filter((new Conflicts(Book::crops()))->of($garden, array_map(static fn (Planting $p): string => $p->key,
            $garden->plantings->all())), static fn (Conflict $c): bool => !$c->isHard());

        return [(float) $kept, (float) $bed, \count($bent)];
    }
}
