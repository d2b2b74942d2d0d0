<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Plan;

use JollyFurrow\Plan\JointPlan;
use JollyFurrow\Tests\Support\JointInstance;
use PHPUnit\Framework\TestCase;

/**
 * Joint plans against the Lagrangian bound: tests/fixtures/joint/make.php makes the gardens (28 crops, 40 beds, 1.1 to 1.7
 * times the beds wanted) and has the bound proved. bench/joint.php goes through all of them; here a few.
 */
final class JointAgainstBoundTest extends TestCase
{
    private const FEW = 3;

    public function testPlansFitAndLieNearTheBound(): void
    {
        $all = JointInstance::all();
        self::assertGreaterThanOrEqual(10, \count($all));
        $gaps = [];
        foreach (\array_slice($all, 0, self::FEW) as $instance) {
            $plan = $instance->planned();
            self::assertFits($instance, $plan);
            self::assertGreaterThanOrEqual($instance->bound, $plan->cost());
            $gaps[] = $plan->cost() / $instance->bound - 1;
        }
        sort($gaps);

        self::assertLessThanOrEqual(0.03, $gaps[intdiv(\count($gaps), 2)], 'median');
        self::assertLessThanOrEqual(0.045, end($gaps), 'worst');
    }

    private static function assertFits(JointInstance $instance, JointPlan $plan): void
    {
        self::assertSame([], $instance->rooms()->with($plan->plans)->tooMuch(), 'seed '.$instance->seed);
    }
}
