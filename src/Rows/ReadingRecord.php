<?php

declare(strict_types=1);

namespace App\Rows;

use Doctrine\ORM\Mapping as ORM;
use JollyFurrow\Time\Day;

/** One day as it was measured at the garden: by the station, or read off and typed. */
#[ORM\Entity]
#[ORM\Table(name: 'reading')]
class ReadingRecord extends GardenRow
{
    public function __construct(
        string $gardenId,
        #[ORM\Column(type: 'day')]
        public readonly Day $day,
        #[ORM\Column]
        private float $min,
        #[ORM\Column]
        private float $max,
        #[ORM\Column(nullable: true)]
        private ?float $rain,
        #[ORM\Column(length: 10)]
        private string $source,
    ) {
        parent::__construct($gardenId);
    }

    public function correct(float $min, float $max, ?float $rain, string $source): void
    {
        [$this->min, $this->max, $this->rain, $this->source] = [$min, $max, $rain, $source];
    }

    public function isTyped(): bool
    {
        return 'typed' === $this->source;
    }
}
