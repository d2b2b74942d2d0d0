<?php

declare(strict_types=1);

namespace App\Rows;

use Doctrine\ORM\Mapping as ORM;
use JollyFurrow\Time\Day;

#[ORM\Entity]
#[ORM\Table(name: 'promise')]
class PromiseRecord extends GardenRow
{
    public function __construct(
        string $gardenId,
        #[ORM\Column(length: 36)]
        public readonly string $outletId,
        #[ORM\Column(length: 36)]
        public readonly string $productId,
        #[ORM\Column(type: 'day')]
        public readonly Day $day,
        #[ORM\Column]
        private float $quantity,
    ) {
        parent::__construct($gardenId);
    }

    public function promise(float $quantity): void
    {
        $this->quantity = $quantity;
    }

    public function quantity(): float
    {
        return $this->quantity;
    }
}
