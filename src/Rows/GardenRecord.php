<?php

declare(strict_types=1);

namespace App\Rows;

use App\Codec\MapFile;
use App\Codec\PlanRulesFile;
use Doctrine\ORM\Mapping as ORM;
use JollyFurrow\Garden\Place;
use JollyFurrow\Garden\Settings;
use JollyFurrow\Time\Weekday;

/** A garden with its place and its settings. Its own id is also its garden id. */
#[ORM\Entity]
#[ORM\Table(name: 'garden')]
class GardenRecord extends GardenRow
{
    #[ORM\Column(length: 120)]
    private string $placeName;
    #[ORM\Column]
    private float $latitude;
    #[ORM\Column]
    private int $altitude;
    #[ORM\Column(length: 5)]
    private string $lastFrost;
    #[ORM\Column(length: 5)]
    private string $firstFrost;
    #[ORM\Column(length: 10)]
    private string $units;
    #[ORM\Column(length: 3)]
    private string $currency;
    /** @var list<int> */
    #[ORM\Column(type: 'json')]
    private array $sowingDays;
    #[ORM\Column(length: 60)]
    private string $recipe;
    /** @var array<string, int|float> */
    #[ORM\Column(type: 'json')]
    private array $rent;
    #[ORM\Column]
    private float $shortageFactor;
    #[ORM\Column]
    private float $keepingShare;
    #[ORM\Column]
    private int $wage;
    /** @var array<string, int> */
    #[ORM\Column(type: 'json')]
    private array $rotation;
    #[ORM\Column]
    private int $compostDepth;
    #[ORM\Column]
    private float $nitrogenRate;
    #[ORM\Column]
    private float $fertiliserNitrogen;
    /** @var array<string, int> */
    #[ORM\Column(type: 'json')]
    private array $kit;
    /** @var array<string, mixed> */
    #[ORM\Column(type: 'json')]
    private array $planRules;
    /** @var array<string, mixed> */
    #[ORM\Column(type: 'json')]
    private array $groundMap;
    /** Empty: as is usual with the units. */
    #[ORM\Column(length: 12)]
    private string $dateForm;
    #[ORM\Column(length: 64)]
    private string $timeZone;

    public function __construct(
        string $gardenId,
        #[ORM\Column(length: 120)]
        private string $name,
        Place $place,
        Settings $settings,
    ) {
        parent::__construct($gardenId, $gardenId);
        $this->moveTo($place);
        $this->choose($settings);
    }

    public function rename(string $name): void
    {
        $this->name = $name;
    }

    public function name(): string
    {
        return $this->name;
    }

    public function moveTo(Place $place): void
    {
        $this->placeName = $place->name;
        $this->latitude = $place->latitude;
        $this->altitude = $place->altitude;
        $this->lastFrost = $place->lastFrost->iso();
        $this->firstFrost = $place->firstFrost->iso();
    }

    public function choose(Settings $settings): void
    {
        $this->units = $settings->units->value;
        $this->currency = $settings->currency;
        $this->sowingDays = array_map(static fn (Weekday $day): int => $day->value, $settings->sowingDays);
        $this->recipe = $settings->recipe;
        $this->rent = $settings->rent;
        $this->shortageFactor = $settings->shortageFactor;
        $this->keepingShare = $settings->keepingShare;
        $this->wage = $settings->wage;
        $this->rotation = $settings->rotation;
        $this->compostDepth = $settings->compostDepth->micrometres;
        $this->nitrogenRate = $settings->nitrogenRate;
        $this->fertiliserNitrogen = $settings->fertiliserNitrogen;
        $this->kit = $settings->kit;
        $this->planRules = PlanRulesFile::values($settings->rules);
        $this->groundMap = MapFile::values($settings->map);
        $this->dateForm = $settings->dateForm->value ?? '';
        $this->timeZone = $settings->timeZone;
    }
}
