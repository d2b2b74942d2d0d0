<?php

declare(strict_types=1);

namespace App\Tests\Plan;

use App\File\GardenReader;
use App\File\GardenWriter;
use App\Plan\PlanJson;
use App\Tests\Support\SmallGarden;
use App\Wording\Sayer;
use JollyFurrow\Check\Fault;
use JollyFurrow\Check\FaultKind;
use JollyFurrow\Check\PlanChecker;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Garden\Place;
use JollyFurrow\Maturity\PlaceClimate;
use JollyFurrow\Plan\Plan;
use JollyFurrow\Plan\Planner;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Season\Here;
use JollyFurrow\Tests\Support\Larkspur;
use JollyFurrow\Tests\Support\RandomGarden;
use JollyFurrow\Time\Day;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Bundle\FrameworkBundle\Test\KernelTestCase;

/** The independent checker finds nothing in plans as they are drawn, and every fault planted in one. */
final class PlanCheckTest extends KernelTestCase
{
    private const GOOD = 30;
    private const SOMEWHERE = 40;

    public function testFindsNothingInGoodPlans(): void
    {
        for ($seed = 1; $seed <= self::GOOD; ++$seed) {
            $garden = RandomGarden::of($seed);
            $planted = $garden->with($this->service(Planner::class)->draw($garden)->plantings(), $garden->today->plus(30));
            foreach ([$garden, $planted] as $one) {
                self::assertSame([], $this->words(...$this->files($one)), 'seed '.$seed);
            }
        }
    }

    /** No hard rule is broken in two hundred gardens with rules by chance. */
    public function testNoHardRuleIsBrokenInRuledGardens(): void
    {
        $planned = 0;
        for ($seed = 1001; $seed <= 1200; ++$seed) {
            $garden = RandomGarden::ruled($seed);
            [$file, $plan] = $this->files($garden);
            self::assertSame([], $this->words($file, $plan), 'seed '.$seed);
            $planned += \count(self::list($plan, 'plantings'));
        }
        self::assertGreaterThan(500, $planned);
    }

    /** The same with heat and light, in the north and mirrored in the south. */
    public function testFindsNothingInGoodPlansByHeatAndLight(): void
    {
        for ($seed = 101; $seed <= 110; ++$seed) {
            $g = RandomGarden::of($seed);
            $south = 0 === $seed % 2;
            $place = $south ? new Place('There', -Larkspur::NORTH, 300, $g->place->lastFrost->halfAYearLater(),
                $g->place->firstFrost->halfAYearLater()) : $g->place;
            $months = Larkspur::months($south ? -Larkspur::NORTH : Larkspur::NORTH);
            $garden = new Garden($g->name, $g->today, $place, $g->settings, $g->blocks, $g->beds, $g->history, $g->outlets,
                $g->products, $g->promises, [], [], PlaceClimate::fromMonths($months, $place->latitude));

            self::assertNotNull($garden->timing());
            self::assertSame([], $this->words(...$this->files($garden)), 'seed '.$seed);
        }
    }

    /** Forty gardens at eight places: nothing is planned that would come to nothing, or that nobody there would plan. */
    public function testWhatIsPlannedIsPossibleAndUsualAtEightPlaces(): void
    {
        $planned = [];
        for ($seed = 1; $seed <= self::SOMEWHERE; ++$seed) {
            $garden = RandomGarden::somewhere($seed);
            $here = new Here($garden);
            $plan = $this->service(Planner::class)->draw($garden);
            foreach ($plan->new as $p) {
                $asked = [$this->service(CropBook::class)->grown($p->item, $p->variety), $p->method, $p->place, $p->sow, $p->ground];
                $where = $garden->place->name.', seed '.$seed.', '.$p->key;
                self::assertNull($here->against(...$asked)?->logged(), $where);
                self::assertSame($p->ready->number, $here->ripe(...$asked)?->ready, $where);
                $planned[$garden->place->name] = ($planned[$garden->place->name] ?? 0) + 1;
            }
            self::assertSame([], $this->words(...$this->files($garden, $plan)), 'seed '.$seed);
        }
        self::assertCount(8, $planned);
        self::assertGreaterThan(150, array_sum($planned));
    }

    /** Beds of 120 cm hold more rows and give more; the checker counts the same. */
    public function testFindsNothingInPlansOfWideAndNarrowBeds(): void
    {
        foreach ([60, 120] as $centimetres) {
            for ($seed = 51; $seed <= 58; ++$seed) {
                self::assertSame([], $this->words(...$this->files(RandomGarden::somewhere($seed, $centimetres))),
                    $centimetres.' cm, seed '.$seed);
            }
        }
    }

