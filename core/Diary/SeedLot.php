<?php

declare(strict_types=1);

namespace JollyFurrow\Diary;

use JollyFurrow\Time\Day;

/** A lot of seed or planting stock in the drawer, as it was counted on a day. */
final readonly class SeedLot
{
    /**
     * @param string     $variety     key of the crop and variety in the book
     * @param float      $grams       on the day it was counted
     * @param int        $year        of harvest, as on the packet
     * @param float|null $germination share, by a test of one's own; null: not tested
     * @param float|null $packet      grams it is sold in; null: any
     * @param int|null   $cents       a packet
     * @param string     $setting     of the seeder: roller, gears, and the spacing it gave
     */
    public function __construct(public string $key, public string $variety, public float $grams, public Day $counted, public int $year,
        public ?float $germination = null, public string $supplier = '', public ?float $packet = null, public ?int $cents = null,
        public string $setting = '', public Dressing $dressing = Dressing::None)
    {
    }
}
