<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Maturity;

use JollyFurrow\Climate\Climate;
use JollyFurrow\Climate\Weather;
use JollyFurrow\Climate\WeatherGenerator;
use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\Method;
use JollyFurrow\Crop\Timing;
use JollyFurrow\Maturity\LocalTiming;
use JollyFurrow\Maturity\ReadyRange;
use JollyFurrow\Maturity\Ripeness;
use JollyFurrow\Shelter\Cover;
use JollyFurrow\Tests\Support\Book;
use JollyFurrow\Tests\Support\EightPlaces;
use JollyFurrow\Time\Day;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** How long sowings take from place to place and into autumn: what growers there would believe (own model, tuned against it). */
final class PaceTest extends TestCase
{
    private const YEARS = 200;

    /** Days from sowing, of the catalogue days named. */
    #[TestWith(['bean-bush', 55, '47N', '2025-05-20', 62])]
    #[TestWith(['bean-bush', 55, '39N', '2025-05-20', 49])]
    #[TestWith(['bean-bush', 55, '35.5N', '2025-05-20', 48])]
    #[TestWith(['corn', 78, '47N', '2025-05-20', 87])]
    #[TestWith(['corn', 78, '39N', '2025-05-20', 69])]
    #[TestWith(['corn', 78, '35.5N', '2025-05-20', 68])]
    #[TestWith(['squash-winter', 105, '39N', '2025-05-25', 92])]
    #[TestWith(['potato-storage', 120, '47N', '2025-04-20', 132])]
    #[TestWith(['potato-storage', 120, '39N', '2025-04-20', 124])]
    #[TestWith(['potato-storage', 120, '35.5N', '2025-04-20', 124])]
    #[TestWith(['potato-storage', 120, '50N', '2025-04-20', 135])]
    public function testFromPlaceToPlace(string $crop, int $catalogue, string $place, string $sow, int $days): void
    {
        self::assertEqualsWithDelta($days, self::takes(EightPlaces::timing($place), $crop, $catalogue, $sow, Method::Sown), 0.1 * $days);
    }

    /** Autumn at 47 degrees north goes down a slope, not over a cliff; then comes the winter. */
    #[TestWith(['spinach', 40, Method::Sown, '2025-08-25', 46])]
    #[TestWith(['spinach', 40, Method::Sown, '2025-09-05', 55])]
    #[TestWith(['spinach', 40, Method::Sown, '2025-09-12', 77])]
    #[TestWith(['turnip', 40, Method::Sown, '2025-09-05', 55])]
    #[TestWith(['turnip', 40, Method::Sown, '2025-09-10', 68])]
    #[TestWith(['turnip', 40, Method::Sown, '2025-09-15', 138])]
    #[TestWith(['kale', 50, Method::Transplanted, '2025-08-28', 69])]
    #[TestWith(['kale', 50, Method::Transplanted, '2025-09-05', 156])]
    public function testIntoAutumn(string $crop, int $catalogue, Method $method, string $ground, int $days): void
    {
        self::assertEqualsWithDelta($days, self::takes(EightPlaces::timing('47N'), $crop, $catalogue, $ground, $method), 0.1 * $days);
    }

    /** Of a type that fits, in spring and in autumn: planted, ready. Late ones are smaller, not later. */
    #[TestWith(['onion-short', '20N', '2025-11-20', '2026-04-14'])]
    #[TestWith(['onion-short', '33S', '2025-05-15', '2025-11-18'])]
    #[TestWith(['onion-short', '35.5N', '2025-10-25', '2026-06-04'])]
    #[TestWith(['onion-intermediate', '39N', '2025-04-05', '2025-07-23'])]
    #[TestWith(['onion', '47N', '2025-04-10', '2025-08-06'])]
    #[TestWith(['onion', '47N', '2025-05-25', '2025-08-22'])]
    public function testBulbsByDayLength(string $variety, string $place, string $planted, string $ready): void
    {
        $day = Day::parse($planted)->number;
        $ripe = EightPlaces::timing($place)->of(self::lasting($variety, 105), Cover::None)->fromGround($day, $day, Method::Transplanted);

        self::assertNotNull($ripe);
        self::assertEqualsWithDelta(Day::parse($ready)->number, $ripe->ready, 0.1 * (Day::parse($ready)->number - $day));
    }

    public function testALateOnionIsSmallerAndATypeThatDoesNotFitMakesNoBulb(): void
    {
        $day = Day::parse('2025-05-25')->number;
        $ripe = static fn (string $place, Crop $crop): ?Ripeness => EightPlaces::timing($place)->of($crop, Cover::None)
            ->fromGround($day, $day, Method::Transplanted);

        self::assertEqualsWithDelta(0.78, $ripe('47N', self::lasting('onion', 105))->size ?? 0.0, 0.08);
        self::assertNull($ripe('20N', Book::crops()->get('onion')));
        self::assertNotNull($ripe('20N', Book::crops()->get('onion-short')));
    }