    /** A ready day a week too soon is seen, where something grows in that week. */
    public function testAReadyDayAWeekTooSoonIsSeen(): void
    {
        $seen = $all = 0;
        for ($seed = 1; $seed <= 16; ++$seed) {
            [$file, $plan] = $this->files(RandomGarden::somewhere($seed));
            foreach (array_keys(self::list($plan, 'plantings')) as $i) {
                $ready = self::peek($plan, 'plantings.'.$i.'.ready');
                self::assertIsString($ready);
                $soon = self::changed($plan, 'plantings.'.$i.'.ready', Day::parse($ready)->plus(-7)->iso());
                $kinds = array_map(static fn (Fault $f): FaultKind => $f->kind, $this->check($file, $soon));
                $seen += (int) \in_array(FaultKind::WrongReady, $kinds, true);
                ++$all;
            }
        }
        self::assertGreaterThan(50, $all);
        self::assertSame($all, $seen);
    }

    public function testFindsNothingInTheDemoPlan(): void
    {
        $garden = $this->service(GardenReader::class)->read((string) file_get_contents(\dirname(__DIR__, 3).'/demo/garden.json'));

        self::assertSame([], $this->words(...$this->files($garden)));
    }

    /** @param callable(array<string, mixed>, array<string, mixed>): array{array<mixed>, array<mixed>} $plant */
    #[DataProvider('faults')]
    public function testFindsThePlantedFault(FaultKind $kind, callable $plant): void
    {
        [$garden, $plan] = $plant(...$this->files($this->service(GardenReader::class)->read(SmallGarden::json())));
        $kinds = array_map(static fn (Fault $f): FaultKind => $f->kind, $this->check($garden, $plan));

        self::assertContains($kind, $kinds);
    }

    public function testEveryKindOfFaultIsPlantedOnce(): void
    {
        $planted = array_unique(array_map(static fn (array $case): string => $case[0]->value, array_values([...self::faults()])));

        self::assertSame([], array_values(array_diff(array_map(static fn (FaultKind $k): string => $k->value, FaultKind::cases()),
            $planted)));
    }

