<?php

declare(strict_types=1);

namespace App\Shared;

use JollyFurrow\Time\Day;

/** Who is looking at which garden, and what they may do there. Made by the gate alone. */
final readonly class Visit
{
    public function __construct(public string $gardenId, public string $gardenName, public string $accountId, public Role $role,
        public ?Day $practiceDay = null)
    {
    }

    public function mayRecord(): bool
    {
        return $this->role->mayDoWhat(Role::Hand);
    }

    public function isOwner(): bool
    {
        return $this->role->mayDoWhat(Role::Owner);
    }

    public function mayPlan(): bool
    {
        return $this->role->mayDoWhat(Role::Grower);
    }
}
