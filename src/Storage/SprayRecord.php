<?php

declare(strict_types=1);

namespace App\Storage;

use App\Codec\StoreFile;
use App\Rows\GardenRow;
use Doctrine\ORM\Mapping as ORM;
use JollyFurrow\Time\Day;
use JollyFurrow\Treatment\Spray;

/** A treatment, named by its key. */
#[ORM\Entity]
#[ORM\Table(name: 'spray')]
class SprayRecord extends GardenRow
{
    #[ORM\Column(name: 'key_name', length: 36)]
    public readonly string $key;
    #[ORM\Column(type: 'day')]
    private Day $day;
    /** @var array<string, mixed> */
    #[ORM\Column(type: 'json')]
    private array $data;

    public function __construct(string $gardenId, Spray $spray)
    {
        parent::__construct($gardenId);
        $this->key = $spray->key;
        $this->day = $spray->day;
        $this->data = StoreFile::sprayValues($spray);
    }
}
