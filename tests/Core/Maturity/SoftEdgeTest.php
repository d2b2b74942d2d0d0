<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Maturity;

use JollyFurrow\Crop\Method;
use JollyFurrow\Maturity\ReadyRange;
use JollyFurrow\Maturity\SoftEdge;
use JollyFurrow\Shelter\Cover;
use JollyFurrow\Shelter\CoverCalendar;
use JollyFurrow\Tests\Support\Book;
use JollyFurrow\Tests\Support\EightPlaces;
use JollyFurrow\Time\Day;
use PHPUnit\Framework\TestCase;

final class SoftEdgeTest extends TestCase
{
    /** Sown on the twentieth of every month from April to August at four places: not far from what the whole sums say. */
    public function testItIsNotFarFromTheWholeSums(): void
    {
        $off = [];
        foreach (['47N', '39N', '50N', '60N'] as $place) {
            $timing = EightPlaces::timing($place);
            foreach (['carrot', 'bean-bush', 'corn', 'beet', 'spinach'] as $key) {
                for ($month = 4; $month <= 8; ++$month) {
                    $crop = Book::crops()->get($key);
                    $sow = Day::fromDate(2025, $month, 20);
                    $ripe = $timing->of($crop, Cover::None)->fromGround($sow->number, $sow->number, Method::Sown);
                    $range = null === $ripe || !$ripe->isPossible() ? null : ReadyRange::of($timing, $crop, Cover::None, $ripe,
                        Method::Sown);
                    $edge = null === $range ? null : SoftEdge::of($timing, $crop, CoverCalendar::always(Cover::None), $sow->number,
                        $range->likely, $sow->number);
                    if (null !== $range && null !== $edge) {
                        self::assertTrue($edge[0] <= $range->likely && $range->likely <= $edge[1]);
                        $off[] = abs($edge[0] - $range->early);
                        $off[] = abs($edge[1] - $range->late);
                    }
                }
            }
        }
        sort($off);

        self::assertGreaterThan(60, \count($off));
        self::assertLessThanOrEqual(2, $off[intdiv(\count($off), 2)]);
        self::assertLessThanOrEqual(6, $off[(int) (0.9 * \count($off))], implode(' ', $off));
    }

    public function testWhatGoesByTheYearHasNone(): void
    {
        $day = Day::parse('2025-10-20')->number;

        self::assertNull(SoftEdge::of(EightPlaces::timing('47N'), Book::crops()->get('garlic'), CoverCalendar::always(Cover::None),
            $day, $day + 270, $day));
    }
}
