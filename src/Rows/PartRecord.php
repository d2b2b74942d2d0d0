<?php

declare(strict_types=1);

namespace App\Rows;

use Doctrine\ORM\Mapping as ORM;
use JollyFurrow\Promise\Part;

/** What a product takes of one item. */
#[ORM\Entity]
#[ORM\Table(name: 'product_part')]
class PartRecord extends GardenRow
{
    #[ORM\Column(length: 60)]
    private string $item;
    #[ORM\Column]
    private float $units;

    public function __construct(
        string $gardenId,
        #[ORM\Column(length: 36)]
        private string $productId,
        #[ORM\Column]
        private int $position,
        Part $part,
    ) {
        parent::__construct($gardenId);
        $this->item = $part->item;
        $this->units = $part->units;
    }
}
