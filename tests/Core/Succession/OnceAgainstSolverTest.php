<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Succession;

use JollyFurrow\Succession\Kernel\OnceProblem;
use JollyFurrow\Succession\Kernel\OnceSuccessions;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * The dynamic programme against optima proved by the solver HiGHS (npm package "highs") in a facility-location model
 * that shares nothing with it: tests/fixtures/once/make.mjs makes the instances and has them proved.
 */
final class OnceAgainstSolverTest extends TestCase
{
    private const FIXTURES = __DIR__.'/../../fixtures/once/';

    /** @return iterable<string, array{array<string, mixed>}> */
    public static function instances(): iterable
    {
        foreach (self::read((string) file_get_contents(self::FIXTURES.'instances.json')) as $instance) {
            yield \sprintf('%s, seed %s', self::text($instance['kind']), self::text($instance['seed'])) => [$instance];
        }
    }

    /** @param array<string, mixed> $instance */
    #[DataProvider('instances')]
    public function testProvedInstance(array $instance): void
    {
        $this->assertEqualsProved($instance);
    }

    public function testThereAreEnoughAndTheyAreLargeEnough(): void
    {
        $instances = self::read((string) file_get_contents(self::FIXTURES.'instances.json'));
        self::assertGreaterThanOrEqual(30, \count($instances));
        self::assertCount(6, array_unique(array_map(static fn (array $i): string => self::text($i['kind']), $instances)));
        foreach ($instances as $instance) {
            self::assertGreaterThanOrEqual(20, \count(self::list($instance['need'])));
            self::assertGreaterThanOrEqual(25, \count(self::list($instance['candidates'])));
            self::assertGreaterThanOrEqual(0.15, $instance['setUpShare']);
            self::assertLessThanOrEqual(0.5, $instance['setUpShare']);
        }
    }

    public function testTinyInstancesSolvedLive(): void
    {
        $json = shell_exec('node '.escapeshellarg(self::FIXTURES.'make.mjs').' --tiny 2>/dev/null');
        self::assertIsString($json, 'Node.js with the package "highs" is needed; bin/test installs both.');
        $instances = self::read($json);
        self::assertCount(3, $instances);
        array_map($this->assertEqualsProved(...), $instances);
    }

    /** @param array<string, mixed> $instance */
    private function assertEqualsProved(array $instance): void
    {
        $proved = self::number($instance['proved']);
        $cost = OnceSuccessions::solve(self::problem($instance))->cost;

        self::assertEqualsWithDelta($proved, $cost, 1e-6 * $proved);
    }

    /** @param array<string, mixed> $i */
    private static function problem(array $i): OnceProblem
    {
        $needs = self::list($i['need']);
        $candidates = self::list($i['candidates']);
        $ints = static fn (string $name): array => array_map(static fn (array $c): int => (int) self::number($c[$name]), $candidates);
        $floats = static fn (string $name): array => array_map(static fn (array $c): float => self::number($c[$name]), $candidates);
        $rent = array_map(self::number(...), self::values($i['rent']));

        return new OnceProblem(
            array_map(static fn (array $n): int => (int) self::number($n['day']), $needs),
            array_map(static fn (array $n): int => (int) self::number($n['units']), $needs),
            array_fill(0, \count($needs), (int) self::number($i['reach'])),
            array_map(static fn (array $c): string => self::text($c['key']), $candidates),
            $ints('sow'), $ints('start'), $ints('ready'), $ints('last'), $floats('perMetre'), $floats('setUp'), $floats('cost'),
            array_fill(0, \count($candidates), $rent),
            0,
            array_fill(0, \count($candidates), self::number($i['stepMetres'])),
            (int) self::number($i['minSteps']),
            array_fill(0, \count($candidates), (int) self::number($i['maxSteps'])),
            self::number($i['penalty']),
            self::number($i['keeping']),
        );
    }

    /** @return list<array<string, mixed>> */
    private static function read(string $json): array
    {
        return self::list(json_decode($json, true, 32, \JSON_THROW_ON_ERROR));
    }

    /** @return list<array<string, mixed>> */
    private static function list(mixed $value): array
    {
        self::assertIsArray($value);

        /** @var list<array<string, mixed>> $value */
        return $value;
    }

    /** @return list<mixed> */
    private static function values(mixed $value): array
    {
        self::assertIsArray($value);

        return array_values($value);
    }

    private static function number(mixed $value): float
    {
        self::assertIsNumeric($value);

        return (float) $value;
    }

    private static function text(mixed $value): string
    {
        self::assertIsScalar($value);

        return (string) $value;
    }
}
