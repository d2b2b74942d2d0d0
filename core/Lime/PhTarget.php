<?php

declare(strict_types=1);

namespace JollyFurrow\Lime;

use JollyFurrow\Crop\Crop;

/** The pH that suits what is to stand in a bed; where no one pH suits all, the middle of what suits most, and who is left out. */
final readonly class PhTarget
{
    /** For what is planted of nothing in particular (AHDB RB209: 6.5 for arable and vegetable land, from memory). */
    private const USUAL = 6.5;
    private const STEP = 0.1;

    /** @param list<Crop> $unsuited */
    private function __construct(public float $ph, public array $unsuited)
    {
    }

    /** @param list<Crop> $crops that are planned there */
    public static function of(array $crops): self
    {
        $best = self::USUAL;
        $most = -1;
        for ($ph = 5.2; $ph < 7.5; $ph += self::STEP) {
            $suits = \count(array_filter($crops, static fn (Crop $c): bool => self::suits($c, $ph)));
            if ($suits > $most || ($suits === $most && abs($ph - self::USUAL) < abs($best - self::USUAL) - 1e-9)) {
                [$best, $most] = [$ph, $suits];
            }
        }

        return new self(round($best, 1), array_values(array_filter($crops, static fn (Crop $c): bool => !self::suits($c, round($best,
            1)))));
    }

    public static function suits(Crop $crop, float $ph): bool
    {
        return $ph >= $crop->habits->phLeast - 1e-9 && $ph <= $crop->habits->phMost + 1e-9;
    }
}
