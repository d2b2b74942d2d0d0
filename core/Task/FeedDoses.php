<?php

declare(strict_types=1);

namespace JollyFurrow\Task;

use JollyFurrow\Feed\MixCard;
use JollyFurrow\Shed\Mix;
use JollyFurrow\Soil\Spread;
use JollyFurrow\Time\Day;

/** What is mixed for a job of feeding, and what lies on the beds once it is done. */
final class FeedDoses
{
    /**
     * @param list<Task> $tasks
     *
     * @return list<Mix>
     */
    public static function mixes(Site $site, array $tasks): array
    {
        $doses = [];
        foreach ($tasks as $task) {
            $feed = null === $task->planting ? null : $site->feeding?->plan()->get($task->planting->key);
            if (null === $feed) {
                continue;
            }
            foreach ($feed->doses() as $n => $dose) {
                if ($dose->step === $task->id->step) {
                    $doses[] = [$feed, $n];
                }
            }
        }

        return MixCard::of($site->garden, $doses);
    }

    /**
     * Named by the dose and the product, so that one dose is never counted for what it was given to itself.
     *
     * @param list<Mix> $mixes
     *
     * @return list<Spread>
     */
    public static function spreads(array $mixes, Day $day): array
    {
        $spreads = [];
        foreach ($mixes as $mix) {
            foreach ($mix->beds as $bed) {
                foreach ($mix->parts as $part) {
                    $product = $part['product'];
                    $spreads[] = new Spread($bed->bed->key.'/'.$product->key, $bed->bed->bed, $day, $product->name,
                        $bed->kg * $part['share'],
                        $product->percent, $product->release, $product->heat, $bed->bed->area, $day);
                }
            }
        }

        return $spreads;
    }
}