    /** @return iterable<string, array{FaultKind, callable}> */
    public static function faults(): iterable
    {
        $plan = static fn (string $path, mixed $value): \Closure => static fn (array $garden, array $file): array => [$garden,
            self::changed($file, $path, $value)];
        $garden = static fn (string $path, mixed $value): \Closure => static fn (array $file,
            array $drawn): array => [self::changed($file, $path, $value), $drawn];
        yield 'another format' => [FaultKind::Format, $plan('version', 2)];
        yield 'another garden' => [FaultKind::OtherGarden, $plan('garden', 'Elsewhere')];
        yield 'another day' => [FaultKind::OtherDay, $plan('drawn_on', '2026-03-03')];
        yield 'a name twice' => [FaultKind::NameTwice, $plan('plantings.0.key', 'leek@2025-04-22#1')];
        yield 'a kept one that is not there' => [FaultKind::KeptUnknown, $plan('kept.0', 'leek@2024-04-22#1')];
        yield 'what stands is given up' => [FaultKind::NotLeftAlone, $plan('kept', [])];
        yield 'no crop' => [FaultKind::NoSuchCrop, $plan('plantings.0.item', 'moonfruit')];
        yield 'no recipe' => [FaultKind::NoSuchRecipe, $plan('plantings.0.recipe', 'by-magic')];
        yield 'another recipe' => [FaultKind::WrongRecipe, $plan('plantings.0.recipe', 'stale-seedbed')];
        yield 'another method' => [FaultKind::WrongMethod, $plan('plantings.0.method', 'thrown')];
        yield 'begun already' => [FaultKind::NotPlanned, $plan('plantings.0.standing', 'growing')];
        yield 'no such day' => [FaultKind::NoSuchDay, $plan('plantings.0.ready', '2026-06-31')];
        yield 'cleared before ready' => [FaultKind::DatesOutOfOrder, $plan('plantings.0.clear', '2026-03-30')];
        yield 'in the past' => [FaultKind::InThePast, $plan('plantings.0.bed_start', '2026-02-20')];
        yield 'not on a sowing day' => [FaultKind::NoSowingDay, $garden('settings.sowing_days', ['Sunday'])];
        yield 'out of season' => [FaultKind::OutOfSeason, $plan('plantings.0.ground', '2026-12-20')];
        yield 'too short in the nursery' => [FaultKind::WrongNursery, $plan('plantings.0.sow', '2026-04-21')];
        yield 'bed taken too late' => [FaultKind::BedNotReady, static fn (array $g, array $p): array => [$g, self::changed($p,
            'plantings.0.bed_start', self::peek($p, 'plantings.0.ground'))]];
        yield 'ready too early' => [FaultKind::WrongReady, static fn (array $g, array $p): array => [$g, self::changed($p,
            'plantings.0.ready', self::peek($p, 'plantings.0.ground'))]];
        yield 'stands too long' => [FaultKind::PastItsHold, $plan('plantings.0.clear', '2026-09-30')];
        yield 'frost first' => [FaultKind::Frosted, static fn (array $g, array $p): array => [$g,
            self::changed(self::changed(self::changed($p, 'plantings.0.item', 'corn'), 'plantings.0.method', 'sown'),
                'plantings.0.clear', '2026-11-20')]];
        yield 'too good a yield' => [FaultKind::WrongYield, $plan('plantings.0.per_metre', 40.0)];
        yield 'on no bed' => [FaultKind::NoGround, $plan('plantings.0.pieces', [])];
        yield 'on a bed that is not there' => [FaultKind::NoSuchBed, $plan('plantings.0.pieces.0.bed', 'Q7')];
        yield 'beyond the bed' => [FaultKind::BeyondBed, $plan('plantings.0.pieces.0.to_mm', 26000)];
        yield 'in the tunnel' => [FaultKind::WrongPlace, $plan('plantings.0.pieces.0.bed', 'T1')];
        yield 'a family in quarantine' => [FaultKind::Quarantined, static fn (array $g, array $p): array => [self::changed($g, 'beds',
            array_map(static fn (mixed $bed): array => [...(\is_array($bed) ? $bed : []),
            'quarantine' => [['family' => 'Daisy', 'until' => '2029-12-31', 'why' => '']]], self::list($g, 'beds'))), $p]];
        yield 'before raw manure is old enough' => [FaultKind::ManureWaits, static fn (array $g, array $p): array => [self::changed($g,
            'spreads',
            array_map(static fn (mixed $bed): array => ['key' => 's', 'bed' => \is_array($bed) ? $bed['name'] : '', 'day' => '2026-03-20',
                'product' => 'manure', 'manure' => 'raw', 'worked_in' => '2026-03-21'], self::list($g, 'beds'))), $p]];
        yield 'on a retired bed' => [FaultKind::Retired, static fn (array $g, array $p): array => [self::changed($g, 'beds',
            array_map(static fn (mixed $bed): array => [...(\is_array($bed) ? $bed : []), 'retired' => '2026-01-01'], self::list($g,
                'beds'))), $p]];
        yield 'on a resting bed' => [FaultKind::Resting, static fn (array $g, array $p): array => [self::changed($g,
            'settings.plan_rules.resting', array_map(static fn (mixed $bed): array => ['bed' => \is_array($bed)
            ? $bed['name'] : '', 'from' => '2026-01-01', 'to' => '2026-12-31', 'why' => ''], self::list($g, 'beds'))), $p]];
        yield 'where it is not to be' => [FaultKind::NotHere, $garden('settings.plan_rules.not_here',
            [['what' => 'Daisy', 'where' => 'A', 'why' => ''], ['what' => 'Daisy', 'where' => 'T', 'why' => '']])];
        yield 'on a reserve bed' => [FaultKind::OnReserve, static fn (array $g, array $p): array => [self::changed($g,
            'settings.plan_rules.reserve_beds', array_map(static fn (mixed $bed): mixed => \is_array($bed)
            ? $bed['name'] : '', self::list($g, 'beds'))), $p]];
        yield 'corn of two kinds in flower at once' => [FaultKind::TooNearInFlower, static fn (array $g, array $p): array => [$g,
            self::changed($p, 'plantings', [...self::list($p, 'plantings'), [...self::list($p, 'plantings.0'), 'key' => 'one',
            'item' => 'corn'], [...self::list($p, 'plantings.0'), 'key' => 'other', 'item' => 'corn', 'variety' => 'corn-supersweet']])]];
        yield 'two on one stretch' => [FaultKind::GroundTaken, static fn (array $g, array $p): array => [$g, self::changed($p,
            'plantings', [...self::list($p, 'plantings'), [...self::list($p, 'plantings.0'), 'key' => 'another']])]];
        yield 'a need left out' => [FaultKind::NeedMissing, static fn (array $g, array $p): array => [$g, self::changed($p,
            'supply.0.days', \array_slice(self::list($p, 'supply.0.days'), 1))]];
        yield 'a need made smaller' => [FaultKind::NeedWrong, $plan('supply.0.days.0.promised', 3)];
        yield 'a need made up' => [FaultKind::NeedUnknown, $plan('supply.0.days.0.day', '2026-06-04')];
        yield 'more served than needed' => [FaultKind::ServedTooMuch, $plan('supply.0.days.0.served', 400)];
        yield 'served out of nothing' => [FaultKind::ServedWithoutSource, $plan('supply.0.days.0.from', [])];
        yield 'served by what is not there' => [FaultKind::UnknownSource, $plan('supply.0.days.0.from', ['nothing@2026-01-01#1' => 21])];
        yield 'served by what is too young' => [FaultKind::TooEarlyOrTooOld, static fn (array $g, array $p): array => [$g,
            self::changed(self::changed($p, 'plantings.0.ready', '2026-08-01'), 'plantings.0.clear', '2026-08-10')]];
        yield 'served by too short a row' => [FaultKind::MoreThanItGives, $plan('plantings.0.pieces.0.to_mm', 300)];
        yield 'a shortage kept quiet' => [FaultKind::ShortageHidden, static fn (array $g, array $p): array => [$g,
            self::changed(self::changed($p, 'supply.0.days.0.served', 0), 'supply.0.days.0.from', [])]];
        yield 'a shortage made up' => [FaultKind::ShortageUnknown,
            $plan('short', [['item' => 'lettuce-head', 'outlet' => 'stall', 'day' => '2026-06-06', 'units' => 4]])];
        yield 'a share made better' => [FaultKind::ShareWrong, $plan('promises_kept', 0.5)];
        yield 'cheaper than it is' => [FaultKind::CostWrong, $plan('costs.0.plantings_cents', 1.0)];
    }

