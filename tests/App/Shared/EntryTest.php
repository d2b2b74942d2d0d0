<?php

declare(strict_types=1);

namespace App\Tests\Shared;

use App\Shared\Entry;
use App\Shared\Role;
use JollyFurrow\Measure\LengthUnit;
use JollyFurrow\Measure\Units;
use JollyFurrow\Message\Message;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class EntryTest extends TestCase
{
    #[TestWith(['12', 12])]
    #[TestWith([' 7 ', 7])]
    #[TestWith(['-1', null])]
    #[TestWith(['100', null])]
    #[TestWith(['3.5', null])]
    #[TestWith(['', null])]
    #[TestWith(['99999999999999999999', null])]
    public function testWholeNumbersWithinLimits(string $typed, ?int $read): void
    {
        $entry = new Entry(['n' => $typed]);
        $number = $entry->int('n', 0, 99);

        self::assertSame(null !== $read, $entry->isGood());
        self::assertSame($read ?? 0, $number);
    }

    /** As it stands on the scale, whatever the garden's own units; a bare number is in these. */
    #[TestWith(['12 lb', Units::Metric, 5443.1])]
    #[TestWith(['800 g', Units::UsCustomary, 800.0])]
    #[TestWith(['1.5', Units::Metric, 1500.0])]
    #[TestWith(['1.5', Units::UsCustomary, 680.4])]
    #[TestWith(['two', Units::Metric, null])]
    #[TestWith(['200 kg', Units::Metric, null])]
    public function testWeightsInEitherUnits(string $typed, Units $bare, ?float $grams): void
    {
        $entry = new Entry(['w' => $typed]);
        $mass = $entry->mass('w', $bare, 100_000.0);

        self::assertSame(null !== $grams, $entry->isGood());
        self::assertEqualsWithDelta($grams ?? 0.0, $mass->grams, 0.05);
    }

    #[TestWith(['0,5', 0.5])]
    #[TestWith(['12', 12.0])]
    #[TestWith(['1e3', null])]
    #[TestWith(['NaN', null])]
    #[TestWith(['1.2.3', null])]
    public function testNumbersWithEitherMark(string $typed, ?float $read): void
    {
        $entry = new Entry(['n' => $typed]);

        self::assertSame($read ?? 0.0, $entry->float('n', 0, 100));
        self::assertSame(null !== $read, $entry->isGood());
    }

    public function testTheFirstFaultOfAFieldStaysAndTheTypingToo(): void
    {
        $entry = new Entry(['length' => '3 cubits']);
        $entry->length('length', LengthUnit::Metre, 0.5, 500);
        $entry->fault('length', 'something else');

        self::assertSame('unknown-unit unit="cubits"', self::text($entry->faults()['length']));
        self::assertSame('3 cubits', $entry->raw('length'));
    }

    public function testChoicesOutsideTheListAreFaults(): void
    {
        $entry = new Entry(['role' => 'king', 'block' => ['A'], 'days' => ['1', ['x'], '', '3']]);
        $entry->choice('role', Role::class);
        $entry->oneOf('block', ['A', 'B']);

        self::assertSame(['role', 'block'], array_keys($entry->faults()));
        self::assertSame(['1', '3'], $entry->several('days'));
    }

    public function testTextsAreNotEmptyAndNotTooLong(): void
    {
        $entry = new Entry(['a' => '   ', 'b' => str_repeat('x', 11), 'c' => 'fits']);
        $entry->text('a', 10);
        $entry->text('b', 10);

        self::assertSame('fits', $entry->text('c', 10));
        self::assertSame(['a' => 'Please write something here.', 'b' => 'At most 10 characters fit here.'], $entry->faults());
    }

    private static function text(string|Message $fault): string
    {
        return $fault instanceof Message ? $fault->logged() : $fault;
    }
}
