<?php

declare(strict_types=1);

namespace App\Wording;

use JollyFurrow\Measure\Quantity;
use JollyFurrow\Measure\Unit;

/** A sentence of a book, which is written in metric: its measures are told in the garden's own units, and marked. */
final readonly class Prose
{
    private const MEASURE = '/(\d+(?:\.\d+)?) (mm|cm|m|kg|g|°C)(?![\p{L}\d²\/])/u';
    private const UNITS = ['mm' => Unit::Millimetre, 'cm' => Unit::Centimetre, 'm' => Unit::Metre, 'kg' => Unit::Kilogram,
        'g' => Unit::Gram, '°C' => Unit::Celsius];

    public function __construct(public string $text)
    {
    }

    public function html(Formatter $formatter): string
    {
        $parts = preg_split(self::MEASURE, $this->text, -1, \PREG_SPLIT_DELIM_CAPTURE);
        $html = '';
        foreach (array_chunk(false === $parts ? [$this->text] : $parts, 3) as $part) {
            $html .= htmlspecialchars($part[0], \ENT_QUOTES | \ENT_SUBSTITUTE);
            $html .= isset($part[1], $part[2]) ? $formatter->quantity(Quantity::of((float) $part[1], self::UNITS[$part[2]]
                ?? Unit::None))->html() : '';
        }

        return $html;
    }
}
