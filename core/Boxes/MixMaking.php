<?php

declare(strict_types=1);

namespace JollyFurrow\Boxes;

use JollyFurrow\Promise\Part;
use JollyFurrow\Promise\Product;
use JollyFurrow\Sale\MixRule;

/**
 * A product of one or several crops out of what there is: by its fixed shares; within the bounds of its rule; or of any one of
 * them.
 */
final readonly class MixMaking
{
    /** A tenth of a unit: 10 g of what is sold by weight. */
    private const STEPS = 10;

    /**
     * @param int                  $made    whole units of the product
     * @param array<string, float> $of      units of each crop that go into all of them, packed
     * @param string|null          $without must be in it and is not there: "without it?"
     */
    private function __construct(public int $made, public array $of, public ?string $without = null)
    {
    }

    /**
     * @param array<string, float> $there  units of each crop, the packing loss taken off
     * @param int                  $wanted units of the product
     */
    public static function of(Product $product, ?MixRule $rule, array $there, int $wanted): self
    {
        return match (true) {
            null === $rule || !$product->isMix() => self::fixed($product, $there, $wanted),
            $rule->isAnyOf => self::anyOf($product, $there, $wanted),
            default => self::within($product, $rule, $there, $wanted),
        };
    }

    /** @param array<string, float> $there */
    private static function fixed(Product $product, array $there, int $wanted): self
    {
        $made = $wanted;
        foreach ($product->parts as $part) {
            $made = min($made, (int) floor(($there[$part->item] ?? 0.0) / $part->units + 1e-9));
        }
        $of = [];
        foreach ($product->parts as $part) {
            $of[$part->item] = $made * $part->units;
        }

        return new self($made, $of);
    }

    /**
     * As usual as far as it goes; the rest of whichever there is most of.
     *
     * @param array<string, float> $there
     */
    private static function anyOf(Product $product, array $there, int $wanted): self
    {
        $usual = self::fixed($product, $there, $wanted);
        [$of, $made, $alone] = [$usual->of, $usual->made, \count($product->parts)];
        $whole = array_map(static fn (Part $p): int => (int) floor((($there[$p->item] ?? 0.0) - $of[$p->item]) / $p->units / $alone + 1e-9),
            $product->parts);
        arsort($whole);
        foreach ($whole as $n => $units) {
            $some = min($units, $wanted - $made);
            $of[$product->parts[$n]->item] += $some * $product->parts[$n]->units * $alone;
            $made += $some;
        }

        return new self($made, $of);
    }

    /** @param array<string, float> $there */
    private static function within(Product $product, MixRule $rule, array $there, int $wanted): self
    {
        $all = array_sum(array_map(static fn (Part $p): float => $p->units, $product->parts));
        $parts = array_map(static fn (Part $p): MixPart => new MixPart($p->item, $rule->low($p->item), $p->units / $all,
            $rule->high($p->item)), $product->parts);
        $steps = array_map(static fn (float $units): int => (int) floor(self::STEPS * $units + 1e-9), $there);
        $mix = Mixing::of($parts, $steps, (int) round(self::STEPS * $wanted * $all));
        $made = (int) floor($mix->all() / self::STEPS / $all + 1e-9);
        if ($made > 0 && $mix->all() > round(self::STEPS * $made * $all)) {
            $mix = Mixing::of($parts, $steps, (int) round(self::STEPS * $made * $all));
        }

        return new self($made, 0 === $made ? [] : array_map(static fn (int $n): float => $n / self::STEPS, $mix->steps), $mix->without);
    }
}
