<?php

declare(strict_types=1);

namespace App\Rows;

use Doctrine\ORM\Mapping as ORM;

#[ORM\Entity]
#[ORM\Table(name: 'block')]
class BlockRecord extends GardenRow
{
    public function __construct(
        string $gardenId,
        #[ORM\Column(length: 60)]
        private string $name,
        #[ORM\Column]
        private int $position,
    ) {
        parent::__construct($gardenId);
    }

    public function name(): string
    {
        return $this->name;
    }

    public function rename(string $name): void
    {
        $this->name = $name;
    }

    public function walkOn(int $position): void
    {
        $this->position = $position;
    }
}
