<?php

declare(strict_types=1);

namespace App\Diary;

use App\Rows\GardenRow;
use Doctrine\ORM\Mapping as ORM;
use JollyFurrow\Diary\OwnCare;

/** Care by the grower's own rule, named by its key. */
#[ORM\Entity]
#[ORM\Table(name: 'own_care')]
class OwnCareRecord extends GardenRow
{
    #[ORM\Column(name: 'key_name', length: 36)]
    public readonly string $key;
    #[ORM\Column(length: 60)]
    private string $crop;
    #[ORM\Column(length: 80)]
    private string $words;
    #[ORM\Column(length: 10)]
    private string $countedFrom;
    #[ORM\Column]
    private int $afterDays;
    #[ORM\Column(nullable: true)]
    private ?int $every;
    #[ORM\Column]
    private bool $goesOn;
    #[ORM\Column]
    private float $hours;
    #[ORM\Column(nullable: true)]
    private ?float $threshold;

    public function __construct(string $gardenId, OwnCare $care)
    {
        parent::__construct($gardenId);
        $this->key = $care->key;
        $this->crop = $care->crop;
        $this->words = $care->words;
        $this->countedFrom = $care->from;
        $this->afterDays = $care->after;
        $this->every = $care->every;
        $this->goesOn = $care->goesOn;
        $this->hours = $care->hours;
        $this->threshold = $care->threshold;
    }
}
