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

    /** @return list<Crop> */
    public function all(): array
    {
        return array_values($this->crops);
    }

    /** @return list<string> */
    public function keys(): array
    {
        return array_keys($this->crops);
    }
}
