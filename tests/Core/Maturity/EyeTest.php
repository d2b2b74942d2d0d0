<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Maturity;

use JollyFurrow\Beds\Conflict;
use JollyFurrow\Beds\Conflicts;
use JollyFurrow\Climate\DailyRecord;
use JollyFurrow\Crop\Method;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Hand\ByHand;
use JollyFurrow\Hand\CannotBeDone;
use JollyFurrow\Hand\FieldWork;
use JollyFurrow\Hand\Reforecast;
use JollyFurrow\Maturity\PlaceClimate;
use JollyFurrow\Maturity\ReadyWorking;
use JollyFurrow\Maturity\Sign;
use JollyFurrow\Planting\FieldNote;
use JollyFurrow\Planting\Happening;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Shelter\Cover;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Tests\Support\Book;
use JollyFurrow\Tests\Support\Larkspur;
use JollyFurrow\Tests\Support\LittleGarden;
use JollyFurrow\Tests\Support\Said;
use JollyFurrow\Time\Day;
use JollyFurrow\Ways\Candidates;
use JollyFurrow\Work\StandAdvice;
use JollyFurrow\Work\StandCheck;
use PHPUnit\Framework\TestCase;

/** A garden that goes by heat and light: the grower's eye beats the model, the weather moves what stands, the odds of frost are told. */
final class EyeTest extends TestCase
{
    /** Radishes sown on 10 April that came up late are ready late; halfway on 10 May they are ready half of it later. */
    public function testWhatIsSeenDatesWhatComesAfter(): void
    {
        $radish = $this->asReckoned(LittleGarden::radish('2026-04-10', standing: Standing::Growing));
        $late = $this->noted($radish, Happening::Emerged, '2026-04-28');
        self::assertGreaterThan($radish->ready->number, $late->ready->number);
        self::assertSame($radish->clear->since($radish->ready), $late->clear->since($late->ready));

        $half = $this->noted($radish, Happening::Seen, '2026-05-10', Sign::Halfway);
        self::assertEqualsWithDelta(14, $half->ready->since(Day::parse('2026-05-10')), 5);
        $fit = $this->noted($radish, Happening::Seen, '2026-05-10', Sign::FitNow);
        self::assertSame('2026-05-10', $fit->ready->iso());
        $this->expectException(CannotBeDone::class);
        $this->noted($radish, Happening::Seen, '2026-05-10', Sign::Silk);
    }

    public function testEveryCropHasSignsThatComeNearerToTheHarvest(): void
    {
        foreach (Book::crops()->all() as $crop) {
            $left = array_map(static fn (Sign $s): float => $s->left(), Sign::of($crop));
            self::assertGreaterThan(1, \count($left), $crop->key);
            self::assertSame(0.0, end($left));
            self::assertGreaterThan($left[1], $left[0], $crop->key);
        }
    }

    /** Three weeks four degrees colder than normal move a planting, with the month to blame; what was seen is left alone. */
    public function testACoolMayMovesWhatStandsAndSaysWhy(): void
    {
        $radish = $this->asReckoned(LittleGarden::radish('2026-04-20', standing: Standing::Growing));
        $garden = self::garden('2026-05-22', [$radish], self::colder('2026-05-01', '2026-05-21', 4.0));
        $moved = Reforecast::of($garden, Book::crops());

        self::assertCount(1, $moved);
        self::assertGreaterThanOrEqual(3, $moved[0]->is->ready->since($radish->ready));
        self::assertSame('cool-month month=5', Said::of($moved[0]->why));
        self::assertSame([], Reforecast::of(self::garden('2026-05-22', [$radish], self::colder('2026-05-01', '2026-05-21', 0.1)),
            Book::crops()));
        $seen = new Garden($garden->name, $garden->today, $garden->place, $garden->settings, $garden->blocks, $garden->beds, [],
            $garden->outlets, $garden->products, [], [$radish], [new FieldNote($radish->key, Happening::Seen, $garden->today, null,
                null, null, '', Sign::Halfway)], $garden->climate);
        self::assertSame([], Reforecast::of($seen, Book::crops()));
    }

