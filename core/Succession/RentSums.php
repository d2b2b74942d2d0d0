<?php

declare(strict_types=1);

namespace JollyFurrow\Succession;

use JollyFurrow\Shelter\PlaceType;

/** Rent of a bed metre summed up by day, so that the rent of any stay is one subtraction. Cents. */
final readonly class RentSums
{
    /** @param array<string, list<float>> $sums by place type; entry n is the rent of the days before first + n */
    private function __construct(public int $first, public array $sums)
    {
    }

    /**
     * @param array<string, array<int, float>> $weekly rent of each week from the first day on, by place type
     */
    public static function fromWeeks(int $first, array $weekly): self
    {
        $sums = [];
        foreach ($weekly as $place => $weeks) {
            $sum = 0.0;
            $line = [0.0];
            foreach ($weeks as $rent) {
                for ($day = 0; $day < 7; ++$day) {
                    $sum += $rent / 7;
                    $line[] = $sum;
                }
            }
            $sums[$place] = $line;
        }

        return new self($first, $sums);
    }

    /**
     * The same with some days dearer.
     *
     * @param array<string, array<int, float>> $days  by place type and day number: times so much
     * @param float                            $cents a metre and day
     */
    public function dearer(array $days, float $cents): self
    {
        $sums = $this->sums;
        foreach ($days as $place => $dear) {
            ksort($dear);
            $more = 0.0;
            foreach ($sums[$place] as $n => $sum) {
                $sums[$place][$n] = $sum + $more;
                $more += ($dear[$this->first + $n] ?? 0.0) * $cents;
            }
        }

        return new self($this->first, $sums);
    }

    /** Rent per metre from the first to the last day, both included. */
    public function between(PlaceType $place, int $from, int $last): float
    {
        $line = $this->sums[$place->value];
        $most = \count($line) - 1;

        return $line[min($most, max(0, $last + 1 - $this->first))] - $line[min($most, max(0, $from - $this->first))];
    }
}
