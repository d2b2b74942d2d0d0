<?php

declare(strict_types=1);

namespace JollyFurrow\Climate;

/** Measured days: minimum and maximum in degrees C, rain in mm; by day number, in order, gaps allowed. */
final readonly class DailyRecord
{
    /**
     * @param array<int, float> $min
     * @param array<int, float> $max  the same days
     * @param array<int, float> $rain days on which rain was measured
     */
    public function __construct(public array $min, public array $max, public array $rain)
    {
    }

    public function days(): int
    {
        return \count($this->min);
    }

    /** Days missing between the first and the last. */
    public function gaps(): int
    {
        return [] === $this->min ? 0 : (int) array_key_last($this->min) - (int) array_key_first($this->min) + 1 - \count($this->min);
    }

    /**
     * Day number, minimum, maximum, rain: one row a day.
     *
     * @return list<array{int, float, float, float|null}>
     */
    public function rows(): array
    {
        return array_map(fn (int $day): array => [$day, round($this->min[$day], 2), round($this->max[$day], 2), isset($this->rain[$day])
            ? round($this->rain[$day], 2) : null], array_keys($this->min));
    }

    /** @param iterable<array{int, float|int, float|int, float|int|null}> $rows */
    public static function fromRows(iterable $rows): self
    {
        $min = $max = $rain = [];
        foreach ($rows as [$day, $low, $high, $wet]) {
            [$min[$day], $max[$day]] = [(float) $low, (float) $high];
            if (null !== $wet) {
                $rain[$day] = (float) $wet;
            }
        }
        ksort($min);
        ksort($max);
        ksort($rain);

        return new self($min, $max, $rain);
    }

    public function since(int $day): self
    {
        $from = static fn (int $n): bool => $n >= $day;

        return new self(array_filter($this->min, $from, \ARRAY_FILTER_USE_KEY), array_filter($this->max, $from, \ARRAY_FILTER_USE_KEY),
            array_filter($this->rain, $from, \ARRAY_FILTER_USE_KEY));
    }

    /** The other's days take the place of this one's. */
    public function with(self $other): self
    {
        return self::fromRows([...$this->rows(), ...$other->rows()]);
    }

    public function later(int $days): self
    {
        return self::fromRows(array_map(static fn (array $row): array => [$row[0] + $days, $row[1], $row[2], $row[3]], $this->rows()));
    }
}
