<?php

declare(strict_types=1);

namespace JollyFurrow\Diary;

use JollyFurrow\Time\Day;

/** A job the grower wrote down: once, or again every so many days. */
final readonly class OwnJob
{
    private const MOST_TIMES = 400;

    /**
     * @param string   $block where; empty: anywhere
     * @param float    $hours of one time
     * @param int      $wait  days it can wait
     * @param int|null $every days; null: once
     * @param Day|null $last  day it comes again at the latest; null: without end
     */
    public function __construct(public string $key, public string $words, public string $block, public Bears $bears, public float $hours,
        public int $wait, public Day $first, public ?int $every = null, public ?Day $last = null)
    {
    }

    /** @return list<Day> from one day to another, both within */
    public function days(Day $from, Day $until): array
    {
        if (null === $this->every) {
            return $this->first->isBefore($from) || $until->isBefore($this->first) ? [] : [$this->first];
        }
        $until = null !== $this->last && $this->last->isBefore($until) ? $this->last : $until;
        $times = max(0, (int) ceil($from->since($this->first) / $this->every));
        $days = [];
        for ($day = $this->first->plus($times * $this->every); !$until->isBefore($day) && \count($days) < self::MOST_TIMES;
            $day = $day->plus($this->every)) {
            $days[] = $day;
        }

        return $days;
    }

    public function inBlock(string $block): self
    {
        return new self($this->key, $this->words, $block, $this->bears, $this->hours, $this->wait, $this->first, $this->every,
            $this->last);
    }
}
