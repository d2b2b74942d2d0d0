<?php

declare(strict_types=1);

namespace JollyFurrow\Sale;

use JollyFurrow\Time\Day;

/** A market day at one outlet as it went. */
final readonly class MarketDay
{
    /**
     * @param list<Sold> $lines
     * @param int|null   $cents all that was taken, where it was counted as a whole
     */
    public function __construct(public string $outlet, public Day $day, public array $lines, public Weathering $weather = Weathering::Fair,
        public bool $isHoliday = false, public ?int $cents = null, public string $words = '')
    {
    }

    public function key(): string
    {
        return $this->outlet.'/'.$this->day->iso();
    }

    /** All sizes of it together. */
    public function of(string $product): ?Sold
    {
        $all = null;
        foreach ($this->lines as $line) {
            $all = $line->product !== $product ? $all : (null === $all ? $line : $all->and($line));
        }

        return $all;
    }

    /** Cents taken for a product; where it was not counted apart, what it costs. */
    public function takings(Sold $sold, int $each): int
    {
        return $sold->cents ?? $sold->units() * $each;
    }
}
