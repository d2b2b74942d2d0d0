<?php

declare(strict_types=1);

namespace App\Diary;

use App\Rows\GardenRow;
use Doctrine\ORM\Mapping as ORM;
use JollyFurrow\Diary\Dressing;
use JollyFurrow\Diary\SeedLot;
use JollyFurrow\Time\Day;

/** A lot of seed in the drawer, named by its key. */
#[ORM\Entity]
#[ORM\Table(name: 'seed_lot')]
class SeedLotRecord extends GardenRow
{
    #[ORM\Column(name: 'key_name', length: 36)]
    public readonly string $key;
    #[ORM\Column(length: 60)]
    private string $variety;
    #[ORM\Column]
    private float $grams;
    #[ORM\Column(type: 'day')]
    private Day $counted;
    #[ORM\Column]
    private int $year;
    #[ORM\Column(nullable: true)]
    private ?float $germination;
    #[ORM\Column(length: 80)]
    private string $supplier;
    #[ORM\Column(nullable: true)]
    private ?float $packet;
    #[ORM\Column(nullable: true)]
    private ?int $cents;
    #[ORM\Column(length: 120)]
    private string $setting;
    #[ORM\Column(length: 8, enumType: Dressing::class)]
    private Dressing $dressing;

    public function __construct(string $gardenId, SeedLot $lot)
    {
        parent::__construct($gardenId);
        $this->key = $lot->key;
        $this->become($lot);
    }

    public function become(SeedLot $lot): void
    {
        $this->variety = $lot->variety;
        $this->grams = $lot->grams;
        $this->counted = $lot->counted;
        $this->year = $lot->year;
        $this->germination = $lot->germination;
        $this->supplier = $lot->supplier;
        $this->packet = $lot->packet;
        $this->cents = $lot->cents;
        $this->setting = $lot->setting;
        $this->dressing = $lot->dressing;
    }
}
