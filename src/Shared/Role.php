<?php

declare(strict_types=1);

namespace App\Shared;

/** What a member of a garden may do; each may do what the ones after it may. */
enum Role: string
{
    case Owner = 'owner';
    case Grower = 'grower';
    case Hand = 'hand';
    case Reader = 'reader';

    public function mayDoWhat(self $other): bool
    {
        return $this->rank() >= $other->rank();
    }

    private function rank(): int
    {
        return match ($this) {
            self::Owner => 3,
            self::Grower => 2,
            self::Hand => 1,
            self::Reader => 0,
        };
    }
}
