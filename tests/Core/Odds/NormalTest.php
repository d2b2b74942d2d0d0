<?php

declare(strict_types=1);

namespace JollyFurrow\Odds;

use PHPUnit\Framework\TestCase;

/** Tables of the normal distribution (common knowledge, any book of statistics). */
final class NormalTest extends TestCase
{
    public function testTheTable(): void
    {
        self::assertEqualsWithDelta([0.0, 0.6745, 1.2816, 1.96, -1.2816], array_map(Normal::quantile(...), [0.5, 0.75, 0.9, 0.975, 0.1]),
            1e-3);
        self::assertEqualsWithDelta([0.5, 0.8413, 0.0228], array_map(Normal::below(...), [0.0, 1.0, -2.0]), 1e-4);
        self::assertTrue(is_finite(Normal::quantile(1.0)));
    }

    /** Skis by Chopra & Meindl: N(350, 100), 150 of 170, 468 (from memory, fairly sure). */
    public function testSkis(): void
    {
        self::assertSame(468.0, floor(350 + 100 * Normal::quantile(150 / 170)));
    }
}
