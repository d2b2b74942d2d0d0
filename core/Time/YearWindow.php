<?php

declare(strict_types=1);

namespace JollyFurrow\Time;

/** A window that returns every year, both days included; it may run over the turn of the year. */
final readonly class YearWindow
{
    private function __construct(public MonthDay $from, public MonthDay $to)
    {
    }

    public static function between(MonthDay $from, MonthDay $to): self
    {
        return new self($from, $to);
    }

    /**
     * Reads "03-15..07-20", "15 Mar to 20 Jul", "Mar 15 – Jul 20".
     *
     * @throws InvalidMonthDay
     */
    public static function parse(string $text): self
    {
        [$from, $to] = (preg_split('/\.\.|[–—]|\s+(?:to|-)\s+/iu', $text, 2) ?: []) + ['', ''];

        return new self(MonthDay::parse($from), MonthDay::parse($to));
    }

    /** "03-15..07-20", as files have it. */
    public function iso(): string
    {
        return $this->from->iso().'..'.$this->to->iso();
    }

    public function contains(Day $day): bool
    {
        $at = $day->month() * 100 + $day->dayOfMonth();
        $from = $this->from->order();
        $to = $this->to->order();

        return $from <= $to ? $at >= $from && $at <= $to : $at >= $from || $at <= $to;
    }

    /** The same season in the other half of the world: half a year later. */
    public function mirrored(): self
    {
        return new self($this->from->halfAYearLater(), $this->to->halfAYearLater());
    }
}
