<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Practice;

use JollyFurrow\Diary\Mark;
use JollyFurrow\Garden\Practice;
use JollyFurrow\Practice\Crew;
use JollyFurrow\Tests\Support\Book;
use JollyFurrow\Tests\Support\LittleGarden;
use JollyFurrow\Tests\Support\Work;
use PHPUnit\Framework\TestCase;

/** The crew of a practice garden ticks what is only ticked, each job once. */
final class CrewTest extends TestCase
{
    public function testJobsAreTickedOnceAndMostOfThemInTime(): void
    {
        $garden = LittleGarden::timed('2026-05-01', [LittleGarden::radish('2026-05-04'), LittleGarden::lettuce('2026-04-01')])
            ->practised(Practice::seeded(7), 'Practice');
        $crew = new Crew(Book::crops(), Book::recipes(), Work::book(), Work::care());
        for ($day = 0; $day < 30; ++$day) {
            $garden = $crew->day($garden)->garden;
            $garden = $garden->with($garden->plantings, $garden->today->plus(1));
        }
        $ticked = array_map(static fn (Mark $m): string => $m->task->text(), $garden->diary->marks);

        self::assertSame($ticked, array_unique($ticked));
        self::assertNotSame([], preg_grep('/:prepare\//', $ticked) ?: []);
        self::assertNotSame([], preg_grep('/:weed-pass\//', $ticked) ?: []);
        self::assertSame([], preg_grep('/:(sow|ground|clear):/', $ticked) ?: [], 'what happened to a planting is noted, not ticked');
    }
}
