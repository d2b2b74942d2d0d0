<?php

declare(strict_types=1);

namespace App\Soil;

use App\Codec\SoilFile;
use App\Rows\GardenRow;
use Doctrine\ORM\Mapping as ORM;
use JollyFurrow\Land\Valve;

/** Beds watered together, named by a key. */
#[ORM\Entity]
#[ORM\Table(name: 'valve')]
class ValveRecord extends GardenRow
{
    #[ORM\Column(name: 'key_name', length: 36)]
    public readonly string $key;
    #[ORM\Column(length: 60)]
    private string $name;
    /** @var array<string, mixed> */
    #[ORM\Column(type: 'json')]
    private array $data;

    public function __construct(string $gardenId, Valve $valve)
    {
        parent::__construct($gardenId);
        $this->key = $valve->key;
        $this->become($valve);
    }

    public function become(Valve $valve): void
    {
        $this->name = $valve->name;
        $this->data = SoilFile::valveValues($valve);
    }
}
