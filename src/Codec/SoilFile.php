<?php

declare(strict_types=1);

namespace App\Codec;

use JollyFurrow\Exception\Limits;
use JollyFurrow\Land\Valve;
use JollyFurrow\Land\WaterWay;
use JollyFurrow\Measure\Area;
use JollyFurrow\Measure\Length;
use JollyFurrow\Soil\CompostWay;
use JollyFurrow\Soil\Extract;
use JollyFurrow\Soil\FeedRules;
use JollyFurrow\Soil\FeedSchool;
use JollyFurrow\Soil\Heat;
use JollyFurrow\Soil\Nutrients;
use JollyFurrow\Soil\RateBasis;
use JollyFurrow\Soil\Release;
use JollyFurrow\Soil\SaltWay;
use JollyFurrow\Soil\ShedProduct;
use JollyFurrow\Soil\SoilBook;
use JollyFurrow\Soil\SoilLevel;
use JollyFurrow\Soil\SoilTest;
use JollyFurrow\Soil\Spread;
use JollyFurrow\Soil\Texture;

/** Soil tests, the shed, what was spread, valves and rules of feeding, as they stand in a garden file and in the database. */
final class SoilFile
{
    private const KEY = '/^[a-z0-9][a-z0-9@#\/.-]{0,119}$/';
    private const SHED_KEY = '/^[a-z0-9-]{1,36}$/';

    /** @return array<string, mixed> empty where there is nothing to write */
    public static function values(SoilBook $soil): array
    {
        $rules = self::rulesValues($soil->rules);

        return array_filter(['soil_tests' => array_map(static fn (SoilTest $t): array => self::filled(['key' => $t->key, 'bed' => $t->bed,
            'block' => $t->block, 'day' => $t->day->iso(), ...self::testValues($t)]), $soil->tests),
            'shed' => array_map(static fn (ShedProduct $p): array => ['key' => $p->key, 'name' => $p->name, ...self::productValues($p)],
                $soil->shed),
            'spreads' => array_map(static fn (Spread $s): array => ['key' => $s->key, 'bed' => $s->bed, 'day' => $s->day->iso(),
                ...self::spreadValues($s)], $soil->spreads),
            'valves' => array_map(static fn (Valve $v): array => ['key' => $v->key, 'name' => $v->name, 'beds' => $v->beds,
                ...self::valveValues($v)], $soil->valves),
            'feeding' => self::rulesValues(new FeedRules()) === $rules ? [] : $rules,
        ], static fn (array $list): bool => [] !== $list);
    }

    /**
     * @param list<string> $beds
     * @param list<string> $blocks
     */
    public static function read(Node $node, array $beds, array $blocks): SoilBook
    {
        $tests = array_map(static fn (Node $n): SoilTest => self::test($n, self::place($n, 'bed', $beds), self::place($n, 'block',
            $blocks)),
            self::objects($node, 'soil_tests', Limits::SOIL_TESTS));
        $shed = array_map(self::product(...), self::objects($node, 'shed', Limits::SHED));
        $spreads = array_map(static fn (Node $n): Spread => self::spread($n, self::place($n, 'bed', $beds)), self::objects($node, 'spreads',
            Limits::SPREADS));
        $valves = array_map(static fn (Node $n): Valve => self::valve($n, array_values(array_intersect($n->texts('beds', Limits::BEDS, 60),
            $beds))), self::objects($node, 'valves', Limits::VALVES));

        return new SoilBook($tests, $shed, $spreads, $valves, $node->has('feeding') ? self::rules($node->object('feeding'))
            : new FeedRules());
    }

    /** @return array<string, mixed> */
    public static function testValues(SoilTest $t): array
    {
        return self::filled(['depth_mm' => null === $t->depth ? null : Millimetres::of($t->depth->micrometres), 'ph' => $t->ph,
            'buffer_ph' => $t->buffer, 'organic' => $t->organic, 'p' => $t->p, 'p_by' => $t->pBy?->value, 'k' => $t->k,
            'k_by' => $t->kBy?->value, 'ca' => $t->ca, 'mg' => $t->mg, 's' => $t->s, 'b' => $t->b, 'salt' => $t->salt,
            'salt_by' => $t->saltBy?->value, 'cec' => $t->cec, 'texture' => $t->texture?->value, 'worms' => $t->worms,
            'pan_mm' => null === $t->pan ? null : Millimetres::of($t->pan->micrometres), 'words' => $t->words]);
    }

    public static function test(Node $n, string $bed, string $block): SoilTest
    {
        $number = static fn (string $field, float $most): ?float => $n->has($field) ? $n->float($field, 0, $most) : null;
        $length = static fn (string $field): ?Length => $n->has($field) ? Length::fromMicrometres($n->length($field, 1, 2000)) : null;
        if ('' === $bed && '' === $block) {
            $n->fault('bed', 'or block: of what is this test?');
        }

        return new SoilTest($n->text('key', 36, self::SHED_KEY, 'a key of its own'), $bed, $block, $n->day('day'), $length('depth_mm'),
            $number('ph', 14), $number('buffer_ph', 14), $number('organic', 100), $number('p', 20000), $n->has('p_by')
            ? $n->choice('p_by', Extract::class) : null, $number('k', 20000), $n->has('k_by') ? $n->choice('k_by', Extract::class) : null,
            $number('ca', 100_000), $number('mg', 20000), $number('s', 20000), $number('b', 1000), $number('salt', 100), $n->has('salt_by')
            ? $n->choice('salt_by', SaltWay::class) : null, $number('cec', 500), $n->has('texture') ? $n->choice('texture', Texture::class)
            : null, $n->has('worms') ? $n->int('worms', 0, 1000) : null, $length('pan_mm'), $n->has('words') ? $n->text('words', 400) : '');
    }

