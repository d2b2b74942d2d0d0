<?php

declare(strict_types=1);

namespace App\Storage;

use App\Rows\GardenRow;
use Doctrine\ORM\Mapping as ORM;

/** A bed was treated. */
#[ORM\Entity]
#[ORM\Table(name: 'spray_bed')]
class SprayBedRecord extends GardenRow
{
    public function __construct(string $gardenId,
        #[ORM\Column(length: 36)]
        private string $sprayId,
        #[ORM\Column(length: 36)]
        private string $bedId)
    {
        parent::__construct($gardenId);
    }
}
