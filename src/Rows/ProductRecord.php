<?php

declare(strict_types=1);

namespace App\Rows;

use Doctrine\ORM\Mapping as ORM;
use JollyFurrow\Measure\Money;
use JollyFurrow\Promise\Product;

#[ORM\Entity]
#[ORM\Table(name: 'product')]
class ProductRecord extends GardenRow
{
    #[ORM\Column(name: 'key_name', length: 60)]
    private string $key;
    #[ORM\Column(length: 120)]
    private string $name;
    #[ORM\Column(length: 40)]
    private string $unit;
    #[ORM\Column]
    private int $priceCents;

    public function __construct(
        string $gardenId,
        #[ORM\Column]
        private int $position,
        Product $product,
    ) {
        parent::__construct($gardenId);
        $this->key = $product->key;
        $this->is($product);
    }

    public function standAt(int $position): void
    {
        $this->position = $position;
    }

    /** All but its key, by which promises name it, and what it is made of. */
    public function is(Product $product): void
    {
        $this->name = $product->name;
        $this->unit = $product->unit;
        $this->priceCents = $product->price->cents;
    }

    public function key(): string
    {
        return $this->key;
    }

    public function priceNow(): Money
    {
        return Money::fromCents($this->priceCents);
    }

    /** @return bool whether it is another price than before */
    public function price(Money $price): bool
    {
        $another = $this->priceCents !== $price->cents;
        $this->priceCents = $price->cents;

        return $another;
    }
}
