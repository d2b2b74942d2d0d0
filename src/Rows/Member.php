<?php

declare(strict_types=1);

namespace App\Rows;

use App\Shared\Role;
use Doctrine\ORM\Mapping as ORM;

/** An account's place in a garden. */
#[ORM\Entity]
#[ORM\Table(name: 'member')]
class Member
{
    public function __construct(
        #[ORM\Id]
        #[ORM\Column(length: 36)]
        public readonly string $gardenId,
        #[ORM\Id]
        #[ORM\Column(length: 36)]
        public readonly string $accountId,
        #[ORM\Column(length: 10, enumType: Role::class)]
        private Role $role,
    ) {
    }

    public function role(): Role
    {
        return $this->role;
    }
}
