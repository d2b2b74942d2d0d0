<?php

declare(strict_types=1);

namespace App\Codec;

use JollyFurrow\Crop\Method;
use JollyFurrow\Exception\Quote;
use JollyFurrow\Garden\BlockRules;
use JollyFurrow\Garden\Keeping;
use JollyFurrow\Garden\Lengths;
use JollyFurrow\Garden\NotHere;
use JollyFurrow\Garden\PlanRules;
use JollyFurrow\Garden\ReserveWay;
use JollyFurrow\Garden\RestingBed;
use JollyFurrow\Garden\SuccessionSchool;
use JollyFurrow\Garden\Weights;
use JollyFurrow\Land\Paths;
use JollyFurrow\Maturity\Odds;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Shelter\Bench;
use JollyFurrow\Shelter\Benches;
use JollyFurrow\Shelter\TrayRoom;
use JollyFurrow\Time\Period;

/** How a plan is drawn up, in a file and as it is stored; only what is out of the usual is written. */
final class PlanRulesFile
{
    private const MOST = 2000;

    /** @return array<string, mixed> */
    public static function values(PlanRules $rules): array
    {
        $usual = new PlanRules();
        $resting = [];
        foreach ($rules->resting as $bed => $rests) {
            foreach ($rests as $rest) {
                $resting[] = ['bed' => (string) $bed, 'from' => $rest->days->start->iso(), 'to' => $rest->days->last()->iso(),
                    'why' => $rest->why];
            }
        }
        $blocks = [];
        foreach ($rules->blocks as $name => $block) {
            $blocks[] = ['block' => (string) $name, 'recipe' => $block->recipe, 'paths' => $block->paths->value,
                'families' => $block->families];
        }

        return array_filter([
            'blocks' => $blocks,
            'resting' => $resting,
            'reserve_beds' => $rules->reserveBeds,
            'not_here' => array_map(static fn (NotHere $n): array => ['what' => $n->what, 'where' => $n->where, 'why' => $n->why],
                $rules->notHere),
            'cycle' => array_map(static fn (array $groups): array => ['groups' => $groups], $rules->cycle),
            'methods' => self::byItem($rules->methods),
            'keeping' => self::byItem($rules->keeping),
            'weights' => array_filter($rules->weights->all(), static fn (float $weight,
                string $name): bool => $weight !== ($usual->weights->all()[$name] ?? null), \ARRAY_FILTER_USE_BOTH),
            'school' => $rules->school === $usual->school ? null : $rules->school->value,
            'lengths' => $rules->lengths === $usual->lengths ? null : $rules->lengths->value,
            'full_trays' => $rules->fullTrays ?: null,
            'reserve' => 0.0 === $rules->reserve ? null : $rules->reserve,
            'reserve_way' => $rules->reserveWay === $usual->reserveWay ? null : $rules->reserveWay->value,
            'most_sowings' => 0 === $rules->mostSowings ? null : $rules->mostSowings,
            'odds' => $rules->odds === $usual->odds ? null : $rules->odds->value,
            'hollow_k' => 0 === $rules->hollow ? null : $rules->hollow,
            'warm_bench' => self::bench($rules->benches->warm, $usual->benches->warm),
            'cool_bench' => self::bench($rules->benches->cool, $usual->benches->cool),
            'nursery_trays' => $rules->benches->room->isSaid() ? ['bench' => $rules->benches->room->bench,
                'mat' => $rules->benches->room->mat,
                'outside' => $rules->benches->room->outside] : null,
        ], static fn (mixed $value): bool => null !== $value && [] !== $value);
    }

    /**
     * @param array<string, \BackedEnum> $kinds
     *
     * @return list<array{item: string, is: string|int}>
     */
    private static function byItem(array $kinds): array
    {
        return array_map(static fn (string|int $item, \BackedEnum $kind): array => ['item' => (string) $item, 'is' => $kind->value],
            array_keys($kinds), array_values($kinds));
    }

    /** @param list<string>|null $names there are */
    private static function known(Node $node, string $field, ?array $names, string $what): string
    {
        $name = $node->text($field, 60);
        if (null !== $names && !\in_array($name, $names, true)) {
            $node->fault($field, 'is no '.$what.' of this garden.');
        }

        return $name;
    }

    /**
     * @param list<Node>        $nodes
     * @param list<string>|null $blocks
     *
     * @return array<string, BlockRules>
     */
    private static function byBlock(array $nodes, ?RecipeBook $recipes, ?array $blocks): array
    {
        $byBlock = [];
        foreach ($nodes as $one) {
            $recipe = $one->text('recipe', 60, '/^/u');
            if (null !== $recipes && '' !== $recipe && !$recipes->has($recipe)) {
                $one->fault('recipe', 'is no preparation recipe there is.');
            }
            $block = self::known($one, 'block', $blocks, 'block');
            $byBlock[$block] = new BlockRules($recipe, $one->choice('paths', Paths::class), $one->texts('families', 60));
        }

        return $byBlock;
    }

