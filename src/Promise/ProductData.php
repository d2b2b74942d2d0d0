<?php

declare(strict_types=1);

namespace App\Promise;

use JollyFurrow\Crop\CropBook;
use JollyFurrow\Measure\Money;
use JollyFurrow\Promise\Amount;
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
    /** @var array<int, Amount|null> how much of them by slot */
    public array $amounts;

    public function __construct(private readonly CropBook $book)
    {
        $this->price = Money::fromCents(250);
        $this->amounts = [Amount::ofUnits(1.0)];
    }

    public static function of(Product $product, CropBook $book): self
    {
        $data = new self($book);
        $data->name = $product->name;
        $data->unit = $product->unit;
        $data->price = $product->price;
        foreach ($product->parts as $slot => $part) {
            $data->item[$slot] = $part->item;
            $data->amounts[$slot] = Amount::in($part, $book->get($part->item)->produce);
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
        foreach (array_keys($this->item + $this->amounts) as $slot) {
            $item = $this->item[$slot] ?? '';
            $amount = $this->amounts[$slot] ?? null;
            if ('' === $item && $slot > 0 && null !== $amount) {
                $context->buildViolation('Of which crop?')->atPath("item[$slot]")->addViolation();
            }
            $fault = '' === $item ? null : $this->fault($item, $amount);
            if (null !== $fault) {
                $context->buildViolation($fault)->atPath("amounts[$slot]")->addViolation();
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

    private function fault(string $item, ?Amount $amount): ?string
    {
        $crop = $this->book->get($item);

        return match (true) {
            null === $amount => 'How much of it? Write a number, or a weight.',
            null === $amount->of($crop->produce) => \sprintf('%s is sold by the %s, not by weight.', $crop->name, $crop->produce->unit),
            default => null,
        };
    }

    /** @return list<Part> */
    private function parts(): array
    {
        $parts = [];
        foreach ($this->item as $slot => $item) {
            if (null !== $item && '' !== $item) {
                $parts[] = new Part($item, ($this->amounts[$slot] ?? null)?->of($this->book->get($item)->produce) ?? 0.0);
            }
        }

        return $parts;
    }
}