    /** @return array<string, mixed> */
    public static function productValues(ShedProduct $p): array
    {
        return self::filled(['n' => $p->percent->n, 'p2o5' => $p->percent->p2o5, 'k2o' => $p->percent->k2o, 'cents_per_kg' => $p->cents,
            'release' => $p->release->value, 'manure' => $p->heat->value, 'measure' => $p->measure, 'step_kg' => $p->step,
            'stock_kg' => $p->stock, 'kg_per_litre' => $p->litre]);
    }

    public static function product(Node $n): ShedProduct
    {
        return new ShedProduct($n->text('key', 36, self::SHED_KEY, 'a key of its own'), $n->text('name', 80), self::percent($n),
            $n->float('cents_per_kg', 0, 1_000_000), $n->choice('release', Release::class), $n->choice('manure', Heat::class),
            $n->has('measure') ? $n->text('measure', 30) : '', $n->float('step_kg', 0.001, 10_000), $n->has('stock_kg')
            ? $n->float('stock_kg', 0, 10_000_000) : null, $n->has('kg_per_litre') ? $n->float('kg_per_litre', 0.01, 5) : null);
    }

    /** @return array<string, mixed> */
    public static function spreadValues(Spread $s): array
    {
        return self::filled(['product' => $s->product, 'kg' => $s->kg, 'n' => $s->percent->n, 'p2o5' => $s->percent->p2o5,
            'k2o' => $s->percent->k2o, 'release' => $s->release->value, 'manure' => $s->heat->value, 'area_m2' => $s->area->squareMetres,
            'worked_in' => $s->workedIn?->iso()]);
    }

    public static function spread(Node $n, string $bed): Spread
    {
        return new Spread($n->text('key', 120, self::KEY, 'a key of its own'), $bed, $n->day('day'), $n->text('product', 80),
            $n->float('kg', 0,
                1_000_000), self::percent($n), $n->choice('release', Release::class), $n->choice('manure', Heat::class),
            Area::fromSquareMetres($n->float('area_m2', 0.01, 1_000_000)), $n->has('worked_in') ? $n->day('worked_in') : null);
    }

    /** @return array<string, mixed> */
    public static function valveValues(Valve $v): array
    {
        return self::filled(['litres_per_minute' => $v->litres, 'way' => $v->way->value, 'every' => $v->every]);
    }

    /** @param list<string> $beds */
    public static function valve(Node $n, array $beds): Valve
    {
        return new Valve($n->text('key', 36, self::SHED_KEY, 'a key of its own'), $n->text('name', 60), $beds,
            $n->float('litres_per_minute', 0,
                100_000), $n->choice('way', WaterWay::class), $n->has('every') ? $n->int('every', 1, 60) : null);
    }

    /** @return array<string, mixed> */
    public static function rulesValues(FeedRules $r): array
    {
        $list = static fn (?Nutrients $n): ?array => null === $n ? null : $n->list();

        return self::filled(['school' => $r->school->value, 'rates_are_of' => $r->basis->value, 'compost' => $r->compost->value,
            'over_kg_ha' => $list($r->over), 'standing_kg_ha' => $list($r->standingDose), 'short' => $r->short, 'mix_cents' => $r->mixCents,
            'untested' => $r->untested->value, 'tunnels' => $r->tunnels->value, 'organic' => $r->organic, 'texture' => $r->texture->value,
            'source_litres_per_hour' => $r->sourceLitres, 'source_hours' => $r->sourceHours]);
    }

    public static function rules(Node $n): FeedRules
    {
        $three = static fn (string $field): ?Nutrients => $n->has($field) ? Nutrients::of(...[...$n->numbers($field, 3, 0, 2000), 0.0,
            0.0, 0.0])
            : null;
        $level = static fn (string $field): SoilLevel => SoilLevel::from($n->int($field, 0, 4));

        return new FeedRules($n->choice('school', FeedSchool::class), $n->choice('rates_are_of', RateBasis::class), $n->choice('compost',
            CompostWay::class), $three('over_kg_ha'), $three('standing_kg_ha'), $n->float('short', 0, 0.9), $n->int('mix_cents', 0,
                1_000_000),
            $level('untested'), $level('tunnels'), $n->float('organic', 0, 100), $n->choice('texture', Texture::class),
            $n->has('source_litres_per_hour') ? $n->float('source_litres_per_hour', 0, 10_000_000) : null, $n->float('source_hours', 0,
                24));
    }

    private static function percent(Node $n): Nutrients
    {
        return Nutrients::of($n->float('n', 0, 100), $n->float('p2o5', 0, 100), $n->float('k2o', 0, 100));
    }

    /** @param list<string> $known */
    private static function place(Node $n, string $field, array $known): string
    {
        $name = $n->has($field) ? $n->text($field, 60) : '';
        if ('' !== $name && !\in_array($name, $known, true)) {
            $n->fault($field, 'is not in this file.');
        }

        return $name;
    }

    /** @return list<Node> */
    private static function objects(Node $node, string $field, int $most): array
    {
        return $node->has($field) ? array_values($node->objects($field, $most)) : [];
    }

    /**
     * @param array<string, mixed> $values
     *
     * @return array<string, mixed> those there are
     */
    private static function filled(array $values): array
    {
        return array_filter($values, static fn (mixed $v): bool => null !== $v && '' !== $v);
    }
}
