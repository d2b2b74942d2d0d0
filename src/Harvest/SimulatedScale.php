<?php

declare(strict_types=1);

namespace App\Harvest;

use JollyFurrow\Garden\Garden;
use JollyFurrow\Planting\Planting;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/** A scale that is not there: it swings, loses a line now and then and comes to rest, the same for the same planting and weight. */
final class SimulatedScale implements Scale
{
    private const SWINGS = 6;
    private const RESTS = 7;
    /** One line of so many is lost. */
    private const LOST = 5;

    /** Only where nothing is weighed in earnest. */
    public function isThere(Garden $garden): bool
    {
        return null !== $garden->practice;
    }

    public function lines(Planting $planting, float $grams): array
    {
        $chance = new Randomizer(new Xoshiro256StarStar(crc32($planting->key.round($grams))));
        $lines = ['0.00 kg'];
        for ($n = self::SWINGS; $n > 0; --$n) {
            $lines[] = self::said($grams * (1 + $chance->getInt(-$n, $n) / 30));
        }
        for ($n = 0; $n < self::RESTS; ++$n) {
            $lines[] = self::said($grams + $chance->getInt(-5, 5));
            0 !== $chance->getInt(0, self::LOST - 1) ?: $lines[] = '##';
        }

        return $lines;
    }

    private static function said(float $grams): string
    {
        return \sprintf('%.3f kg', $grams / 1000);
    }
}
