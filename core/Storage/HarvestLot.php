<?php

declare(strict_types=1);

namespace JollyFurrow\Storage;

use JollyFurrow\Readiness\HarvestUse;
use JollyFurrow\Time\Day;

/** What was brought in of one planting or bed on a day: each harvest is a lot, named by day, bed and crop. */
final readonly class HarvestLot
{
    /**
     * @param string     $key        code on its label
     * @param string     $item       what it is promised as
     * @param string     $variety    key of crop and variety in the book
     * @param string     $planting   key of the planting; empty: from a bed nobody had planned
     * @param string     $bed        it came from; empty: not said
     * @param int        $hundredths of a unit of sale: grams of what is sold by weight
     * @param int|null   $minutes    it took
     * @param list<Flaw> $flaws      as it came in
     * @param string     $place      key of the place it was put; empty: it went to market
     * @param string     $words      cause of what was lost, or a note
     * @param HarvestUse $use        as what it was taken
     */
    public function __construct(public string $key, public Day $day, public string $item, public string $variety,
        public string $planting, public string $bed, public Grade $grade, public int $hundredths, public ?int $minutes = null,
        public string $who = '', public array $flaws = [], public string $place = '', public string $words = '',
        public HarvestUse $use = HarvestUse::Usual)
    {
    }

    /** "0721-A3-carrot", with a number behind it where there is one already. */
    public static function code(Day $day, string $bed, string $item): string
    {
        $plain = static fn (string $text): string => trim((string) preg_replace('/[^a-z0-9]+/', '-', strtolower($text)), '-');

        return implode('-', array_filter([\sprintf('%02d%02d%02d', $day->year() % 100, $day->month(), $day->dayOfMonth()), $plain($bed),
            $plain($item)], static fn (string $part): bool => '' !== $part));
    }

    /** The same under another code. */
    public function under(string $code): self
    {
        return new self($code, $this->day, $this->item, $this->variety, $this->planting, $this->bed, $this->grade, $this->hundredths,
            $this->minutes, $this->who, $this->flaws, $this->place, $this->words, $this->use);
    }

    /** Units of what its planting was expected to give that are gone with it. */
    public function takes(): float
    {
        return $this->units() * $this->use->takes();
    }

    public function units(): float
    {
        return $this->hundredths / 100;
    }
}
