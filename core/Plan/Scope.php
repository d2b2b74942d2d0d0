<?php

declare(strict_types=1);

namespace JollyFurrow\Plan;

use JollyFurrow\Garden\Garden;
use JollyFurrow\Land\Bed;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Need\Need;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Promise\Part;
use JollyFurrow\Promise\Product;

/** How much of a garden is drawn up anew: all of it, what one product needs, or the beds of one block. */
final readonly class Scope
{
    /**
     * @param list<string>|null        $items null: all
     * @param array<string, true>|null $beds  names; null: all
     */
    private function __construct(private ?array $items, private ?array $beds, public string $words)
    {
    }

    public static function whole(): self
    {
        return new self(null, null, 'the whole garden');
    }

    /** @param list<string> $items */
    public static function of(array $items): self
    {
        return new self($items, null, implode(', ', $items));
    }

    public static function product(Product $product): self
    {
        return new self(array_map(static fn (Part $part): string => $part->item, $product->parts), null, 'what '.$product->name.' needs');
    }

    public static function block(Garden $garden, string $block): self
    {
        $beds = array_filter($garden->beds, static fn (Bed $bed): bool => $bed->block === $block);

        return new self(null, array_fill_keys(array_map(static fn (Bed $bed): string => $bed->name, $beds), true), 'block '.$block);
    }

    /** A planting that stands partly outside is left alone. */
    public function covers(Planting $planting): bool
    {
        $beds = $this->beds;

        return (null === $this->items || \in_array($planting->item, $this->items, true))
            && (null === $beds || [] === array_filter($planting->pieces, static fn (Stretch $s): bool => !isset($beds[$s->bed])));
    }

    /** @return list<Bed> */
    public function beds(Garden $garden): array
    {
        $beds = $this->beds;

        return null === $beds ? $garden->beds : array_values(array_filter($garden->beds, static fn (Bed $bed): bool => isset($beds[$bed->name])));
    }

    /**
     * @param array<string, list<Need>> $needs by item
     *
     * @return array<string, list<Need>>
     */
    public function needs(array $needs): array
    {
        return null === $this->items ? $needs : array_intersect_key($needs, array_flip($this->items));
    }
}
