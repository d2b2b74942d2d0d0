<?php

declare(strict_types=1);

namespace App\Rows;

use Doctrine\ORM\Mapping as ORM;
use JollyFurrow\Shelter\Protection;
use JollyFurrow\Time\Day;

/** A cover over a bed, or over a planting by its key, from one day to another. */
#[ORM\Entity]
#[ORM\Table(name: 'protection')]
class ProtectionRecord extends GardenRow
{
    #[ORM\Column(length: 100)]
    private string $planting;
    #[ORM\Column(length: 20)]
    private string $cover;
    #[ORM\Column(length: 10)]
    private string $purpose;
    #[ORM\Column(type: 'day')]
    private Day $fromDay;
    #[ORM\Column(type: 'day')]
    private Day $toDay;

    public function __construct(
        string $gardenId,
        #[ORM\Column(length: 36, nullable: true)]
        private ?string $bedId,
        Protection $protection,
    ) {
        parent::__construct($gardenId);
        $this->planting = $protection->planting;
        $this->cover = $protection->cover->value;
        $this->purpose = $protection->purpose->value;
        $this->fromDay = $protection->days->start;
        $this->toDay = $protection->days->last();
    }
}