    /** Seedlings by shapes growers know, in days: nursery days of the book, benches as shipped. */
    #[TestWith(['tomato', '2025-03-05', 42, 56])]
    #[TestWith(['pepper', '2025-03-05', 49, 70])]
    #[TestWith(['cucumber', '2025-04-10', 21, 28])]
    #[TestWith(['lettuce-head', '2025-02-05', 35, 42])]
    #[TestWith(['lettuce-head', '2025-07-01', 19, 26])]
    #[TestWith(['broccoli', '2025-03-05', 33, 42])]
    #[TestWith(['onion', '2025-02-05', 63, 78])]
    public function testNurseryShapes(string $crop, string $sow, int $least, int $most): void
    {
        $day = Day::parse($sow)->number;
        $out = EightPlaces::timing('47N')->of(Book::crops()->get($crop), Cover::None)->outOfTheNursery($day);

        self::assertNotNull($out);
        self::assertTrue($out - $day >= $least && $out - $day <= $most, $crop.' '.($out - $day));
    }

    /** In its tray a pepper of November would be leggy long before it could go out. */
    public function testPlantsOutgrowTheirCells(): void
    {
        $ripening = EightPlaces::timing('60N')->of(Book::crops()->get('pepper'), Cover::None);

        self::assertNull($ripening->outOfTheNursery(Day::parse('2025-11-01')->number));
        self::assertNotNull($ripening->outOfTheNursery(Day::parse('2025-04-01')->number));
    }

    /**
     * The response is bent, so a normal day is taken over its spread: then normals do not run fast against single years.
     * One of ten of those years is ready by the early day, nine by the late one, give or take three.
     */
    #[TestWith(['bean-bush', '2025-05-20'])]
    #[TestWith(['carrot', '2025-05-01'])]
    #[TestWith(['corn', '2025-05-20'])]
    #[TestWith(['radish', '2025-04-10'])]
    #[TestWith(['spinach', '2025-08-25'])]
    public function testTwoHundredYearsAreAsTold(string $key, string $sow): void
    {
        $place = EightPlaces::all()['47N'];
        $climate = Climate::fromMonths($place['months']);
        $crop = Book::crops()->get($key);
        $takes = [];
        for ($seed = 0; $seed < self::YEARS; ++$seed) {
            $years = (new WeatherGenerator($climate, 1000 * $seed))->days(Day::parse('2025-04-01'), Day::parse('2025-12-31'));
            $timing = new LocalTiming(Weather::of($climate, $place['latitude'], Day::parse('2025-04-01'), 270, $years));
            $day = Day::parse($sow)->number;
            $takes[] = ($timing->of($crop, Cover::None)->fromGround($day, $day, Method::Sown)->ready ?? $day + 400) - $day;
        }
        sort($takes);
        $normal = EightPlaces::timing('47N');
        $day = Day::parse($sow)->number;
        $ripe = $normal->of($crop, Cover::None)->fromGround($day, $day, Method::Sown);
        self::assertNotNull($ripe);
        $range = ReadyRange::of($normal, $crop, Cover::None, $ripe, Method::Sown);
        self::assertNotNull($range);

        self::assertEqualsWithDelta($takes[intdiv(self::YEARS, 2)], $range->likely - $day, 0.04 * ($range->likely - $day));
        self::assertEqualsWithDelta($takes[intdiv(self::YEARS, 10)], $range->early - $day, 3.0);
        self::assertEqualsWithDelta($takes[intdiv(9 * self::YEARS, 10)], $range->late - $day, 3.0);
    }

    private static function takes(LocalTiming $timing, string $crop, int $catalogue, string $ground, Method $method): int
    {
        $day = Day::parse($ground)->number;

        return ($timing->of(self::lasting($crop, $catalogue), Cover::None)->fromGround($day, $day, $method)->ready ?? 0) - $day;
    }

    /** The crop with other catalogue days and no spread. */
    private static function lasting(string $key, int $days): Crop
    {
        $c = Book::crops()->get($key);

        return new Crop($c->key, $c->name, $c->variety, $c->family, $c->feeding, $c->tender, $c->pattern,
            new Timing($c->timing->nurseryDays, $days, $days, 0, $c->timing->hold), $c->stand, $c->produce, $c->rhythm, $c->growth,
            $c->sowing, $c->recipe, $c->sources, $c->habits, $c->limits);
    }
}
