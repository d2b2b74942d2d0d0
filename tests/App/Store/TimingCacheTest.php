<?php

declare(strict_types=1);

namespace App\Tests\Store;

use App\Kernel;
use App\Store\TimingCache;
use JollyFurrow\Climate\Climate;
use JollyFurrow\Climate\DailyRecord;
use JollyFurrow\Climate\Weather;
use JollyFurrow\Crop\Crop;
use JollyFurrow\Maturity\LocalTiming;
use JollyFurrow\Maturity\Ripeness;
use JollyFurrow\Maturity\TimingMemory;
use JollyFurrow\Message\Message;
use JollyFurrow\Shelter\Cover;
use JollyFurrow\Tests\Support\Book;
use JollyFurrow\Tests\Support\Larkspur;
use JollyFurrow\Time\Day;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Cache\Adapter\ArrayAdapter;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Event\TerminateEvent;

final class TimingCacheTest extends TestCase
{
    /** What is remembered is what was reckoned, for every crop; the second time nothing is reckoned any more. */
    public function testTheSameIsAnsweredAndNotReckonedAgain(): void
    {
        $pool = new ArrayAdapter();
        [$first, $second] = [new TimingCache($pool), new TimingCache($pool)];
        $plain = $this->answers($this->timing(null));

        self::assertEquals($plain, $this->answers($this->timing($first)));
        $first->onTerminate(new TerminateEvent(new Kernel('test', false), new Request(), new Response()));
        $timing = $this->timing($second);
        self::assertEquals($plain, $this->answers($timing));
        foreach (Book::crops()->all() as $crop) {
            $remembered = $second->answers($timing->key().$crop->fingerprint().Cover::None->value);
            self::assertFalse($remembered->isGrown, $crop->key);
            self::assertGreaterThanOrEqual(3 * \count($crop->methods()), \count($remembered->ripe), $crop->key);
        }
    }

    /** A reading, other odds, other values of a crop, another cover: each is asked under a key of its own. */
    public function testWhatItFollowsFromIsInTheKey(): void
    {
        $base = $this->timing(null);
        $read = DailyRecord::fromRows([[Day::parse('2026-02-20')->number, 5.0, 19.0, 0.0]]);
        foreach ([$this->timing(null, $read), $this->timing(null, null, 0.2), $this->timing(null, null, 0.1, '2026-03-03')] as $other) {
            self::assertNotSame($base->key(), $other->key());
        }
        self::assertSame($base->key(), $this->timing(null)->key());
        $prints = array_map(static fn (Crop $c): string => $c->fingerprint(), Book::crops()->all());
        self::assertCount(\count($prints), array_unique($prints));
    }

    /** @return array<string, array{Ripeness|null, Message|null}> */
    private function answers(LocalTiming $timing): array
    {
        $answers = [];
        foreach (Book::crops()->all() as $crop) {
            $ripening = $timing->of($crop, Cover::None);
            foreach ($crop->methods() as $method) {
                foreach (['2026-04-01', '2026-07-10', '2026-09-20'] as $day) {
                    $number = Day::parse($day)->number;
                    $ripe = $ripening->fromGround($number, $number, $method);
                    $answers[$crop->key.$method->value.$day] = [$ripe, null === $ripe ? null : $ripening->unusual($ripe, $method)];
                }
            }
        }

        return $answers;
    }

    private function timing(?TimingMemory $memory, ?DailyRecord $read = null, float $odds = 0.1, string $today = '2026-03-02'): LocalTiming
    {
        return new LocalTiming(Weather::of(Climate::fromMonths(Larkspur::months()), Larkspur::NORTH, Day::parse($today)->plus(-420),
            1250, $read), $odds, memory: $memory);
    }
}
