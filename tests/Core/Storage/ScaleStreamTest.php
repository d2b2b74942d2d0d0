<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Storage;

use JollyFurrow\Storage\ScaleFault;
use JollyFurrow\Storage\ScaleStream;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A scale at rest is one whose last five readings lie within twenty grams; what it came to rest at last counts. */
final class ScaleStreamTest extends TestCase
{
    /** @return iterable<string, array{list<string>, float, float|ScaleFault}> lines, tare in grams, grams or what is wrong */
    public static function streams(): iterable
    {
        $rest = ['12.340 kg', '12.345 kg', '12.335 kg', '12.340 kg', '12.350 kg'];
        yield 'at rest' => [$rest, 0.0, 12_340.0];
        yield 'set down, swinging, at rest' => [['0.00 kg', '3.1 kg', '14.2 kg', '11.8 kg', ...$rest], 0.0, 12_340.0];
        yield 'two crates of 1.5 kg' => [$rest, 3_000.0, 9_340.0];
        yield 'drop-outs between' => [['12.340 kg', '', '12.345 kg', '###', '12.335 kg', '12.3 40kg', '12.340 kg', '12.350 kg'], 0.0,
            12_340.0];
        yield 'decimal comma, plus sign, no blank' => [array_fill(0, 5, '+12,5kg'), 0.0, 12_500.0];
        yield 'pounds' => [array_fill(0, 5, '10.00 lb'), 0.0, 4_535.9237];
        yield 'first one crate, then another' => [[...array_fill(0, 6, '8.00 kg'), '0.00 kg', '4.1 kg', ...array_fill(0, 6, '9.50 kg')],
            0.0, 9_500.0];
        yield 'never at rest' => [['12.30 kg', '12.40 kg', '12.30 kg', '12.40 kg', '12.30 kg', '12.40 kg'], 0.0, ScaleFault::Unsteady];
        yield 'four are too few' => [\array_slice($rest, 0, 4), 0.0, ScaleFault::Unsteady];
        yield 'within twenty grams' => [['5.000 kg', '5.020 kg', '5.000 kg', '5.020 kg', '5.010 kg'], 0.0, 5_010.0];
        yield 'not within thirty' => [['5.000 kg', '5.030 kg', '5.000 kg', '5.030 kg', '5.010 kg'], 0.0, ScaleFault::Unsteady];
        yield 'an empty scale' => [array_fill(0, 9, '0.03 kg'), 0.0, ScaleFault::Unsteady];
        yield 'no unit' => [array_fill(0, 9, '12.34'), 0.0, ScaleFault::NoUnit];
        yield 'a unit nobody weighs by' => [array_fill(0, 9, '12.34 st'), 0.0, ScaleFault::OtherUnit];
        yield 'less than its crates' => [array_fill(0, 5, '1.20 kg'), 1_500.0, ScaleFault::BelowTare];
        yield 'nothing' => [[], 0.0, ScaleFault::Unsteady];
    }

    /** @param list<string> $lines */
    #[DataProvider('streams')]
    public function testWhatItCameToRestAt(array $lines, float $tare, float|ScaleFault $weighs): void
    {
        $read = ScaleStream::read($lines, $tare);

        if ($weighs instanceof ScaleFault) {
            self::assertSame([null, $weighs], [$read->grams, $read->fault]);
        } else {
            self::assertNull($read->fault);
            self::assertEqualsWithDelta($weighs, $read->grams, 1e-6);
        }
    }

    public function testDropOutsAreCounted(): void
    {
        self::assertSame(3, ScaleStream::read(['12 kg', '', '?', '1 2 kg', '12 kg'], 0.0)->dropOuts);
    }
}
