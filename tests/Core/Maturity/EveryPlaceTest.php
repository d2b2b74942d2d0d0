<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Maturity;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\Method;
use JollyFurrow\Maturity\Against;
use JollyFurrow\Maturity\LocalTiming;
use JollyFurrow\Maturity\Ripeness;
use JollyFurrow\Maturity\Ripening;
use JollyFurrow\Maturity\Risk;
use JollyFurrow\Season\SowingRisks;
use JollyFurrow\Shelter\Bench;
use JollyFurrow\Shelter\Benches;
use JollyFurrow\Shelter\Cover;
use JollyFurrow\Tests\Support\Book;
use JollyFurrow\Tests\Support\EightPlaces;
use JollyFurrow\Tests\Support\LittleGarden;
use JollyFurrow\Time\Day;
use JollyFurrow\Ways\Candidate;
use JollyFurrow\Ways\Candidates;
use JollyFurrow\Ways\Wishes;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** What holds of every crop of the book at each of eight places, on every fifth day of a year. */
final class EveryPlaceTest extends TestCase
{
    /** A day later in sowing is at most so many days later in harvest. */
    private const STEP = 21;
    /** But where one of these is told as the reason. */
    private const REASONS = [Risk::LittleLight, Risk::Frost, Risk::Bolting];

    /** @return iterable<string, array{string}> */
    public static function places(): iterable
    {
        foreach (array_keys(EightPlaces::all()) as $name) {
            yield $name => [$name];
        }
    }

    /** Later into the ground is never sooner ready, and no cliff is without its reason. */
    #[DataProvider('places')]
    public function testADayLaterIsNotReadyEarlierNorMuchLater(string $place): void
    {
        $timing = EightPlaces::timing($place);
        foreach ($this->followed() as [$crop, $method]) {
            $ripening = $timing->of($crop, Cover::None);
            foreach (self::days() as $day) {
                [$on, $after] = [self::ripe($ripening, $day, $method), self::ripe($ripening, $day + 1, $method)];
                if (null === $on || null === $after) {
                    continue;
                }
                $where = \sprintf('%s %s %s', $crop->key, $method->value, Day::of($day)->iso());
                self::assertGreaterThanOrEqual($on->ready, $after->ready, $where);
                if ($after->ready - $on->ready > self::STEP) {
                    $told = array_keys((new SowingRisks($crop, $method, $ripening, $timing))->of($day + 1, $after));
                    self::assertNotSame([], array_intersect(array_column(self::REASONS, 'value'), $told), $where);
                }
            }
        }
    }

    /** It comes up after it is sown, is ready after that, and what can be counted on is not taken by frost more often than the odds. */
    #[DataProvider('places')]
    public function testDaysComeInTheirOrderAndOddsAreKept(string $place): void
    {
        foreach ([0.1, 0.2] as $odds) {
            $timing = new LocalTiming(EightPlaces::weather($place), $odds);
            foreach ($this->followed() as [$crop, $method]) {
                foreach (self::days() as $day) {
                    $ripe = self::ripe($timing->of($crop, Cover::None), $day, $method);
                    if (null === $ripe) {
                        continue;
                    }
                    $where = \sprintf('%s %s %s', $crop->key, $method->value, Day::of($day)->iso());
                    self::assertLessThanOrEqual($ripe->first, $ripe->ground, $where);
                    self::assertLessThanOrEqual($ripe->ready, $ripe->first, $where);
                    self::assertLessThanOrEqual($ripe->lastGood, $ripe->ready, $where);
                    self::assertLessThanOrEqual($odds, $ripe->frozen, $where);
                }
            }
        }
    }

