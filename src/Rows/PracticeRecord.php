<?php

declare(strict_types=1);

namespace App\Rows;

use Doctrine\ORM\Mapping as ORM;
use JollyFurrow\Garden\Practice;
use JollyFurrow\Time\Day;

/** That a garden is one to practise in: the day it has come to, and from which change on it began. */
#[ORM\Entity]
#[ORM\Table(name: 'practice')]
class PracticeRecord extends GardenRow
{
    #[ORM\Column(type: 'day')]
    private Day $day;
    #[ORM\Column]
    private readonly int $seed;

    public function __construct(string $gardenId, Practice $practice, Day $day,
        #[ORM\Column]
        public readonly int $since)
    {
        parent::__construct($gardenId);
        $this->seed = $practice->seed;
        $this->day = $day;
    }

    public function comeTo(Day $day): void
    {
        $this->day = $day;
    }
}
