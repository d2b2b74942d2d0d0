<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Joint;

use JollyFurrow\Joint\JointPlan;
use JollyFurrow\Joint\Progress;
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

    /** Stopped anywhere, what there is by then fits; the later, the less is left short. */
    public function testStoppedAnywhereItAnswersWithAPlanThatFits(): void
    {
        [$instance] = JointInstance::all();
        $costs = [];
        foreach ([0, 3, 20, 28, 33, 45] as $calls) {
            $plan = $instance->planned(new class($calls) implements Progress {
                public function __construct(private int $left)
                {
                }

                public function at(int $done, int $of, string $item): bool
                {
                    return $this->left-- > 0;
                }
            });
            self::assertFits($instance, $plan);
            self::assertSame($calls >= 27, $plan->isWhole, $calls.' calls');
            if ($plan->isWhole) {
                $costs[] = $plan->cost();
            }
        }
        $whole = $instance->planned()->cost();
        self::assertGreaterThanOrEqual(3, \count($costs));
        foreach ($costs as $cost) {
            self::assertGreaterThanOrEqual($whole, $cost);
            self::assertLessThan(1.25 * $instance->bound, $cost);
        }
    }

    private static function assertFits(JointInstance $instance, JointPlan $plan): void
    {
        self::assertSame([], $instance->rooms()->with($plan->plans)->tooMuch(), 'seed '.$instance->seed);
    }
}
