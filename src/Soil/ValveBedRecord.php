<?php

declare(strict_types=1);

namespace App\Soil;

use App\Rows\GardenRow;
use Doctrine\ORM\Mapping as ORM;

/** A bed hangs on a valve. */
#[ORM\Entity]
#[ORM\Table(name: 'valve_bed')]
class ValveBedRecord extends GardenRow
{
    public function __construct(string $gardenId,
        #[ORM\Column(length: 36)]
        private string $valveId,
        #[ORM\Column(length: 36)]
        private string $bedId)
    {
        parent::__construct($gardenId);
    }
}
