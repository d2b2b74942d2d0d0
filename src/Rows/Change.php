<?php

declare(strict_types=1);

namespace App\Rows;

use Doctrine\ORM\Mapping as ORM;

/** One numbered entry of a garden's log: who, when, in words, and the rows before and after. */
#[ORM\Entity]
#[ORM\Table(name: 'log_entry')]
class Change
{
    #[ORM\Id]
    #[ORM\Column(length: 36)]
    public readonly string $id;

    #[ORM\Column(nullable: true)]
    private ?int $takenBackBy = null;

    /** @param list<array{table: string, id: string, before: array<string, mixed>|null, after: array<string, mixed>|null}> $images */
    public function __construct(
        #[ORM\Column(length: 36)]
        public readonly string $gardenId,
        #[ORM\Column]
        public readonly int $number,
        #[ORM\Column(length: 36)]
        public readonly string $accountId,
        #[ORM\Column]
        public readonly int $at,
        #[ORM\Column(length: 400)]
        public readonly string $words,
        #[ORM\Column(type: 'json')]
        public readonly array $images,
        #[ORM\Column(nullable: true)]
        public readonly ?int $takesBack,
    ) {
        $this->id = GardenRow::newId();
    }

    /** Null: holds again. */
    public function takenBackBy(?int $number): void
    {
        $this->takenBackBy = $number;
    }

    public function isTakenBack(): bool
    {
        return null !== $this->takenBackBy;
    }
}
