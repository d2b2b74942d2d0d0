<?php

declare(strict_types=1);

namespace JollyFurrow\Shelter;

/** What stands over a crop from day to day: what is always there, and what is put on for a time. */
final readonly class CoverCalendar
{
    /** @param list<array{from: int, to: int, cover: Cover}> $spans day numbers, both within */
    private function __construct(public Cover $base, public array $spans)
    {
    }

    public static function always(Cover $cover): self
    {
        return new self($cover, []);
    }

    /** @param list<Protection> $protections */
    public static function with(Cover $base, array $protections): self
    {
        return new self($base, array_map(static fn (Protection $p): array => ['from' => $p->days->start->number,
            'to' => $p->days->last()->number, 'cover' => $base->under($p->cover)], $protections));
    }

    /** Of several on one day the warmest at night counts. */
    public function at(int $day): Cover
    {
        $cover = $this->base;
        foreach ($this->spans as $span) {
            if ($day >= $span['from'] && $day <= $span['to'] && $span['cover']->atNight() > $cover->atNight()) {
                $cover = $span['cover'];
            }
        }

        return $cover;
    }

    /** Day number of the last day in one go on which what is over it that day stays; null: for good. */
    public function stays(int $day): ?int
    {
        $ends = array_map(static fn (array $s): int => $s['to'], array_filter($this->spans, static fn (array $s): bool => $day >= $s['from'] && $day <= $s['to']));

        return [] === $ends ? null : max($ends);
    }

    public function key(): string
    {
        return $this->base->value.implode('', array_map(static fn (array $s): string => \sprintf('|%s:%d-%d', $s['cover']->value,
            $s['from'], $s['to']), $this->spans));
    }
}
