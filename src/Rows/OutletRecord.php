<?php

declare(strict_types=1);

namespace App\Rows;

use Doctrine\ORM\Mapping as ORM;
use JollyFurrow\Promise\Outlet;

#[ORM\Entity]
#[ORM\Table(name: 'outlet')]
class OutletRecord extends GardenRow
{
    #[ORM\Column(name: 'key_name', length: 60)]
    private string $key;
    #[ORM\Column(length: 120)]
    private string $name;
    #[ORM\Column]
    private int $weekday;
    #[ORM\Column]
    private int $priority;
    #[ORM\Column]
    private int $pickWindowDays;
    #[ORM\Column(nullable: true)]
    private ?int $pickToSaleDays;

    public function __construct(
        string $gardenId,
        #[ORM\Column]
        private int $position,
        Outlet $outlet,
    ) {
        parent::__construct($gardenId);
        $this->key = $outlet->key;
        $this->is($outlet);
    }

    /** All but its key, by which promises name it. */
    public function is(Outlet $outlet): void
    {
        $this->name = $outlet->name;
        $this->weekday = $outlet->weekday->value;
        $this->priority = $outlet->priority;
        $this->pickWindowDays = $outlet->pickWindowDays;
        $this->pickToSaleDays = $outlet->pickToSaleDays;
    }
}
