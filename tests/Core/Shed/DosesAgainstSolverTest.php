<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Shed;

use JollyFurrow\Shed\Kernel\Doses;
use PHPUnit\Framework\TestCase;

/**
 * The choice of products against optima of the solver HiGHS (npm package "highs"): tests/fixtures/shed/make.mjs makes sixty
 * sheds by chance and has them solved to the gram, in whole steps, and both with stock limits.
 *
 * @phpstan-type Product array{gives: array{float, float, float}, cost: float, step: float, stock: float|null}
 * @phpstan-type Instance array{shed: list<Product>, need: array{float, float, float}, most: array{float, float, float},
 *     costs: array<string, float>}
 */
final class DosesAgainstSolverTest extends TestCase
{
    public function testCostsWhatTheSolverSays(): void
    {
        $instances = $this->instances();
        self::assertCount(60, $instances);
        $off = [];
        foreach ($instances as $n => $instance) {
            foreach ($instance['costs'] as $which => $cost) {
                $mine = $this->solved($instance, str_starts_with($which, 'steps'), str_contains($which, 'stock'));
                if (null === $mine || abs($mine - $cost) > 1e-4 * max(1.0, $cost)) {
                    $off[] = \sprintf('%d %s: %s, solver %s', $n, $which, $mine ?? 'nothing', $cost);
                }
            }
        }
        self::assertSame([], $off);
    }

    /** Stock and whole steps matter in enough of them, or the test says little. */
    public function testTheInstancesAreHardEnough(): void
    {
        $instances = $this->instances();
        $differ = static fn (string $a, string $b): int => \count(array_filter($instances,
            static fn (array $i): bool => $i['costs'][$a] < $i['costs'][$b] - 1e-6));

        self::assertGreaterThan(8, $differ('exact', 'stock'));
        self::assertGreaterThan(8, $differ('steps', 'steps_stock'));
        self::assertGreaterThan(40, $differ('exact', 'steps'));
    }

    /** @return list<Instance> */
    private function instances(): array
    {
        /** @var list<Instance> $instances */
        $instances = json_decode((string) file_get_contents(__DIR__.'/../../fixtures/shed/instances.json'), true,
            flags: \JSON_THROW_ON_ERROR);

        return $instances;
    }

    /** @param Instance $instance */
    private function solved(array $instance, bool $inSteps, bool $withStock): ?float
    {
        $shed = $instance['shed'];
        $doses = new Doses(array_map(static fn (array $p): array => array_map(floatval(...), $p['gives']), $shed),
            array_map(static fn (array $p): float => (float) $p['cost'], $shed),
            array_map(static fn (array $p): float => (float) $p['step'], $shed),
            array_map(static fn (array $p): float => $withStock ? (float) ($p['stock'] ?? \INF) : \INF, $shed),
            array_map(floatval(...), $instance['need']), array_map(floatval(...), $instance['most']));
        $kg = $inSteps ? $doses->inWholeSteps() : $doses->cheapest();

        return null === $kg ? null : array_sum(array_map(static fn (int $j, float $x): float => $x * $shed[$j]['cost'], array_keys($kg),
            $kg));
    }
}
