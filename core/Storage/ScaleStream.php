<?php

declare(strict_types=1);

namespace JollyFurrow\Storage;

/**
 * What a scale says line by line, such as "12.34 kg": the weight it came to rest at. A line that cannot be read is a drop-out and
 * passed over; a unit it does not name, or one nobody weighs by, is asked, never guessed.
 */
final readonly class ScaleStream
{
    /** It rests when so many readings in a row lie within so many grams (own choice). */
    private const RESTS = 5;
    private const WITHIN = 20.0;
    /** Less than this is an empty scale, grams. */
    private const EMPTY = 50.0;
    private const GRAMS = ['kg' => 1000.0, 'g' => 1.0, 'lb' => 453.59237, 'oz' => 28.349523125];

    /**
     * @param float|null      $grams    what lay on it, less the crates; null: see the fault
     * @param int             $dropOuts lines that could not be read
     * @param ScaleFault|null $fault    null: there is a weight
     */
    private function __construct(public ?float $grams, public int $dropOuts, public ?ScaleFault $fault)
    {
    }

    /**
     * @param list<string> $lines the oldest first
     * @param float        $tare  grams of all crates on it
     */
    public static function read(array $lines, float $tare): self
    {
        /** @var list<float> $run */
        $run = [];
        $rest = null;
        $dropOuts = 0;
        $fault = ScaleFault::Unsteady;
        foreach ($lines as $line) {
            if (1 !== preg_match('/^\s*([+-]?\d{1,6}(?:[.,]\d{1,4})?)\s*([a-z]*)\s*$/i', $line, $m)) {
                ++$dropOuts;
                continue;
            }
            $unit = strtolower($m[2]);
            if (!isset(self::GRAMS[$unit])) {
                $fault = '' === $unit ? ScaleFault::NoUnit : ScaleFault::OtherUnit;
                $run = [];
                continue;
            }
            $run = [...\array_slice($run, 1 - self::RESTS), (float) str_replace(',', '.', $m[1]) * self::GRAMS[$unit]];
            if (self::RESTS === \count($run) && max($run) - min($run) <= self::WITHIN && min($run) > self::EMPTY) {
                sort($run);
                $rest = $run[intdiv(self::RESTS, 2)];
            }
        }
        if (null === $rest) {
            return new self(null, $dropOuts, $fault);
        }

        return $rest <= $tare ? new self(null, $dropOuts, ScaleFault::BelowTare) : new self($rest - $tare, $dropOuts, null);
    }
}
