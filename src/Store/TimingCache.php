<?php

declare(strict_types=1);

namespace App\Store;

use JollyFurrow\Maturity\RipeningAnswers;
use JollyFurrow\Maturity\TimingMemory;
use Psr\Cache\CacheItemPoolInterface;
use Symfony\Component\Cache\PruneableInterface;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\Event\TerminateEvent;

/**
 * Ripening remembered from one request to the next, under a key of the weather, the crop's values and the cover, so that
 * nothing old is ever answered. What was reckoned in a request is written after its answer is sent.
 */
final class TimingCache implements TimingMemory
{
    private const SECONDS = 2 * 86400;
    /** One request in so many looks for what is too old. */
    private const PRUNED = 500;
    /** @var array<string, RipeningAnswers> by key */
    private array $answers = [];

    public function __construct(private readonly CacheItemPoolInterface $pool)
    {
    }

    public function answers(string $key): RipeningAnswers
    {
        return $this->answers[$key] ??= $this->remembered($key);
    }

    #[AsEventListener]
    public function onTerminate(TerminateEvent $event): void
    {
        foreach ($this->answers as $key => $answers) {
            if ($answers->isGrown) {
                $answers->isGrown = false;
                $this->pool->saveDeferred($this->pool->getItem(md5($key))->set($answers)->expiresAfter(self::SECONDS));
            }
        }
        $this->pool->commit();
        $this->answers = [];
        if ($this->pool instanceof PruneableInterface && 1 === random_int(1, self::PRUNED)) {
            $this->pool->prune();
        }
    }

    private function remembered(string $key): RipeningAnswers
    {
        $answers = $this->pool->getItem(md5($key))->get();

        return $answers instanceof RipeningAnswers ? $answers : new RipeningAnswers();
    }
}
