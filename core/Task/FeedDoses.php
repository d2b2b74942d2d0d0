<?php

declare(strict_types=1);

namespace JollyFurrow\Task;

use JollyFurrow\Feed\MixCard;
use JollyFurrow\Shed\BedNeed;
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
     * @param list<Mix>            $mixes
     * @param array<string, float> $reached metres fed by now, where a dose did not get to the end; by planting and step
     *
     * @return list<Spread>
     */
    public static function spreads(array $mixes, Day $day, array $reached = []): array
    {
        $spreads = [];
        foreach ($mixes as $mix) {
            foreach ($mix->beds as $bed) {
                $share = self::share($bed->bed, $reached);
                foreach ($share > 0.0 ? $mix->parts : [] as $part) {
                    $product = $part['product'];
                    $spreads[] = new Spread($bed->bed->key.'/'.$product->key, $bed->bed->bed, $day, $product->name,
                        $bed->kg * $share * $part['share'],
                        $product->percent, $product->release, $product->heat, $bed->bed->area, $day);
                }
            }
        }

        return $spreads;
    }

    /**
     * Of a bed's dose, when feeding got so far along the beds of its planting.
     *
     * @param array<string, float> $reached metres, less those of the beds before this one afterwards
     */
    private static function share(BedNeed $bed, array &$reached): float
    {
        $dose = substr($bed->key, 0, (int) strrpos($bed->key, '/'));
        if (!isset($reached[$dose])) {
            return 1.0;
        }
        $share = max(0.0, min(1.0, $reached[$dose] / max(0.01, $bed->length)));
        $reached[$dose] -= $bed->length;

        return $share;
    }
}
