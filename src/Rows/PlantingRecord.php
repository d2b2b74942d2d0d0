<?php

declare(strict_types=1);

namespace App\Rows;

use App\Codec\MessageCodec;
use App\Codec\PlantingCodec;
use Doctrine\ORM\Mapping as ORM;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Time\Day;

#[ORM\Entity]
#[ORM\Table(name: 'planting')]
class PlantingRecord extends GardenRow
{
    #[ORM\Column(name: 'key_name', length: 100)]
    private string $key;
    #[ORM\Column(length: 60)]
    private string $item;
    #[ORM\Column(length: 60)]
    private string $variety;
    #[ORM\Column(length: 12)]
    private string $method;
    #[ORM\Column(length: 10)]
    private string $place;
    #[ORM\Column(length: 60)]
    private string $recipe;
    #[ORM\Column(type: 'day')]
    private Day $sow;
    #[ORM\Column(type: 'day')]
    private Day $ground;
    #[ORM\Column(type: 'day')]
    private Day $bedStart;
    #[ORM\Column(type: 'day')]
    private Day $ready;
    #[ORM\Column(type: 'day')]
    private Day $clear;
    #[ORM\Column]
    private float $perMetre;
    #[ORM\Column(length: 10)]
    private string $standing;
    #[ORM\Column]
    private bool $locked;
    /** @var list<array<string, mixed>|string> */
    #[ORM\Column(type: 'json')]
    private array $remarks;
    #[ORM\Column]
    private float $stand;
    #[ORM\Column(nullable: true)]
    private ?float $leftShare;
    #[ORM\Column(type: 'day', nullable: true)]
    private ?Day $leftSince;
    /** @var list<array{int, float}>|null */
    #[ORM\Column(type: 'json', nullable: true)]
    private ?array $harvest;
    /** @var list<string>|null */
    #[ORM\Column(type: 'json', nullable: true)]
    private ?array $careLeftOut;

    public function __construct(string $gardenId, Planting $planting)
    {
        parent::__construct($gardenId);
        $this->key = $planting->key;
        $this->replan($planting);
    }

    public function key(): string
    {
        return $this->key;
    }

    /** Takes over everything of another planting of the same key. */
    public function replan(Planting $planting): void
    {
        $this->item = $planting->item;
        $this->variety = $planting->variety;
        $this->method = $planting->method->value;
        $this->place = $planting->place->value;
        $this->recipe = $planting->recipe;
        $this->sow = $planting->sow;
        $this->ground = $planting->ground;
        $this->bedStart = $planting->bedStart;
        $this->ready = $planting->ready;
        $this->clear = $planting->clear;
        $this->perMetre = $planting->perMetre;
        $this->standing = $planting->standing->value;
        $this->locked = $planting->locked;
        $this->remarks = array_map(MessageCodec::values(...), $planting->remarks);
        $this->stand = $planting->stand;
        $this->leftShare = $planting->left?->share;
        $this->leftSince = $planting->left?->since;
        $this->careLeftOut = [] === $planting->careLeftOut ? null : $planting->careLeftOut;
        $this->harvest = [] === $planting->harvest ? null : PlantingCodec::days($planting->harvest);
    }

    public function comeTo(Standing $standing): void
    {
        $this->standing = $standing->value;
    }
}
