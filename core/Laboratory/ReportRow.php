<?php

declare(strict_types=1);

namespace JollyFurrow\Laboratory;

use JollyFurrow\Time\Day;

/** One sample of a report. */
final readonly class ReportRow
{
    /**
     * @param string               $sample as the laboratory calls it
     * @param string|null          $place  name of a bed or block it is of; null: to be asked
     * @param array<string, float> $values by ReportValue
     * @param list<string>         $wrong  cells that are no number, as they stand
     */
    public function __construct(public int $number, public string $sample, public ?string $place, public ?Day $day, public array $values,
        public string $texture, public array $wrong)
    {
    }
}