    public function testAStandCheckSaysKeepPatchOrSowAgainAndUntilWhen(): void
    {
        $garden = self::garden('2026-05-01', []);
        $radish = $this->asReckoned(LittleGarden::radish('2026-04-20', standing: Standing::Growing));
        $check = static fn (float $count): StandCheck => StandCheck::of($garden, $radish, Book::crops()->get('radish'), $count,
            [Day::parse('2026-05-30'), Day::parse('2026-06-20')]);

        self::assertEqualsWithDelta(175 * 0.92 * 0.8, $check(1)->wanted, 0.01, 'what comes up, not what is sown');
        self::assertSame(StandAdvice::Keep, $check(150)->advice);
        self::assertSame(StandAdvice::Patch, $check(90)->advice);
        self::assertSame(StandAdvice::SowAgain, $check(40)->advice);
        self::assertSame('0.25', $check(40)->roughShare());
        $last = $check(40)->resow[0]['last'];
        self::assertLessThanOrEqual('2026-06-20', Day::of($garden->timing()?->of(Book::crops()->get('radish'),
            Cover::None)->forward($last->number, Method::Sown)->ready ?? 0)->iso());
        self::assertSame(StandAdvice::TooLate, StandCheck::of($garden, $radish, Book::crops()->get('radish'), 40,
            [Day::parse('2026-05-02')])->advice);
    }

    public function testATenderCropBeforeTheLastFrostIsWarnedWithTheOdds(): void
    {
        $garden = self::garden('2026-03-01', []);
        $corn = Book::crops()->get('corn');
        $ripening = $garden->timing()?->of($corn, Cover::None);
        $odds = static fn (string $sow): float => $ripening?->whatever(Day::parse($sow)->number, Method::Sown)->frozen ?? 1.0;

        self::assertGreaterThan(0.5, $odds('2026-08-20'), 'frost would end it');
        self::assertLessThan(0.1, $odds('2026-05-20'));
        self::assertGreaterThan($odds('2026-05-20'), $odds('2026-04-20'));
        self::assertNull($ripening?->forward(Day::parse('2026-08-20')->number, Method::Sown));
        self::assertSame('too-cool', explode(' ', Said::of($ripening?->whatever(Day::parse('2026-07-20')->number,
            Method::Sown)?->never))[0]);
    }

    /** The same odds stand in a dry run when such a planting is moved by hand; it stays possible. */
    public function testAPlantingMovedBeforeTheLastFrostIsToldSo(): void
    {
        $sow = Day::parse('2026-05-30');
        $squash = new Planting('squash-summer@2026-05-15#1', 'squash-summer', Method::Sown, PlaceType::Field, 'compost-mulch', $sow,
            $sow, $sow->plus(-5), $sow->plus(60), $sow->plus(100), 10.0, [\JollyFurrow\Land\Stretch::of('A1', 0, 5_000_000)],
            Standing::Planned, false);
        $early = $squash->but(dates: $squash->dates()->later(-20));
        $frost = static fn (Planting $p): array => array_values(array_filter((new Conflicts(Book::crops()))->of(self::garden('2026-03-01', [$p]), [$p->key]),
            static fn (Conflict $c): bool => \in_array($c->rule, [\JollyFurrow\Beds\Rule::OutOfSeason,
                \JollyFurrow\Beds\Rule::ComesToNothing], true)));
        $corn = static fn (string $day): Planting => new Planting('corn@'.$day.'#1', 'corn', Method::Sown, PlaceType::Field,
            'compost-mulch', Day::parse($day), Day::parse($day), Day::parse($day), Day::parse('2026-10-20'), Day::parse('2026-10-25'),
            9.0, [\JollyFurrow\Land\Stretch::of('A1', 0, 5_000_000)], Standing::Planned, false);

        self::assertSame([], $frost($squash));
        self::assertStringContainsString('cold-soil', Said::of($frost($early)[0]->message));
        self::assertFalse($frost($early)[0]->isHard(), 'a grower may take that risk');
        self::assertStringContainsString('too-cool', Said::of($frost($corn('2026-07-10'))[0]->message));
        self::assertTrue($frost($corn('2026-07-10'))[0]->isHard(), 'it would come to nothing');
    }

