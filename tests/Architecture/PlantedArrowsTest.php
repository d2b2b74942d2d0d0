<?php

declare(strict_types=1);

namespace JollyFurrow\Architecture;

use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;

/** The rules of DependencyTest are alive: one planted arrow each breaks them, and none of them speaks of an empty namespace. */
final class PlantedArrowsTest extends TestCase
{
    public function testEachRuleFailsOnItsPlantedArrow(): void
    {
        $root = \dirname(__DIR__, 2);
        $run = new Process([\PHP_BINARY, '-d', 'memory_limit=1G', 'vendor/bin/phpstan', 'analyse', '--no-progress',
            '--error-format=raw', '--configuration=tests/Architecture/planted/phpstan.neon'], $root, timeout: 120);
        $run->run();
        foreach (['CoreArrow should not depend on App\\', 'KernelArrow should not depend on JollyFurrow\Time\Day',
            'CheckArrow should not depend on JollyFurrow\Plan\Planner'] as $fault) {
            self::assertStringContainsString($fault, $run->getOutput(), $run->getOutput().$run->getErrorOutput());
        }
        self::assertSame(3, substr_count($run->getOutput(), 'should not depend on'), 'one fault a planted arrow, no more');
    }

    public function testNoSelectorIsOfAnEmptyNamespace(): void
    {
        $root = \dirname(__DIR__, 2);
        preg_match_all("~inNamespace\('([^']+)'\)~", (string) file_get_contents(__DIR__.'/DependencyTest.php'), $found);
        $folders = ['JollyFurrow\Tests' => 'tests/Core', 'JollyFurrow\Architecture' => 'tests/Architecture',
            'JollyFurrow\Migrations' => 'migrations', 'JollyFurrow' => 'core', 'App' => 'src',
            'Symfony' => 'vendor/symfony', 'Doctrine' => 'vendor/doctrine', 'Twig' => 'vendor/twig', 'Psr' => 'vendor/psr'];
        self::assertGreaterThanOrEqual(8, \count($found[1]));
        foreach (array_unique($found[1]) as $namespace) {
            $path = $folders[$namespace] ?? 'core/'.strtr(substr($namespace, \strlen('JollyFurrow\\')), '\\', '/');
            self::assertNotSame([], array_merge((array) glob("$root/$path/*.php"), (array) glob("$root/$path/*/*.php"),
                (array) glob("$root/$path/*/*/*.php")), "$namespace has no classes.");
        }
    }
}
