<?php

declare(strict_types=1);

namespace App\Rows;

use Doctrine\ORM\Mapping as ORM;
use JollyFurrow\Promise\Outlet;
use JollyFurrow\Time\Period;
use JollyFurrow\Time\Weekday;

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
    /** @var list<int> all of them */
    #[ORM\Column(type: 'json')]
    private array $weekdays;
    /** @var list<array{int, int}> first and last days */
    #[ORM\Column(type: 'json')]
    private array $closed;
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

    public function standAt(int $position): void
    {
        $this->position = $position;
    }

    /** All but its key, by which promises name it. */
    public function is(Outlet $outlet): void
    {
        $this->name = $outlet->name;
        $this->weekdays = array_map(static fn (Weekday $day): int => $day->value, $outlet->days->weekdays);
        $this->weekday = $this->weekdays[0];
        $this->closed = array_map(static fn (Period $p): array => [$p->start->number, $p->last()->number], $outlet->days->closed);
        $this->priority = $outlet->priority;
        $this->pickWindowDays = $outlet->pickWindowDays;
        $this->pickToSaleDays = $outlet->pickToSaleDays;
    }
}
