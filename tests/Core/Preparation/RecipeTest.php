<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Preparation;

use JollyFurrow\Measure\Length;
use JollyFurrow\Tests\Support\Book;
use JollyFurrow\Time\Day;
use PHPUnit\Framework\TestCase;

final class RecipeTest extends TestCase
{
    public function testStepsAreDatedBackwardsAndTimedByLength(): void
    {
        $steps = Book::recipes()->get('tarp-shallow-till')->datedFor(Day::parse('2026-05-19'), Length::fromMetres(12.5));

        self::assertSame(['2026-04-14', '2026-05-18'], array_map(static fn (array $s): string => $s['day']->iso(), $steps));
        self::assertSame([0.25, 0.5], array_map(static fn (array $s): float => $s['hours']->value, $steps));
    }

    public function testTheBedIsTakenFromTheLongestLead(): void
    {
        self::assertSame(35, Book::recipes()->get('tarp-shallow-till')->leadDays());
    }
}
