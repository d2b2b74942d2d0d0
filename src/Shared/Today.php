<?php

declare(strict_types=1);

namespace App\Shared;

use JollyFurrow\Time\Day;
use Psr\Clock\ClockInterface;

/** The only place that asks what day it is. JOLLY_FURROW_TODAY pins it, for tests and for pictures. */
final readonly class Today
{
    public function __construct(private ClockInterface $clock, private ?string $pinned)
    {
    }

    public function day(): Day
    {
        return Day::parse(null !== $this->pinned && '' !== $this->pinned ? $this->pinned : $this->clock->now()->format('Y-m-d'));
    }

    public function now(): \DateTimeImmutable
    {
        return $this->clock->now();
    }
}