    /** Sown on 1 March in the tunnel: the working's days add up, and it says what the cover gave. */
    public function testTheWorkingOfAReadyDateGoesMonthByMonth(): void
    {
        $garden = self::garden('2026-02-01', []);
        $crop = Book::crops()->get('lettuce-leaf');
        $timing = $garden->timing();
        self::assertNotNull($timing);
        $ripe = $timing->of($crop, Cover::Tunnel)->whatever(Day::parse('2026-03-01')->number, Method::Sown);
        self::assertNotNull($ripe);
        $working = ReadyWorking::of($crop, Method::Sown, $timing, Cover::Tunnel, $ripe);
        $inputs = [];
        foreach ($working->inputs as $input) {
            $inputs[$input->name] = $input;
        }

        self::assertSame((float) $ripe->ready,
            $inputs['ground']->value + array_sum(array_map(static fn (string $n): float => $inputs[$n]->value, array_filter(array_keys($inputs), static fn (string $n): bool => 'up' === $n
            || 1 === preg_match('/^m\d+$/', $n)))));
        self::assertStringStartsWith('month-counted month=4 counted=', Said::of($inputs['m1']->label));
        self::assertGreaterThan($ripe->ready + 14, $inputs['open']->value);
    }

    /** Southern gardens: the book's seasons half a year later, in candidates and in conflicts alike. */
    public function testASouthernGardenSowsInItsOwnSpring(): void
    {
        $south = self::garden('2026-09-01', [], latitude: -Larkspur::NORTH);
        $sown = static fn (Garden $g, string $day): bool => null !== (new Candidates($g,
            Book::recipes()))->sownOn(Book::crops()->get('bean-bush'), Day::parse($day), PlaceType::Field,
                Method::Sown);

        self::assertSame([true, false], [$sown($south, '2026-11-20'), $sown($south, '2026-05-20')]);
        self::assertSame([false, true], [$sown(self::garden('2026-03-01', []), '2026-11-20'), $sown(self::garden('2026-03-01', []),
            '2026-05-20')]);
        $radish = LittleGarden::radish('2026-10-20');
        self::assertSame([], (new Conflicts(Book::crops()))->of($south->with([$radish]), [$radish->key]));
    }

    private function asReckoned(Planting $planting): Planting
    {
        $ripe = self::garden($planting->sow->iso(), [])->timing()?->of(Book::crops()->get($planting->item),
            Cover::None)->forward($planting->sow->number, $planting->method);
        self::assertNotNull($ripe);

        return Reforecast::redated($planting, Day::of($ripe->ready));
    }

    private function noted(Planting $planting, Happening $what, string $day, ?Sign $sign = null): Planting
    {
        return (new FieldWork(Book::crops(), new ByHand(Book::crops(), Book::recipes())))->after(self::garden($day, [$planting]),
            $planting, new FieldNote($planting->key, $what, Day::parse($day), null, Happening::Emerged === $what ? 1.0 : null, null, '',
                $sign))[0];
    }

    private static function colder(string $from, string $until, float $by): DailyRecord
    {
        $weather = Larkspur::weather();
        $rows = [];
        for ($day = Day::parse($from); !Day::parse($until)->isBefore($day); $day = $day->plus(1)) {
            $rows[] = [$day->number, $weather->min[$day->number - $weather->first] - $by,
                $weather->max[$day->number - $weather->first] - $by, 0.0];
        }

        return DailyRecord::fromRows($rows);
    }

    /** @param list<Planting> $plantings */
    private static function garden(string $today, array $plantings, ?DailyRecord $measured = null,
        float $latitude = Larkspur::NORTH): Garden
    {
        $little = LittleGarden::on($today, $plantings);
        $place = new \JollyFurrow\Garden\Place('Here', $latitude, 300, $little->place->lastFrost, $little->place->firstFrost);
        if ($latitude < 0) {
            $place = new \JollyFurrow\Garden\Place('There', $latitude, 300, $little->place->lastFrost->halfAYearLater(),
                $little->place->firstFrost->halfAYearLater());
        }
        $climate = Larkspur::climate($latitude);

        return new Garden($little->name, $little->today, $place, $little->settings, $little->blocks, $little->beds, [],
            $little->outlets, $little->products, [], $plantings, [], new PlaceClimate($climate, null, null,
                \JollyFurrow\Climate\FrostDates::of($climate, $latitude < 0), $measured ?? new DailyRecord([], [], []), true));
    }
}
