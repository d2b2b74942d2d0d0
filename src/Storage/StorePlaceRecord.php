<?php

declare(strict_types=1);

namespace App\Storage;

use App\Codec\StoreFile;
use App\Rows\GardenRow;
use Doctrine\ORM\Mapping as ORM;
use JollyFurrow\Storage\StorePlace;

/** A place where produce lies, named by its key. */
#[ORM\Entity]
#[ORM\Table(name: 'store_place')]
class StorePlaceRecord extends GardenRow
{
    #[ORM\Column(name: 'key_name', length: 36)]
    public readonly string $key;
    #[ORM\Column(length: 60)]
    private string $name;
    /** @var array<string, mixed> */
    #[ORM\Column(type: 'json')]
    private array $data;

    public function __construct(string $gardenId, StorePlace $place)
    {
        parent::__construct($gardenId);
        $this->key = $place->key;
        $this->become($place);
    }

    public function become(StorePlace $place): void
    {
        $this->name = $place->name;
        $this->data = StoreFile::placeValues($place);
    }
}
