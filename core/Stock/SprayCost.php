<?php

declare(strict_types=1);

namespace JollyFurrow\Stock;

use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Supply\Lot;
use JollyFurrow\Supply\TrueSupply;
use JollyFurrow\Time\Day;
use JollyFurrow\Treatment\Spray;
use JollyFurrow\Treatment\WaitingTime;

/** What a treatment would cost before it is noted: pickings inside its waiting time, and the day on which fewest are. */
final readonly class SprayCost
{
    private const AHEAD = 10;

    /**
     * @param list<array{planting: Planting, days: list<Day>}> $lost pickings, by planting
     * @param Day                                              $best day of the next ones
     * @param Spray|null                                       $last on one of the beds
     */
    private function __construct(public array $lost, public Day $best, public int $atBest, public ?Spray $last)
    {
    }

    public static function of(Garden $garden, CropBook $crops, Spray $spray): self
    {
        $supply = new TrueSupply($garden, $crops);
        $lost = $all = [];
        foreach ($garden->plantings as $planting) {
            if ([] === array_filter($planting->pieces, static fn ($piece): bool => $spray->isOn($piece->bed))) {
                continue;
            }
            $isStock = $crops->grown($planting->item, $planting->variety)->pattern->isStock();
            $days = array_values(array_unique(array_map(static fn (Lot $l): int => $isStock ? $l->to : $l->from,
                array_filter($supply->lots($planting), static fn (Lot $l): bool => null === $l->goodUntil))));
            $all = [...$all, ...$days];
            $in = WaitingTime::lost($spray->day, $spray->wait, $days);
            $lost = [] === $in ? $lost : [...$lost, ['planting' => $planting, 'days' => array_map(Day::of(...), $in)]];
        }
        $from = $spray->day->isBefore($garden->today) ? $spray->day : $garden->today;
        $best = WaitingTime::best($from, self::AHEAD, $spray->wait, $all);
        $lasts = array_values(array_filter(array_map(static fn (string $bed): ?Spray => $garden->sprays->lastOn($bed, $spray->day->plus(1)),
            $spray->beds)));

        return new self($lost, $best, \count(WaitingTime::lost($best, $spray->wait, $all)), $lasts[0] ?? null);
    }

    public function count(): int
    {
        return array_sum(array_map(static fn (array $l): int => \count($l['days']), $this->lost));
    }
}
