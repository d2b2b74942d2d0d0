<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Book;

use JollyFurrow\Book\OldValues;
use JollyFurrow\Book\OwnValue;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Nothing a grower wrote of frost and bolting is lost when the book tells them otherwise. */
final class OldValuesTest extends TestCase
{
    /** @param array<string, string> $told */
    #[TestWith(['seedling:-3 grown:-6 harvest:-4', ['kill_c' => '-6', 'hurt_c' => '-4']])]
    #[TestWith(['seedling:-3', ['kill_c' => '-3']])]
    #[TestWith(['harvest:-1', ['hurt_c' => '-1']])]
    #[TestWith(['grown:cold', []])]
    #[TestWith(['', []])]
    public function testFrostByStage(string $is, array $told): void
    {
        $values = OldValues::told([new OwnValue('leek', 'frost_damage', $is, 'seen in 2024')]);

        self::assertSame($told, array_column(array_map(static fn (OwnValue $v): array => [$v->name, $v->is], $values), 1, 0));
        foreach ($values as $value) {
            self::assertSame(['leek', 'seen in 2024'], [$value->crop, $value->note]);
        }
    }

    public function testFixedLimitsOfBoltingBecomeANote(): void
    {
        $told = OldValues::told([
            new OwnValue('leek', 'bolts', 'cold day', ''),
            new OwnValue('leek', 'bolt_cold_days', '30', ''),
            new OwnValue('leek', 'bolt_day_hours', '14', ''),
            new OwnValue('leek', 't_best', '21', ''),
            new OwnValue('chard', 'note_tolerance', 'Stands a lot', 'from a neighbour'),
            new OwnValue('chard', 'bolt_heat_c', '26', ''),
        ]);
        $words = array_map(static fn (OwnValue $v): string => $v->crop.' '.$v->name.': '.$v->is, $told);

        self::assertSame([
            'leek t_best: 21',
            'chard note_tolerance: Stands a lot (runs to seed in a week of 26 °C)',
            'leek note_tolerance: Runs to seed after 30 days below 7 °C; runs to seed in days of 14 hours.',
        ], $words);
        self::assertSame('from a neighbour', $told[1]->note);
    }

    /** What is told already stays, so that reading twice does no harm. */
    public function testTellsOnlyOnce(): void
    {
        $once = OldValues::told([new OwnValue('leek', 'frost_damage', 'grown:-8 harvest:-5', ''),
            new OwnValue('leek', 'bolt_heat_c', '25', '')]);

        self::assertEquals($once, OldValues::told($once));
    }
}
