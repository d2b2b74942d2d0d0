<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Boxes;

use JollyFurrow\Boxes\BoxClass;
use JollyFurrow\Boxes\BoxItem;
use JollyFurrow\Boxes\Filling;
use PHPUnit\Framework\TestCase;

/** Forty weeks by chance against the best filling by HiGHS (tests/fixtures/boxes/make.mjs); the gap is told of the price of all boxes. */
final class FillingAgainstSolverTest extends TestCase
{
    public function testAgainstTheSolver(): void
    {
        $gaps = [];
        foreach (self::instances() as [$items, $classes, $best]) {
            $filling = Filling::of($items, $classes);
            $price = array_sum(array_map(static fn (BoxClass $c): float => $c->boxes * $c->cents, $classes));
            self::assertLessThanOrEqual($best + 0.01, $filling->score);
            self::assertGreaterThanOrEqual(0, min([0, ...array_values($filling->left)]), 'never more than there is');
            self::assertFair($filling, $classes);
            $gaps[] = ($best - $filling->score) / $price;
        }
        sort($gaps);

        self::assertLessThanOrEqual(0.005, $gaps[intdiv(\count($gaps), 2)], 'median');
        self::assertLessThanOrEqual(0.04, $gaps[(int) ceil(0.95 * \count($gaps)) - 1], '95 of 100');
        fwrite(\STDOUT, \sprintf("\nBoxes against the solver: median %.2f %%, 95 of 100 %.2f %%, worst %.2f %% of their price.\n",
            100 * $gaps[intdiv(\count($gaps), 2)], 100 * $gaps[(int) ceil(0.95 * \count($gaps)) - 1], 100 * max([0.0, ...$gaps])));
    }

    /** @param list<BoxClass> $classes */
    private static function assertFair(Filling $filling, array $classes): void
    {
        foreach ($classes as $class) {
            foreach ($filling->contents[$class->key()] as $item) {
                foreach ($classes as $other) {
                    $isBefore = $other->size === $class->size && ($other->had[$item] ?? 0) < ($class->had[$item] ?? 0);
                    self::assertTrue(!$isBefore || \in_array($item, $filling->contents[$other->key()], true), $item);
                }
            }
        }
    }

    /** @return iterable<array{list<BoxItem>, list<BoxClass>, float}> */
    private static function instances(): iterable
    {
        /**
         * @var list<array{items: list<array{key: string, units: int, cents: int, use: float, each: array<string, int>}>,
         *     classes: list<array{size: string, group: int, boxes: int, cents: int, kinds: int, had: array<string, int>,
         *     weeks: array<string, int>}>, score: float}> $all
         */
        $all = json_decode((string) file_get_contents(\dirname(__DIR__, 2).'/fixtures/boxes/instances.json'), true);
        foreach ($all as $one) {
            yield [array_map(static fn (array $i): BoxItem => new BoxItem($i['key'], $i['units'], (float) $i['cents'], (float) $i['use'],
                $i['each']), $one['items']), array_map(static fn (array $c): BoxClass => new BoxClass($c['size'], $c['group'], $c['boxes'],
                    (float) $c['cents'], $c['kinds'], $c['had'], $c['weeks']), $one['classes']), (float) $one['score']];
        }
    }
}
