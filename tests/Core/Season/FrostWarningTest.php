<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Season;

use JollyFurrow\Climate\Cover;
use JollyFurrow\Climate\FrostGrade;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Maturity\Ripeness;
use JollyFurrow\Season\Against;
use JollyFurrow\Season\FrostWarning;
use JollyFurrow\Tests\Support\Book;
use JollyFurrow\Tests\Support\LittleGarden;
use JollyFurrow\Tests\Support\Said;
use JollyFurrow\Time\Day;
use PHPUnit\Framework\TestCase;

/** A frost day itself is still dangerous; the day beside it is the first that is not. */
final class FrostWarningTest extends TestCase
{
    public function testOutOnTheLastFrostDayIsTooSoon(): void
    {
        $garden = LittleGarden::timed('2026-03-02');
        $last = self::frost($garden, 'last');

        self::assertStringContainsString(Against::OutBeforeFrost->value, self::said($garden, $last, $last + 60));
        self::assertSame('', self::said($garden, $last + 1, $last + 60));
        self::assertSame('', self::said($garden, $last, $last + 60, Cover::Tunnel), 'a tunnel keeps it off');
    }

    public function testReadyOnTheFirstFrostDayIsTooLate(): void
    {
        $garden = LittleGarden::timed('2026-03-02');
        $first = self::frost($garden, 'first');

        self::assertStringContainsString(Against::ReadyAfterFrost->value, self::said($garden, $first - 60, $first));
        self::assertSame('', self::said($garden, $first - 60, $first - 1));
    }

    /** The day after which, or before which, one year in ten has a frost. */
    private static function frost(Garden $garden, string $which): int
    {
        $day = $garden->climate?->frost->day(FrostGrade::Light, $which, 0.1, 2026, false);

        return $day->number ?? self::fail('The little garden has frost.');
    }

    private static function said(Garden $garden, int $ground, int $ready, Cover $cover = Cover::None): string
    {
        $warnings = FrostWarning::of($garden, Book::crops()->get('bean-bush'), $cover, new Ripeness($ground, $ground, $ground, $ready,
            $ready + 10));

        return implode('; ', array_map(Said::of(...), $warnings));
    }
}
