<?php

declare(strict_types=1);

namespace JollyFurrow\Climate;

/**
 * Three grades of frost by the minimum at two metres (from memory: the classes of freezes of the US weather service, 32,
 * 28 and 24 degrees F).
 */
enum FrostGrade: string
{
    case Light = 'light';
    case Plain = 'plain';
    case Hard = 'hard';

    /** Degrees C. */
    public function below(): float
    {
        return match ($this) {
            self::Light => 0.0,
            self::Plain => -20 / 9,
            self::Hard => -40 / 9,
        };
    }
}