    /**
     * @param list<Node>        $nodes
     * @param list<string>|null $beds
     *
     * @return array<string, list<RestingBed>>
     */
    private static function resting(array $nodes, ?array $beds): array
    {
        $resting = [];
        foreach ($nodes as $one) {
            $from = $one->day('from');
            $to = $one->day('to');
            if ($to->isBefore($from)) {
                $one->fault('to', 'lies before the first day it rests.');
                continue;
            }
            $bed = self::known($one, 'bed', $beds, 'bed');
            $resting[$bed][] = new RestingBed(Period::fromFirstToLast($from, $to), $one->text('why', 200, '/^/u'));
        }

        return $resting;
    }

    /**
     * @param RecipeBook|null   $recipes null: they are known to be good
     * @param list<string>|null $beds    names there are
     * @param list<string>|null $blocks
     */
    public static function read(Node $node, ?RecipeBook $recipes = null, ?array $beds = null, ?array $blocks = null): PlanRules
    {
        $objects = static fn (string $field): array => $node->has($field) ? $node->objects($field, self::MOST) : [];
        $methods = $keeping = [];
        foreach ($objects('methods') as $one) {
            $methods[$one->key('item')] = $one->choice('is', Method::class);
        }
        foreach ($objects('keeping') as $one) {
            $keeping[$one->key('item')] = $one->choice('is', Keeping::class);
        }
        $places = null === $beds || null === $blocks ? null : [...$beds, ...$blocks];
        $notHere = static fn (Node $n): NotHere => new NotHere($n->text('what', 60), self::known($n, 'where', $places, 'bed or block'),
            $n->text('why', 200, '/^/u'));

        return new PlanRules(
            self::byBlock($objects('blocks'), $recipes, $blocks),
            self::resting($objects('resting'), $beds),
            self::reserveBeds($node, $beds),
            array_map($notHere, $objects('not_here')),
            array_map(static fn (Node $n): array => $n->texts('groups', 20), $objects('cycle')),
            $methods,
            $keeping,
            $node->has('weights') ? self::weights($node->object('weights')) : new Weights(),
            $node->has('school') ? $node->choice('school', SuccessionSchool::class) : SuccessionSchool::ByDate,
            $node->has('lengths') ? $node->choice('lengths', Lengths::class) : Lengths::Quarters,
            $node->has('full_trays') && $node->bool('full_trays'),
            $node->has('reserve') ? $node->float('reserve', 0, 1) : 0.0,
            $node->has('reserve_way') ? $node->choice('reserve_way', ReserveWay::class) : ReserveWay::Longer,
            $node->has('most_sowings') ? $node->int('most_sowings', 0, 31) : 0,
            $node->has('odds') ? $node->choice('odds', Odds::class) : Odds::OneYearInTen,
            new Benches(self::readBench($node, 'warm_bench'), self::readBench($node, 'cool_bench'), self::readRoom($node)),
            $node->has('hollow_k') ? $node->int('hollow_k', 0, PlanRules::DEEPEST_HOLLOW) : 0,
        );
    }

    private static function readRoom(Node $node): TrayRoom
    {
        if (!$node->has('nursery_trays')) {
            return new TrayRoom();
        }
        $trays = $node->object('nursery_trays');

        return new TrayRoom($trays->int('bench', 0, TrayRoom::MOST), $trays->int('mat', 0, TrayRoom::MOST),
            $trays->int('outside', 0, TrayRoom::MOST));
    }

    /** @return array{night_c: float, day_c: float}|null null: as usual */
    private static function bench(Bench $bench, Bench $usual): ?array
    {
        return $bench->key() === $usual->key() ? null : ['night_c' => $bench->night, 'day_c' => $bench->day];
    }

    private static function readBench(Node $node, string $field): ?Bench
    {
        if (!$node->has($field)) {
            return null;
        }
        $bench = $node->object($field);
        $night = $bench->float('night_c', Bench::COLDEST, Bench::WARMEST);

        return new Bench($night, $bench->float('day_c', $night, Bench::WARMEST));
    }

    /**
     * @param list<string>|null $beds
     *
     * @return list<string>
     */
    private static function reserveBeds(Node $node, ?array $beds): array
    {
        $named = $node->has('reserve_beds') ? $node->texts('reserve_beds', self::MOST) : [];
        foreach (null === $beds ? [] : array_diff($named, $beds) as $unknown) {
            $node->fault('reserve_beds', \sprintf('names %s, which is no bed of this garden.', Quote::of($unknown)));
        }

        return $named;
    }

    private static function weights(Node $node): Weights
    {
        $weights = [];
        foreach (array_keys(Weights::WHY) as $name) {
            if ($node->has($name)) {
                $weights[$name] = $node->float($name, 0, 1_000_000);
            }
        }

        return Weights::of($weights);
    }
}
