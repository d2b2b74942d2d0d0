<?php

declare(strict_types=1);

namespace App\Garden\Entity;

use App\Shared\Doctrine\GardenRow;
use Doctrine\ORM\Mapping as ORM;
use JollyFurrow\Garden\Bed;

#[ORM\Entity]
#[ORM\Table(name: 'bed')]
class BedRecord extends GardenRow
{
    #[ORM\Column(length: 20)]
    private string $name;
    #[ORM\Column]
    private int $position;
    /** Millimetres. */
    #[ORM\Column]
    private int $length;
    #[ORM\Column]
    private int $width;
    #[ORM\Column]
    private int $path;
    #[ORM\Column(length: 10)]
    private string $place;

    public function __construct(
        string $gardenId,
        #[ORM\Column(length: 36)]
        private string $blockId,
        Bed $bed,
    ) {
        parent::__construct($gardenId);
        $this->name = $bed->name;
        $this->position = $bed->position;
        $this->length = $bed->length->millimetres;
        $this->width = $bed->width->millimetres;
        $this->path = $bed->path->millimetres;
        $this->place = $bed->place->value;
    }
}
