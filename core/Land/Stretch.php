<?php

declare(strict_types=1);

namespace JollyFurrow\Land;

use JollyFurrow\Measure\Length;

/** A half-open stretch [from, to) of one bed, in micrometres from its head, over a share of its width. */
final readonly class Stretch
{
    /** Shares that were rounded when they were typed may add up to a trifle more than the width. */
    private const WHOLE_WIDTH = 1.0001;

    private function __construct(public string $bed, public int $from, public int $to, public float $widthShare)
    {
        if ($from < 0 || $to <= $from || $widthShare <= 0.0 || $widthShare > 1.0) {
            throw new \LogicException(\sprintf('[%d, %d) over %F of the width is no stretch of bed %s.', $from, $to, $widthShare, $bed));
        }
    }

    public static function of(string $bed, int $from, int $to, float $widthShare = 1.0): self
    {
        return new self($bed, $from, $to, $widthShare);
    }

    public function length(): Length
    {
        return Length::fromMicrometres($this->to - $this->from);
    }

    public function sharesGroundWith(self $other): bool
    {
        return $this->bed === $other->bed && $this->from < $other->to && $other->from < $this->to;
    }

    /** Shares ground with the other, and the two are wider than the bed together. */
    public function isInTheWayOf(self $other): bool
    {
        return $this->sharesGroundWith($other) && $this->widthShare + $other->widthShare > self::WHOLE_WIDTH;
    }

    /** Micrometres of this stretch that also lie in the other. */
    public function common(self $other): int
    {
        return $this->bed === $other->bed ? max(0, min($this->to, $other->to) - max($this->from, $other->from)) : 0;
    }
}
