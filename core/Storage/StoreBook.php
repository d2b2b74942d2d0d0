<?php

declare(strict_types=1);

namespace JollyFurrow\Storage;

/** Where produce lies, what was brought in, what became of it, and how warm it was there. */
final readonly class StoreBook
{
    /**
     * @param list<StorePlace> $places
     * @param list<HarvestLot> $harvests  oldest first
     * @param list<Handling>   $handlings oldest first
     * @param list<PlaceDay>   $days      oldest first
     * @param KeepTable        $keeping   what crops have in common, as it ships
     */
    public function __construct(public array $places = [], public array $harvests = [], public array $handlings = [],
        public array $days = [], public KeepTable $keeping = new KeepTable([]))
    {
    }

    public function isEmpty(): bool
    {
        return [] === $this->places && [] === $this->harvests && [] === $this->handlings && [] === $this->days;
    }

    public function place(string $key): ?StorePlace
    {
        return array_values(array_filter($this->places, static fn (StorePlace $p): bool => $p->key === $key))[0] ?? null;
    }

    public function lot(string $key): ?HarvestLot
    {
        return array_values(array_filter($this->harvests, static fn (HarvestLot $h): bool => $h->key === $key))[0] ?? null;
    }

    /** @return list<HarvestLot> of a planting */
    public function of(string $planting): array
    {
        return array_values(array_filter($this->harvests, static fn (HarvestLot $h): bool => $h->planting === $planting));
    }

    public function keptBy(KeepTable $keeping): self
    {
        return new self($this->places, $this->harvests, $this->handlings, $this->days, $keeping);
    }

    /**
     * @param list<HarvestLot> $harvests
     * @param list<Handling>   $handlings
     */
    public function with(array $harvests, array $handlings = []): self
    {
        return new self($this->places, [...$this->harvests, ...$harvests], [...$this->handlings, ...$handlings], $this->days,
            $this->keeping);
    }

    /**
     * The same with codes nothing else has.
     *
     * @param list<HarvestLot> $lots
     *
     * @return list<HarvestLot>
     */
    public function coded(array $lots): array
    {
        $taken = array_flip(array_map(static fn (HarvestLot $h): string => $h->key, $this->harvests));
        $coded = [];
        foreach ($lots as $lot) {
            $code = HarvestLot::code($lot->day, $lot->bed, $lot->item);
            for ($n = 2, $free = $code; isset($taken[$free]); ++$n) {
                $free = $code.'-'.$n;
            }
            $taken[$free] = true;
            $coded[] = $lot->under($free);
        }

        return $coded;
    }
}
