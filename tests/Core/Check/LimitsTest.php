<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Check;

use JollyFurrow\Check\Fault;
use JollyFurrow\Check\FaultKind;
use JollyFurrow\Check\GroundRules;
use JollyFurrow\Check\NeedSums;
use JollyFurrow\Check\Sheet;
use JollyFurrow\Check\SupplyRules;
use JollyFurrow\Check\TimingRules;
use JollyFurrow\Tests\Support\Book;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** The checker's own limits, each a day or a unit to this side and to that. */
final class LimitsTest extends TestCase
{
    private const GARDEN = [
        'today' => '2026-03-02', 'place' => ['first_frost' => '10-06', 'latitude' => 46.9, 'altitude_m' => 310], 'settings' => [],
        'outlets' => [['key' => 'stall', 'priority' => 1, 'pick_window_days' => 3]],
        'products' => [['key' => 'carrots', 'parts' => [['item' => 'carrot-storage', 'units' => 1.0]]],
            ['key' => 'lettuce', 'parts' => [['item' => 'lettuce-head', 'units' => 1.0]]]],
        'promises' => [],
    ];

    /**
     * As likely as not a frost has come by mid-October in the open at 47 degrees north, in an unheated tunnel two weeks
     * later (own model).
     */
    #[TestWith(['tunnel', '2026-10-14', false])]
    #[TestWith(['tunnel', '2026-11-30', true])]
    #[TestWith(['field', '2026-09-20', false])]
    #[TestWith(['field', '2026-11-10', true])]
    public function testFrostEndsATenderCrop(string $place, string $clear, bool $isFault): void
    {
        $rules = new TimingRules(new Sheet(self::GARDEN), Book::crops(), Book::recipes());
        $faults = $rules->faults(new Sheet(['key' => 'p', 'item' => 'tomato', 'method' => 'transplanted', 'place' => $place,
            'recipe' => 'compost-mulch',
            'sow' => '2026-03-20', 'ground' => '2026-05-30', 'bed_start' => '2026-05-20', 'ready' => '2026-07-29', 'clear' => $clear]));

        self::assertSame($isFault, \in_array(FaultKind::Frosted, array_map(static fn (Fault $f): FaultKind => $f->kind, $faults), true));
    }

    /** One bed is one crop's to its last day, and the next one's from the day after; half the width each is room for both. */
    #[TestWith(['2026-06-30', 1.0, true])]
    #[TestWith(['2026-07-01', 1.0, false])]
    #[TestWith(['2026-06-30', 0.5, false])]
    public function testNoTwoOnOneStretch(string $bedStart, float $share, bool $isFault): void
    {
        $beds = [['name' => 'A1', 'place' => 'field', 'length_mm' => 20_000]];
        $one = static fn (string $key, string $from, string $to): Sheet => new Sheet(['key' => $key, 'place' => 'field',
            'bed_start' => $from,
            'clear' => $to, 'pieces' => [['bed' => 'A1', 'from_mm' => 0, 'to_mm' => 5_000, 'width_share' => $share]]]);
        $kinds = static fn (Sheet ...$plantings): array => array_map(static fn (Fault $f): FaultKind => $f->kind,
            (new GroundRules(new Sheet([...self::GARDEN, 'beds' => $beds])))->faults(array_values($plantings)));
        [$first, $second] = [$one('a', '2026-05-01', '2026-06-30'), $one('b', $bedStart, '2026-08-30')];

        self::assertSame($isFault ? [FaultKind::GroundTaken] : [], $kinds($first, $second));
        self::assertSame($isFault ? [FaultKind::GroundTaken] : [], $kinds($second, $first));
    }

    /** What waits shrinks by the weekly loss, a seventh of the exponent each day. */
    public function testWhatWaitsShrinksByTheWeek(): void
    {
        $lost = Book::crops()->get('carrot-storage')->produce->weeklyLoss;
        $sound = (int) floor(1000 * (1 - $lost) ** (28 / 7));
        self::assertLessThan((int) floor(1000 * (1 - $lost) ** (28 / 8)), $sound, 'an eighth would be seen');
        $kinds = static function (int $units): array {
            $planting = new Sheet(['key' => 'c', 'item' => 'carrot-storage', 'variety' => 'carrot-storage', 'units' => 1000,
                'ready' => '2026-10-01', 'clear' => '2026-10-01', 'per_metre' => 100.0, 'harvests' => [],
                'pieces' => [['bed' => 'A1', 'from_mm' => 0, 'to_mm' => 10_000, 'width_share' => 1.0]], 'standing' => 'planned',
                    'method' => 'sown', 'sow' => '2026-06-01', 'ground' => '2026-06-01']);
            $plan = new Sheet(['supply' => [['item' => 'carrot-storage', 'days' => [['day' => '2026-10-29', 'reach_days' => 200,
                'promised' => $units, 'served' => $units, 'from' => ['c' => $units]]]]]]);
            $faults = (new SupplyRules(new Sheet(self::GARDEN), $plan, Book::crops(), [$planting]))->faults();

            return array_filter(array_map(static fn (Fault $f): FaultKind => $f->kind, $faults), static fn (FaultKind $k): bool => FaultKind::MoreThanItGives === $k);
        };

        self::assertSame([], $kinds($sound));
        self::assertNotSame([], $kinds($sound + 1));
    }

    /** Stored goods may be as old as they keep, unless the outlet takes nothing older. */
    #[TestWith(['carrot-storage', 'carrots', null, 150])]
    #[TestWith(['carrot-storage', 'carrots', 5, 5])]
    #[TestWith(['lettuce-head', 'lettuce', null, 3])]
    #[TestWith(['lettuce-head', 'lettuce', 1, 1])]
    public function testHowOldAnOutletTakesIt(string $item, string $product, ?int $oldest, int $reach): void
    {
        $outlet = [...self::GARDEN['outlets'][0], ...(null === $oldest ? [] : ['pick_to_sale_days' => $oldest])];
        $promise = ['outlet' => 'stall', 'product' => $product, 'day' => '2026-10-31', 'quantity' => 4];
        $sums = (new NeedSums(new Sheet([...self::GARDEN, 'outlets' => [$outlet], 'promises' => [$promise]]), Book::crops()))->all();

        self::assertStringEndsWith('/'.$reach, (string) array_key_first($sums[$item]));
    }
}
