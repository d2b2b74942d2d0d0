<?php

declare(strict_types=1);

namespace JollyFurrow\Crop;

/** All crops known, by key. */
final readonly class CropBook
{
    /** @param array<string, Crop> $crops */
    private function __construct(private array $crops)
    {
    }

    /** @param list<Crop> $crops */
    public static function of(array $crops): self
    {
        $byKey = [];
        foreach ($crops as $crop) {
            $byKey[$crop->key] = $crop;
        }

        return new self($byKey);
    }

    public function has(string $key): bool
    {
        return isset($this->crops[$key]);
    }

    public function get(string $key): Crop
    {
        return $this->crops[$key] ?? throw new \OutOfBoundsException(\sprintf('The crop book has no "%s".', $key));
    }

    /** The variety that was planted; its crop's first where the book no longer knows it. */
    public function grown(string $item, string $variety): Crop
    {
        return $this->crops[$variety] ?? $this->get($item);
    }

    public function hasItem(string $key): bool
    {
        return isset($this->crops[$key]) && !$this->crops[$key]->isFurtherVariety();
    }

    /** @return list<Crop> one variety of each item */
    public function all(): array
    {
        return array_values(array_filter($this->crops, static fn (Crop $crop): bool => !$crop->isFurtherVariety()));
    }

    /** @return list<Crop> every crop in every variety */
    public function entries(): array
    {
        return array_values($this->crops);
    }

    /** @return list<Crop> the crop itself first, then its further varieties */
    public function varietiesOf(string $item): array
    {
        return array_values(array_filter($this->crops, static fn (Crop $crop): bool => $crop->item() === $item));
    }

    /** @return list<string> items */
    public function keys(): array
    {
        return array_map(static fn (Crop $crop): string => $crop->key, $this->all());
    }

    /** @return list<Crop> items that can be sold */
    public function sold(): array
    {
        return array_values(array_filter($this->all(), static fn (Crop $crop): bool => Pattern::GreenManure !== $crop->pattern));
    }
}
