<?php

declare(strict_types=1);

namespace JollyFurrow\Pick;

use JollyFurrow\Promise\Product;
use JollyFurrow\Time\Day;

/** How a mix is made for an outlet where one of its parts is short. */
final readonly class MixLine
{
    /**
     * @param array<string, float> $of      units of each crop that go into it, packed
     * @param string|null          $without a part it cannot do without is not there: "without it?"
     */
    public function __construct(public Day $market, public string $outlet, public Product $product, public int $wanted, public int $made,
        public array $of, public ?string $without)
    {
    }

    /** Share of the mix. */
    public function share(string $item): float
    {
        $all = array_sum($this->of);

        return $all > 0.0 ? ($this->of[$item] ?? 0.0) / $all : 0.0;
    }
}
