<?php

declare(strict_types=1);

namespace App\Rows;

use Doctrine\ORM\Mapping as ORM;
use JollyFurrow\Land\Stretch;

/** The stretch of bed one piece of a planting stands on. */
#[ORM\Entity]
#[ORM\Table(name: 'piece')]
class PieceRecord extends GardenRow
{
    #[ORM\Column]
    private int $fromUm;
    #[ORM\Column]
    private int $toUm;
    #[ORM\Column]
    private float $widthShare;

    public function __construct(
        string $gardenId,
        #[ORM\Column(length: 36)]
        private string $plantingId,
        #[ORM\Column(length: 36)]
        private string $bedId,
        #[ORM\Column]
        private int $position,
        Stretch $stretch,
    ) {
        parent::__construct($gardenId);
        $this->fromUm = $stretch->from;
        $this->toUm = $stretch->to;
        $this->widthShare = $stretch->widthShare;
    }
}
