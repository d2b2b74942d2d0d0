<?php

declare(strict_types=1);

namespace JollyFurrow\Diary;

/** Care of a crop by the grower's own rule: trellis, prune, pinch, side-dress. */
final readonly class OwnCare
{
    /**
     * @param string     $crop      item it is for
     * @param string     $from      what it is counted from: ground, emergence, ready
     * @param int        $after     days
     * @param int|null   $every     days; null: once
     * @param bool       $goesOn    while it is harvested too
     * @param float      $hours     per 100 m of bed
     * @param float|null $threshold something is counted, and more than this is acted on; null: nothing is counted
     */
    public function __construct(public string $key, public string $crop, public string $words, public string $from, public int $after,
        public ?int $every, public bool $goesOn, public float $hours, public ?float $threshold = null)
    {
    }
}
