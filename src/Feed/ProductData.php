<?php

declare(strict_types=1);

namespace App\Feed;

use JollyFurrow\Measure\Mass;
use JollyFurrow\Measure\Money;
use JollyFurrow\Soil\Heat;
use JollyFurrow\Soil\Nutrient;
use JollyFurrow\Soil\Nutrients;
use JollyFurrow\Soil\Release;
use JollyFurrow\Soil\ShedProduct;
use Symfony\Component\Validator\Constraints as Assert;

/** What is typed of a product in the shed. */
final class ProductData
{
    #[Assert\NotBlank(message: 'Please write something here.')]
    #[Assert\Length(max: 80, maxMessage: 'At most {{ limit }} characters fit here.')]
    public string $name = '';
    public float $n = 0.0;
    public float $p = 0.0;
    public float $k = 0.0;
    /** The label's phosphorus and potassium are the elements, not the oxides. */
    public bool $isElement = false;
    #[Assert\NotNull(message: 'Please write a price; 0 where it costs nothing.')]
    public ?Money $price = null;
    #[Assert\NotNull(message: 'Please write what the price is for.')]
    public ?Mass $for = null;
    public Release $release = Release::Soluble;
    public Heat $heat = Heat::NoManure;
    #[Assert\Length(max: 30, maxMessage: 'At most {{ limit }} characters fit here.')]
    public string $measure = '';
    #[Assert\NotNull(message: 'Please write how much that is.')]
    public ?Mass $step = null;
    public ?Mass $stock = null;
    public ?float $litre = null;

    public static function of(ShedProduct $product): self
    {
        $data = new self();
        [$data->n, $data->p, $data->k] = $product->percent->list();
        $data->name = $product->name;
        $data->for = Mass::fromGrams(25_000);
        $data->price = Money::fromCents((int) round($product->cents * 25));
        [$data->release, $data->heat, $data->measure, $data->litre] = [$product->release, $product->heat, $product->measure,
            $product->litre];
        $data->step = Mass::fromGrams($product->step * 1000);
        $data->stock = null === $product->stock ? null : Mass::fromGrams($product->stock * 1000);

        return $data;
    }

    public function product(string $key): ShedProduct
    {
        $for = max(0.001, ($this->for->grams ?? 1000.0) / 1000);
        [$p, $k] = $this->isElement ? [$this->p / Nutrient::P_IN_P2O5, $this->k / Nutrient::K_IN_K2O] : [$this->p, $this->k];

        return new ShedProduct($key, $this->name, Nutrients::of($this->n, round(min(100.0, $p), 3), round(min(100.0, $k), 3)),
            round(($this->price->cents ?? 0) / $for, 4), $this->release, $this->heat, $this->measure, max(0.001, ($this->step->grams
                ?? 50.0)
            / 1000), null === $this->stock ? null : $this->stock->grams / 1000, $this->litre);
    }
}
