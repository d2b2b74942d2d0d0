<?php

declare(strict_types=1);

namespace App\Rows;

use Doctrine\ORM\Mapping as ORM;
use JollyFurrow\Land\PastCrop;
use JollyFurrow\Time\Day;

/** What stood on a stretch before. */
#[ORM\Entity]
#[ORM\Table(name: 'past_crop')]
class PastCropRecord extends GardenRow
{
    #[ORM\Column]
    private int $fromUm;
    #[ORM\Column]
    private int $toUm;
    #[ORM\Column]
    private float $widthShare;
    #[ORM\Column(length: 60)]
    private string $crop;
    #[ORM\Column(type: 'day')]
    private Day $cleared;

    public function __construct(
        string $gardenId,
        #[ORM\Column(length: 36)]
        private string $bedId,
        PastCrop $past,
    ) {
        parent::__construct($gardenId);
        $this->fromUm = $past->stretch->from;
        $this->toUm = $past->stretch->to;
        $this->widthShare = $past->stretch->widthShare;
        $this->crop = $past->crop;
        $this->cleared = $past->cleared;
    }
}
