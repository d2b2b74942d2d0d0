<?php

declare(strict_types=1);

namespace App\Soil;

use App\Codec\SoilFile;
use App\Rows\GardenRow;
use Doctrine\ORM\Mapping as ORM;
use JollyFurrow\Soil\SoilTest;
use JollyFurrow\Time\Day;

/** A soil test of a bed or a block, named by its key. */
#[ORM\Entity]
#[ORM\Table(name: 'soil_test')]
class SoilTestRecord extends GardenRow
{
    #[ORM\Column(name: 'key_name', length: 36)]
    public readonly string $key;
    #[ORM\Column(type: 'day')]
    private Day $day;
    /** @var array<string, mixed> */
    #[ORM\Column(type: 'json')]
    private array $data;

    public function __construct(string $gardenId,
        #[ORM\Column(length: 36, nullable: true)]
        private ?string $bedId,
        #[ORM\Column(length: 36, nullable: true)]
        private ?string $blockId, SoilTest $test)
    {
        parent::__construct($gardenId);
        $this->key = $test->key;
        $this->become($test, $bedId, $blockId);
    }

    public function become(SoilTest $test, ?string $bedId, ?string $blockId): void
    {
        $this->bedId = $bedId;
        $this->blockId = $blockId;
        $this->day = $test->day;
        $this->data = SoilFile::testValues($test);
    }
}
