<?php

declare(strict_types=1);

namespace App\Soil;

use App\Codec\SoilFile;
use App\Rows\GardenRow;
use Doctrine\ORM\Mapping as ORM;
use JollyFurrow\Soil\Spread;
use JollyFurrow\Time\Day;

/** What was spread on a bed on a day, named by its key. */
#[ORM\Entity]
#[ORM\Table(name: 'spread')]
class SpreadRecord extends GardenRow
{
    #[ORM\Column(name: 'key_name', length: 120)]
    public readonly string $key;
    #[ORM\Column(type: 'day')]
    private Day $day;
    /** @var array<string, mixed> */
    #[ORM\Column(type: 'json')]
    private array $data;

    public function __construct(string $gardenId,
        #[ORM\Column(length: 36)]
        private string $bedId, Spread $spread)
    {
        parent::__construct($gardenId);
        $this->key = $spread->key;
        $this->become($spread);
    }

    public function become(Spread $spread): void
    {
        $this->day = $spread->day;
        $this->data = SoilFile::spreadValues($spread);
    }
}
