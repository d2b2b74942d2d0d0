<?php

declare(strict_types=1);

namespace App\Storage;

use App\Codec\StoreFile;
use App\Rows\GardenRow;
use Doctrine\ORM\Mapping as ORM;
use JollyFurrow\Storage\PlaceDay;
use JollyFurrow\Time\Day;

/** A day of a place, as its logger has it. */
#[ORM\Entity]
#[ORM\Table(name: 'place_day')]
class PlaceDayRecord extends GardenRow
{
    #[ORM\Column(type: 'day')]
    private Day $day;
    /** @var array<string, mixed> */
    #[ORM\Column(type: 'json')]
    private array $data;

    public function __construct(string $gardenId,
        #[ORM\Column(length: 36)]
        private string $placeId, PlaceDay $day)
    {
        parent::__construct($gardenId);
        $this->become($day);
    }

    public function become(PlaceDay $day): void
    {
        $this->day = $day->day;
        $this->data = StoreFile::dayValues($day);
    }
}
