<?php

declare(strict_types=1);

namespace App\Sheets;

/** Sheets lie on their long side. */
enum PaperSize: string
{
    case A3 = 'a3';
    case A4 = 'a4';
    case Letter = 'letter';

    /** @return array{float, float} width and height in points: ISO 216 (420 × 297 and 297 × 210 mm), ANSI letter (11 × 8.5 in) */
    public function points(): array
    {
        return match ($this) {
            self::A3 => [1190.55, 841.89], self::A4 => [841.89, 595.28], self::Letter => [792.0, 612.0],
        };
    }

    public function words(): string
    {
        return match ($this) {
            self::A3 => 'A3', self::A4 => 'A4', self::Letter => 'Letter',
        };
    }
}
