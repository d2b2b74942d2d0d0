<?php

declare(strict_types=1);

namespace App\Wall;

use JollyFurrow\Garden\Garden;
use JollyFurrow\Promise\Product;
use JollyFurrow\Shelter\PlaceType;
use Symfony\Component\HttpFoundation\Request;

/** How one looks at the wall: all of it is in the address, so that links and the way back keep it. */
final readonly class WallView
{
    /**
     * @param string       $block  the only one shown; '': all
     * @param list<string> $folded blocks
     * @param list<Lane>   $lanes
     */
    private function __construct(public WallSpan $span, public string $block, public ?Product $product, public PlaceType $place,
        public Colour $colour, public array $folded, public array $lanes, private string $season, private string $from)
    {
    }

    /** @param string|null $worst key of the product that is short most: shown where none is asked for */
    public static function of(Request $request, Garden $garden, ?string $worst): self
    {
        $asked = $request->query;
        $block = \in_array($asked->getString('block'), $garden->blocks, true) ? $asked->getString('block') : '';
        $lanes = array_values(array_filter(array_map(static fn (string $l): ?Lane => Lane::tryFrom($l), self::listed($request, 'lanes'))));

        return new self(WallSpan::asked($asked->getString('zoom'), $asked->getString('from'), $garden, $asked->getInt('season')), $block,
            self::product($garden, $asked->getString('product'), $worst ?? ''), PlaceType::tryFrom($asked->getString('place'))
            ?? PlaceType::Field, Colour::tryFrom($asked->getString('colour')) ?? Colour::Family,
            array_values(array_intersect($garden->blocks, self::listed($request, 'fold'))), [] === $lanes ? Lane::USUAL : $lanes,
            $asked->getString('season'), $asked->getString('from'));
    }

    public function scale(): Scale
    {
        return $this->span->scale();
    }

    public function shows(Lane $lane): bool
    {
        return \in_array($lane, $this->lanes, true);
    }

    /** @return list<Lane> shown, and worked out after the wall is there */
    public function later(): array
    {
        return array_values(array_filter(Lane::LATER, $this->shows(...)));
    }

    /** @return array<string, string|list<string>|null> what the address says of it */
    public function query(): array
    {
        return array_filter(['season' => $this->season, 'zoom' => 'season' === $this->span->zoom ? '' : $this->span->zoom,
            'from' => $this->from, 'block' => $this->block, 'product' => $this->product?->key,
            'place' => PlaceType::Field === $this->place ? '' : $this->place->value,
            'colour' => Colour::Family === $this->colour ? '' : $this->colour->value, 'fold' => $this->folded,
            'lanes' => Lane::USUAL === $this->lanes ? [] : array_column($this->lanes, 'value')],
            static fn (string|array|null $v): bool => !\in_array($v, ['', null, []], true));
    }

    /** @return array<string, string|list<string>|null> the same with a block folded, or opened again */
    public function folding(string $block): array
    {
        return [...$this->query(), 'fold' => \in_array($block, $this->folded, true) ? array_values(array_diff($this->folded, [$block]))
            : [...$this->folded, $block]];
    }

    /** @return list<string> */
    private static function listed(Request $request, string $name): array
    {
        return array_values(array_filter((array) ($request->query->all()[$name] ?? []), \is_string(...)));
    }

    private static function product(Garden $garden, string ...$keys): ?Product
    {
        foreach ($keys as $key) {
            foreach ($garden->products as $product) {
                if ($product->key === $key) {
                    return $product;
                }
            }
        }

        return $garden->products[0] ?? null;
    }
}
