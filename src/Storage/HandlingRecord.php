<?php

declare(strict_types=1);

namespace App\Storage;

use App\Codec\StoreFile;
use App\Rows\GardenRow;
use Doctrine\ORM\Mapping as ORM;
use JollyFurrow\Storage\Handling;
use JollyFurrow\Time\Day;

/** What became of a part of a lot on a day. */
#[ORM\Entity]
#[ORM\Table(name: 'handling')]
class HandlingRecord extends GardenRow
{
    #[ORM\Column(name: 'key_name', length: 80)]
    public readonly string $key;
    #[ORM\Column(type: 'day')]
    private Day $day;
    /** @var array<string, mixed> */
    #[ORM\Column(type: 'json')]
    private array $data;

    public function __construct(string $gardenId,
        #[ORM\Column(length: 36)]
        private string $lotId, Handling $handling)
    {
        parent::__construct($gardenId);
        $this->key = $handling->key;
        $this->day = $handling->day;
        $this->data = StoreFile::handlingValues($handling);
    }
}
