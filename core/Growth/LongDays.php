<?php

declare(strict_types=1);

namespace JollyFurrow\Growth;

/** Runs to seed in warm long days: each day adds its length times its warmth, and a sum ends it. Own model. */
final readonly class LongDays
{
    /**
     * @param float $hoursFrom hours of day from which they count; over $hoursSpan hours more they count fully, at most $hoursMost
     * @param float $warmFrom  mean in degrees C from which it counts; over $warmSpan degrees more fully, at most $warmMost
     */
    public function __construct(
        public float $hoursFrom,
        public float $hoursSpan,
        public float $hoursMost,
        public float $warmFrom,
        public float $warmSpan,
        public float $warmMost,
        public float $sum,
    ) {
    }

    public function ofADay(float $mean, float $hours): float
    {
        return min($this->hoursMost, max(0.0, ($hours - $this->hoursFrom) / $this->hoursSpan))
            * min($this->warmMost, max(0.0, ($mean - $this->warmFrom) / $this->warmSpan));
    }

    public function key(): string
    {
        return implode('/', [$this->hoursFrom, $this->hoursSpan, $this->hoursMost, $this->warmFrom, $this->warmSpan, $this->warmMost]);
    }
}
