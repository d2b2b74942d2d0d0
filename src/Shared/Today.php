<?php

declare(strict_types=1);

namespace App\Shared;

use JollyFurrow\Time\Day;
use Psr\Clock\ClockInterface;

/**
 * The only place that asks what day it is. JOLLY_FURROW_TODAY pins the day, for tests and for pictures; an instant is always
 * the real clock's.
 */
final readonly class Today
{
    public function __construct(private ClockInterface $clock, private ?string $pinned)
    {
    }

    /** @param string $timeZone where it is asked; empty: the server's */
    public function day(string $timeZone = ''): Day
    {
        $now = $this->clock->now();
        $there = '' === $timeZone ? $now : $now->setTimezone(new \DateTimeZone($timeZone));

        return $this->pinned() ?? Day::parse($there->format('Y-m-d'));
    }

    /** The day all gardens are at that have none of their own; null: none, they go by the clock. */
    public function pinned(): ?Day
    {
        return null === $this->pinned || '' === $this->pinned ? null : Day::parse($this->pinned);
    }

    public function now(): \DateTimeImmutable
    {
        return $this->clock->now();
    }
}
