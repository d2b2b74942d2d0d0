<?php

declare(strict_types=1);

namespace App\Feed;

use JollyFurrow\Feed\MixCard;
use JollyFurrow\Feed\PlantingFeed;
use JollyFurrow\Shed\Mix;
use JollyFurrow\Task\Site;
use JollyFurrow\Time\Day;

/** What is mixed for one block in one week. */
final readonly class WeekFeed
{
    /**
     * @param list<Mix>                      $mixes
     * @param list<array{PlantingFeed, int}> $doses
     */
    private function __construct(public Day $monday, public string $block, public array $mixes, public array $doses)
    {
    }

    /** @return list<self> of some weeks from this one on, week by week and block by block */
    public static function all(Site $site, int $weeks): array
    {
        $monday = $site->garden->today->week()->monday();
        $doses = [];
        foreach ($site->feeding?->plan()->plantings ?? [] as $feed) {
            foreach ($feed->doses() as $n => $dose) {
                $week = intdiv($dose->day->number - $monday->number, 7);
                if ($dose->day->isBefore($monday) || $week >= $weeks || $site->isTicked($feed->planting, $dose->step)) {
                    continue;
                }
                $doses[$week][$site->blockOf($feed->planting)][] = [$feed, $n];
            }
        }
        ksort($doses);
        $all = [];
        foreach ($doses as $week => $blocks) {
            foreach ($site->garden->blocks as $block) {
                $mixes = isset($blocks[$block]) ? MixCard::of($site->garden, $blocks[$block]) : [];
                $all = [] === $mixes ? $all : [...$all, new self($monday->plus(7 * $week), $block, $mixes, $blocks[$block])];
            }
        }

        return $all;
    }

    public function kilograms(): float
    {
        return array_sum(array_map(static fn (Mix $m): float => $m->weight(), $this->mixes));
    }

    public function cents(): float
    {
        return array_sum(array_map(static fn (Mix $m): float => $m->cents, $this->mixes));
    }
}
