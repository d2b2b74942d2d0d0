<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Succession;

use JollyFurrow\Crop\Method;
use JollyFurrow\Need\Need;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Succession\CandidateChoice;
use JollyFurrow\Succession\RentSums;
use JollyFurrow\Ways\Candidate;
use PHPUnit\Framework\TestCase;

/** Market days 100 and 107; rent of 7 cents a metre and week, so one cent a day. */
final class CandidateChoiceTest extends TestCase
{
    public function testOfTheSameFirstMarketDayTheLatestStays(): void
    {
        self::assertSame([48, 55], self::kept(self::candidate(40, 90), self::candidate(44, 94), self::candidate(48, 98),
            self::candidate(55, 105)));
    }

    public function testAnEarlierOneStaysWhenItServesLonger(): void
    {
        self::assertSame([44, 48], self::kept(self::candidate(40, 90), self::candidate(44, 94, last: 130), self::candidate(48, 98,
            last: 110)));
    }

    public function testAnEarlierOneStaysWhenItIsCheaper(): void
    {
        self::assertSame([40, 48], self::kept(self::candidate(40, 90, cost: 10.0), self::candidate(48, 98, cost: 90.0)));
    }

    public function testWhatServesNoMarketDayIsLeftOut(): void
    {
        self::assertSame([], self::kept(self::candidate(40, 90, last: 95), self::candidate(70, 120)));
    }

    /** @return list<int> sowing days kept */
    private static function kept(Candidate ...$candidates): array
    {
        $rents = RentSums::fromWeeks(0, ['field' => array_fill(0, 40, 7.0)]);
        $needs = [new Need(100, 2, 5, ['o' => 5]), new Need(107, 2, 5, ['o' => 5])];

        return array_map(static fn (Candidate $c): int => $c->sow, (new CandidateChoice($rents))->of(array_values($candidates), $needs));
    }

    private static function candidate(int $sow, int $ready, int $last = 110, float $cost = 50.0): Candidate
    {
        return new Candidate('kale', Method::Sown, PlaceType::Field, 'compost-mulch', $sow, $sow, $sow, $ready, $last, 2.0, 500.0,
            $cost, []);
    }
}
