<?php

declare(strict_types=1);

namespace JollyFurrow\Work;

/**
 * How large weeds have grown since their pass was due, and what it takes then. Tools are common practice, no source; days
 * and hours are our own model.
 */
enum WeedSize: string
{
    case Thread = 'thread';
    /** To 12 mm. */
    case Small = 'small';
    case Grown = 'grown';
    case Large = 'large';

    private const SMALL_FROM = 5;
    private const GROWN_FROM = 10;
    private const LARGE_FROM = 20;

    /** @param int $days since the pass was due, or the one before it that nobody did */
    public static function after(int $days): self
    {
        return match (true) {
            $days < self::SMALL_FROM => self::Thread,
            $days < self::GROWN_FROM => self::Small,
            $days < self::LARGE_FROM => self::Grown,
            default => self::Large,
        };
    }

    /** As many times the hours of a pass in time. */
    public function hours(): float
    {
        return match ($this) {
            self::Thread => 1.0, self::Small => 1.3, self::Grown => 2.0, self::Large => 3.5,
        };
    }

    /** @param string $usual the tool of a pass in time */
    public function tool(string $usual): string
    {
        return match ($this) {
            self::Thread => $usual, self::Small, self::Grown => 'hoe', self::Large => 'fork',
        };
    }
}
