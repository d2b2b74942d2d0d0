<?php

declare(strict_types=1);

namespace App\Promise;

use JollyFurrow\Measure\Money;
use JollyFurrow\Promise\Part;
use JollyFurrow\Promise\Product;
use Symfony\Component\Validator\Constraints as Assert;
use Symfony\Component\Validator\Context\ExecutionContextInterface;

/** What is typed to add a product, or to put one right; it has room for a few parts. */
final class ProductData
{
    public const PARTS = 4;

    #[Assert\NotBlank(message: 'Please write something here.')]
    #[Assert\Length(max: 120, maxMessage: 'At most {{ limit }} characters fit here.')]
    public string $name = '';
    #[Assert\NotBlank(message: 'Please write something here.')]
    #[Assert\Length(max: 40, maxMessage: 'At most {{ limit }} characters fit here.')]
    public string $unit = 'bunch';
    public Money $price;
    /** @var array<int, string|null> crops by slot */
    public array $item = [];
    /** @var array<int, float|null> units of them by slot */
    public array $units = [0 => 1.0];

    public function __construct()
    {
        $this->price = Money::fromCents(250);
    }

    public static function of(Product $product): self
    {
        $data = new self();
        $data->name = $product->name;
        $data->unit = $product->unit;
        $data->price = $product->price;
        foreach ($product->parts as $slot => $part) {
            $data->item[$slot] = $part->item;
            $data->units[$slot] = $part->units;
        }

        return $data;
    }

    /** Room for the parts there are, and at least for a few. */
    public static function slotsFor(Product $product): int
    {
        return max(self::PARTS, \count($product->parts));
    }

    #[Assert\Callback]
    public function hasParts(ExecutionContextInterface $context): void
    {
        foreach (array_keys($this->item + $this->units) as $slot) {
            $isOne = '' !== ($this->item[$slot] ?? '');
            if ($isOne && null === ($this->units[$slot] ?? null)) {
                $context->buildViolation('How many units of it? Write a number.')->atPath("units[$slot]")->addViolation();
            }
            if (!$isOne && $slot > 0 && null !== ($this->units[$slot] ?? null)) {
                $context->buildViolation('Of which crop?')->atPath("item[$slot]")->addViolation();
            }
        }
        if ([] === $this->parts()) {
            $context->buildViolation('Choose at least one crop the product is made of, and how much of it.')->atPath('item[0]')->addViolation();
        }
    }

    /** @throws \LogicException where there is no part */
    public function product(string $key): Product
    {
        $parts = $this->parts();

        return new Product($key, $this->name, $this->unit, $this->price, [] === $parts
            ? throw new \LogicException('A product is made of something.') : $parts);
    }

    /** @return list<Part> */
    private function parts(): array
    {
        $parts = [];
        foreach ($this->item as $slot => $item) {
            if (null !== $item && '' !== $item) {
                $parts[] = new Part($item, $this->units[$slot] ?? 0.0);
            }
        }

        return $parts;
    }
}
