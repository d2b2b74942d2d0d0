<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Boxes;

use JollyFurrow\Boxes\Mixing;
use JollyFurrow\Boxes\MixPart;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

final class MixingTest extends TestCase
{
    /** A salad of four leaves, each 20 to 50 %: of one there is little, and the others make up for it evenly. */
    public function testWithinItsBounds(): void
    {
        $mix = Mixing::of(self::salad(), ['lettuce' => 15, 'arugula' => 40, 'mizuna' => 40, 'spinach' => 40], 50);
        self::assertSame(['lettuce' => 15, 'arugula' => 12, 'mizuna' => 12, 'spinach' => 11], $mix->steps, 'usual 20, 10, 10, 10');

        $short = Mixing::of(self::salad(), ['lettuce' => 80, 'arugula' => 8, 'mizuna' => 40, 'spinach' => 40], 50);
        self::assertSame([40, 8], [$short->all(), $short->steps['arugula']], 'a fifth of it has to be arugula');
    }

    public function testWithoutIt(): void
    {
        self::assertSame('arugula', Mixing::of(self::salad(), ['lettuce' => 80, 'mizuna' => 40, 'spinach' => 40], 50)->without);
        self::assertTrue(Mixing::of([new MixPart('a', 0.6, 0.6, 1.0), new MixPart('b', 0.5, 0.4, 1.0)], ['a' => 9, 'b' => 9], 9)->isWrong);
        self::assertTrue(Mixing::of([new MixPart('a', 0.0, 0.5, 0.4), new MixPart('b', 0.0, 0.5, 0.5)], ['a' => 9, 'b' => 9], 9)->isWrong);
        self::assertSame(0, Mixing::of(self::salad(), ['lettuce' => 1, 'arugula' => 1, 'mizuna' => 1, 'spinach' => 0], 50)->all());
    }

    /** What is no usual part of it comes in when the others are at their most. */
    public function testWhatIsNoUsualPartComesLast(): void
    {
        $parts = [new MixPart('a', 0.0, 0.5, 0.6), new MixPart('b', 0.0, 0.5, 0.6), new MixPart('c', 0.0, 0.0, 1.0)];

        self::assertSame(['a' => 5, 'b' => 5, 'c' => 0], Mixing::of($parts, ['a' => 9, 'b' => 9, 'c' => 9], 10)->steps);
        self::assertSame(['a' => 6, 'b' => 2, 'c' => 2], Mixing::of($parts, ['a' => 9, 'b' => 2, 'c' => 9], 10)->steps);
    }

    /** Five hundred mixes by chance against all there are: as much as can be had, as near the usual as can be. */
    public function testAgainstAllMixes(): void
    {
        $random = new Randomizer(new Mt19937(16));
        for ($n = 0; $n < 500; ++$n) {
            $parts = [];
            foreach (['a', 'b', 'c'] as $key) {
                $low = $random->getInt(0, 3) / 10;
                $parts[] = new MixPart($key, $low, $random->getInt(1, 6) / 10, min(1.0, $low + $random->getInt(1, 6) / 10));
            }
            $there = ['a' => $random->getInt(0, 12), 'b' => $random->getInt(0, 12), 'c' => $random->getInt(0, 12)];
            $wanted = $random->getInt(1, 20);
            $mix = Mixing::of($parts, $there, $wanted);
            if ($mix->isWrong || null !== $mix->without) {
                continue;
            }
            [$most, $off] = self::best($parts, $there, $wanted);
            self::assertSame($most, $mix->all());
            self::assertTrue(0 === $most || self::off($parts, array_values($mix->steps), $most) <= $off + 1e-9);
        }
    }

    /**
     * @param list<MixPart>      $parts
     * @param array<string, int> $there
     *
     * @return array{int, float}
     */
    private static function best(array $parts, array $there, int $wanted): array
    {
        [$most, $off] = [0, 0.0];
        for ($a = 0; $a <= $there['a']; ++$a) {
            for ($b = 0; $b <= $there['b']; ++$b) {
                for ($c = 0; $c <= $there['c']; ++$c) {
                    $all = $a + $b + $c;
                    $isIn = 0 < $all && $all <= $wanted;
                    foreach ([$a, $b, $c] as $n => $x) {
                        $isIn = $isIn && $x >= $parts[$n]->low * $all - 1e-9 && $x <= $parts[$n]->high * $all + 1e-9;
                    }
                    $now = $isIn ? self::off($parts, [$a, $b, $c], $all) : \INF;
                    [$most, $off] = $isIn && ($all > $most || ($all === $most && $now < $off)) ? [$all, $now] : [$most, $off];
                }
            }
        }

        return [$most, $off];
    }

    /**
     * @param list<MixPart> $parts
     * @param list<int>     $steps
     */
    private static function off(array $parts, array $steps, int $all): float
    {
        return array_sum(array_map(static fn (MixPart $p, int $n): float => ($n / $all - $p->usual) ** 2 / $p->usual, $parts, $steps));
    }

    /** @return list<MixPart> */
    private static function salad(): array
    {
        return [new MixPart('lettuce', 0.2, 0.4, 0.5), new MixPart('arugula', 0.2, 0.2, 0.5), new MixPart('mizuna', 0.2, 0.2, 0.5),
            new MixPart('spinach', 0.2, 0.2, 0.5)];
    }
}
