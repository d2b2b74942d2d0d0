<?php

declare(strict_types=1);

namespace App\Storage;

use App\Codec\StoreFile;
use App\Rows\GardenRow;
use Doctrine\ORM\Mapping as ORM;
use JollyFurrow\Storage\HarvestLot;
use JollyFurrow\Time\Day;

/** A harvest and the lot it made, named by the code on its label. */
#[ORM\Entity]
#[ORM\Table(name: 'harvest_lot')]
class HarvestLotRecord extends GardenRow
{
    #[ORM\Column(name: 'key_name', length: 80)]
    public readonly string $key;
    #[ORM\Column(type: 'day')]
    private Day $day;
    #[ORM\Column(name: 'planting_key', length: 120)]
    private string $planting;
    /** @var array<string, mixed> */
    #[ORM\Column(type: 'json')]
    private array $data;

    public function __construct(string $gardenId,
        #[ORM\Column(length: 36, nullable: true)]
        private ?string $bedId, HarvestLot $lot)
    {
        parent::__construct($gardenId);
        $this->key = $lot->key;
        $this->become($bedId, $lot);
    }

    public function become(?string $bedId, HarvestLot $lot): void
    {
        $this->bedId = $bedId;
        $this->day = $lot->day;
        $this->planting = $lot->planting;
        $this->data = StoreFile::lotValues($lot);
    }
}
