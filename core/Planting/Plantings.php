<?php

declare(strict_types=1);

namespace JollyFurrow\Planting;

use JollyFurrow\Land\Stretch;

/**
 * Plantings of one garden, in order, each key once.
 *
 * @implements \IteratorAggregate<int, Planting>
 */
final readonly class Plantings implements \IteratorAggregate, \Countable
{
    /** @param array<string, Planting> $byKey */
    private function __construct(private array $byKey)
    {
    }

    /** @param iterable<Planting> $plantings of one key the last counts, in the place of the first */
    public static function of(iterable $plantings): self
    {
        $byKey = [];
        foreach ($plantings as $planting) {
            $byKey[$planting->key] = $planting;
        }

        return new self($byKey);
    }

    /** @return list<Planting> */
    public function all(): array
    {
        return array_values($this->byKey);
    }

    public function get(string $key): ?Planting
    {
        return $this->byKey[$key] ?? null;
    }

    /** @return array<string, Planting> by key */
    public function byKey(): array
    {
        return $this->byKey;
    }

    /** Those of the same key take the place of what is there; others come last. */
    public function with(Planting ...$plantings): self
    {
        return self::of([...$this->byKey, ...self::keyed($plantings)]);
    }

    public function without(string ...$keys): self
    {
        return new self(array_diff_key($this->byKey, array_flip($keys)));
    }

    /** @param \Closure(Planting): bool $is */
    public function where(\Closure $is): self
    {
        return new self(array_filter($this->byKey, $is));
    }

    /** Those with a piece on a bed. */
    public function on(string $bed): self
    {
        return $this->where(static fn (Planting $p): bool => [] !== array_filter($p->pieces, static fn (Stretch $piece): bool => $piece->bed === $bed));
    }

    /** @return \ArrayIterator<int, Planting> */
    public function getIterator(): \ArrayIterator
    {
        return new \ArrayIterator($this->all());
    }

    public function count(): int
    {
        return \count($this->byKey);
    }

    /**
     * @param array<Planting> $plantings
     *
     * @return array<string, Planting>
     */
    private static function keyed(array $plantings): array
    {
        return array_combine(array_map(static fn (Planting $p): string => $p->key, $plantings), $plantings);
    }
}
