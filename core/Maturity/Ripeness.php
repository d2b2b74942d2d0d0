<?php

declare(strict_types=1);

namespace JollyFurrow\Maturity;

use JollyFurrow\Message\Message;

/** What becomes of one sowing: day numbers from the seed to the last fit day, and the odds on the way. */
final readonly class Ripeness
{
    /** Day the first of it can be taken, before most of it is ready. */
    public int $first;

    /**
     * @param int          $emerges    in the bed or on the bench
     * @param int|null     $first      the first of it can be taken; null: when it is ready
     * @param int          $lastGood   last day of its harvest
     * @param float        $size       of the usual size, where late planting makes what is harvested smaller and not later
     * @param EndedBy      $endedBy    what ends its harvest
     * @param int          $ends       last day before frost, seed or cold ends it, whatever its age
     * @param float        $frozen     odds that frost has killed it before it is ready
     * @param float        $hot        share of days too hot for it while it matters
     * @param float        $pickings   what its harvest days come to, less what heat costs; to be set beside the best of the year
     * @param float        $germinates share of seeds that do in that soil
     * @param Message|null $never      why it cannot be counted on at the garden's odds; null: it can
     */
    public function __construct(
        public int $sow,
        public int $emerges,
        public int $ground,
        public int $ready,
        public int $lastGood,
        public float $size = 1.0,
        ?int $first = null,
        public EndedBy $endedBy = EndedBy::Age,
        public int $ends = \PHP_INT_MAX,
        public float $frozen = 0.0,
        public float $hot = 0.0,
        public float $pickings = 1.0,
        public float $germinates = 1.0,
        public ?Message $never = null,
    ) {
        $this->first = $first ?? $ready;
    }

    public function isPossible(): bool
    {
        return null === $this->never;
    }
}