    /** Where the first variety gives nothing, the plan goes by the next that does: onions of short days at 33 degrees south. */
    public function testThePlanTakesTheVarietyThatFits(): void
    {
        $varieties = static function (string $place): array {
            $garden = LittleGarden::at($place, '2026-01-05');
            $ways = (new Wishes(new Candidates($garden, Book::recipes()), Book::crops(), $garden))->ways('onion', $garden->today,
                $garden->today->plus(365));

            return array_values(array_unique(array_map(static fn (Candidate $c): string => $c->variety, $ways)));
        };

        self::assertSame(['onion'], $varieties('47N'));
        self::assertSame(['onion-short'], $varieties('33S'));
    }

    /** More daring allows all that is allowed with more care, and at a place with frost more besides. */
    public function testMoreDaringIsMore(): void
    {
        $possible = static function (float $odds): array {
            $timing = new LocalTiming(EightPlaces::weather('47N'), $odds);
            $found = [];
            foreach (['tomato-quick', 'bean-bush', 'lettuce-head', 'cauliflower'] as $key) {
                $crop = Book::crops()->get($key);
                $method = $crop->methods()[0];
                foreach (self::days() as $day) {
                    if (null !== self::ripe($timing->of($crop, Cover::None), $day, $method)) {
                        $found[] = $key.' '.$day;
                    }
                }
            }

            return $found;
        };
        [$careful, $daring, $most] = [$possible(0.1), $possible(0.2), $possible(0.5)];

        self::assertSame([], array_diff($careful, $daring));
        self::assertSame([], array_diff($daring, $most));
        self::assertGreaterThan(\count($careful), \count($most));
    }

    /** Winter cauliflower stands through the winter of a mild coast, seldom inland, never in the north; earlier sowing is no help. */
    #[TestWith(['50N', null, false])]
    #[TestWith(['47N', Against::WinterFrost, false])]
    #[TestWith(['60N', Against::WinterKills, true])]
    public function testWinterKillsWhatOverwinters(string $place, ?Against $against, bool $isCertain): void
    {
        $day = Day::parse('2025-07-10')->number;
        $never = EightPlaces::timing($place)->of(Book::crops()->get('cauliflower-winter-b'), Cover::None)
            ->fromGround($day, $day, Method::Transplanted)?->never?->code;

        self::assertSame($against, $never);
        self::assertSame($isCertain, true === $never?->isCertain());
    }

    /** A warmer bench brings on sooner what stands on it, and nothing else. */
    public function testTheBenchSetsThePaceOfTheNursery(): void
    {
        $days = static fn (Benches $benches): array => array_map(static function (string $key) use ($benches): int {
            $day = Day::parse('2025-03-10')->number;
            $out = (new LocalTiming(EightPlaces::weather('47N'), 0.1, $benches))->of(Book::crops()->get($key), Cover::None)
                ->outOfTheNursery($day);
            self::assertNotNull($out, $key);

            return $out - $day;
        }, ['tomato', 'lettuce-head']);
        [$tomato, $lettuce] = $days(new Benches());
        [$coolTomato, $sameLettuce] = $days(new Benches(new Bench(15.0, 20.0)));
        [$sameTomato, $warmLettuce] = $days(new Benches(null, new Bench(13.0, 20.0)));

        self::assertGreaterThan($tomato, $coolTomato);
        self::assertLessThan($lettuce, $warmLettuce);
        self::assertSame([$tomato, $lettuce], [$sameTomato, $sameLettuce]);
    }

    /** @return iterable<array{Crop, Method}> whatever follows the weather and not the year */
    private function followed(): iterable
    {
        foreach (Book::crops()->sold() as $crop) {
            foreach ($crop->growth->anchored ? [] : $crop->methods() as $method) {
                yield [$crop, $method];
            }
        }
    }

    /** @return list<int> */
    private static function days(): array
    {
        return range(Day::parse('2025-01-01')->number, Day::parse('2025-12-31')->number, 5);
    }

    private static function ripe(Ripening $ripening, int $day, Method $method): ?Ripeness
    {
        $ripe = $ripening->fromGround($day, $day, $method);

        return true === $ripe?->isPossible() ? $ripe : null;
    }
}
