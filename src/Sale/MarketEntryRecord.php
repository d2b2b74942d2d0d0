<?php

declare(strict_types=1);

namespace App\Sale;

use App\Rows\GardenRow;
use Doctrine\ORM\Mapping as ORM;
use JollyFurrow\Time\Day;

/** An order, the terms of an outlet, a price, a market day, a size of box or a week of boxes, named by its kind and key. */
#[ORM\Entity]
#[ORM\Table(name: 'market_entry')]
class MarketEntryRecord extends GardenRow
{
    /** @param array<string, mixed> $data as in a garden file */
    public function __construct(string $gardenId,
        #[ORM\Column(length: 10)]
        public readonly string $kind,
        #[ORM\Column(name: 'key_name', length: 80)]
        public readonly string $key,
        #[ORM\Column(type: 'day')]
        private Day $day,
        #[ORM\Column(type: 'json')]
        private array $data)
    {
        parent::__construct($gardenId);
    }

    /** @param array<string, mixed> $data */
    public function become(Day $day, array $data): void
    {
        $this->day = $day;
        $this->data = $data;
    }
}