    /** @param array<mixed> $file */
    private static function peek(array $file, string $path): mixed
    {
        $at = $file;
        foreach (explode('.', $path) as $step) {
            self::assertIsArray($at);
            $at = $at[$step];
        }

        return $at;
    }

    /**
     * @param array<mixed> $file
     *
     * @return array<mixed>
     */
    private static function list(array $file, string $path): array
    {
        $list = self::peek($file, $path);
        self::assertIsArray($list);

        return $list;
    }

    /**
     * @param array<mixed> $file
     *
     * @return array<mixed>
     */
    private static function changed(array $file, string $path, mixed $value): array
    {
        [$step, $rest] = [...explode('.', $path, 2), ''];
        $below = $file[$step] ?? [];

        return [...$file, $step => '' === $rest ? $value : self::changed(\is_array($below) ? $below : [], $rest, $value)];
    }

    /** @return array{array<string, mixed>, array<string, mixed>} the garden and its plan as they would come from files */
    private function files(Garden $garden, ?Plan $drawn = null): array
    {
        $plan = (new PlanJson($this->service(CropBook::class), $this->service(RecipeBook::class),
            $this->service(Sayer::class)))->of($garden, $drawn ?? $this->service(Planner::class)->draw($garden));
        /** @var array{array<string, mixed>, array<string, mixed>} $files */
        $files = [json_decode($this->service(GardenWriter::class)->write($garden), true),
            json_decode(json_encode($plan, \JSON_THROW_ON_ERROR), true)];

        return $files;
    }

    /**
     * @param array<mixed> $garden
     * @param array<mixed> $plan
     *
     * @return list<Fault>
     */
    private function check(array $garden, array $plan): array
    {
        return (new PlanChecker($this->service(CropBook::class), $this->service(RecipeBook::class)))->check($garden, $plan);
    }

    /**
     * @param array<mixed> $garden
     * @param array<mixed> $plan
     *
     * @return list<string>
     */
    private function words(array $garden, array $plan): array
    {
        return array_map(static fn (Fault $f): string => $f->kind->value.' '.$f->where.': '.$f->words, $this->check($garden, $plan));
    }

    /**
     * @template T of object
     *
     * @param class-string<T> $class
     *
     * @return T
     */
    private function service(string $class): object
    {
        $service = self::getContainer()->get($class);
        self::assertInstanceOf($class, $service);

        return $service;
    }
}
