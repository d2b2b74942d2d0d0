<?php

declare(strict_types=1);

namespace App\Rows;

use Doctrine\ORM\Mapping as ORM;
use JollyFurrow\Maturity\PlaceClimate;

/** The climate of a garden: what it was made of, and what pages need of it, worked out once. */
#[ORM\Entity]
#[ORM\Table(name: 'climate')]
class ClimateRecord extends GardenRow
{
    #[ORM\Column]
    private bool $timed;
    /** @var array<string, list<float>|string>|null */
    #[ORM\Column(type: 'json', nullable: true)]
    private ?array $months;
    /** @var list<array{int, float, float, float|null}>|null */
    #[ORM\Column(type: 'json', nullable: true)]
    private ?array $record;
    /** @var array<string, list<float>|int> */
    #[ORM\Column(type: 'json')]
    private array $normals;
    /** @var array<string, array<string, array<string, array<string, float|null>>>|int> */
    #[ORM\Column(type: 'json')]
    private array $frost;

    public function __construct(string $gardenId, PlaceClimate $climate)
    {
        parent::__construct($gardenId);
        $this->take($climate);
    }

    public function take(PlaceClimate $climate): void
    {
        $this->timed = $climate->isTimedByIt;
        $months = $climate->months ?? $climate->filledBy;
        $this->months = null === $months ? null : ['min' => $months->min, 'max' => $months->max, 'rain' => $months->rain ?? [],
            ...(null === $months->guess ? [] : ['guess' => $months->guess->value]),
                ...(null === $climate->filledBy ? [] : ['fills' => 'yes'])];
        $this->record = $climate->record?->rows();
        $this->normals = $climate->climate->values();
        $this->frost = ['dates' => $climate->frost->dates, 'years' => $climate->frost->years];
    }

    public function timeByIt(bool $timed): void
    {
        $this->timed = $timed;
    }
}
