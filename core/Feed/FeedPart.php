<?php

declare(strict_types=1);

namespace JollyFurrow\Feed;

use JollyFurrow\Time\Day;
use JollyFurrow\Work\CarePoint;

/** One part of the nitrogen of a crop, by stage. */
final readonly class FeedPart
{
    /**
     * @param int|null $after days after the point; null: by the share
     * @param float    $share of the way to the first harvest
     * @param float    $part  share of the nitrogen
     * @param int|null $every days; the part is spread over all its days
     * @param float    $until share of the way after which none is given
     * @param int      $nth   from a cut: after every nth of them
     */
    public function __construct(public string $name, public CarePoint $from, public ?int $after, public float $share, public float $part,
        public ?int $every, public float $until, public int $nth = 1)
    {
    }

    /**
     * @param list<Day> $days
     *
     * @return list<Day> after every nth cut; all of them where it is not counted from cuts
     */
    public function those(array $days): array
    {
        return array_values(array_filter($days, fn (int $n): bool => 0 === ($n + 1) % $this->nth, \ARRAY_FILTER_USE_KEY));
    }
}
