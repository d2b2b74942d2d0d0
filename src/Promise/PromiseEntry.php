<?php

declare(strict_types=1);

namespace App\Promise;

use App\Promise\Entity\OutletRecord;
use App\Promise\Entity\ProductRecord;
use App\Promise\Entity\PromiseRecord;
use Doctrine\ORM\EntityManagerInterface;
use JollyFurrow\Exception\Quote;
use JollyFurrow\Measure\InvalidMoney;
use JollyFurrow\Measure\Money;
use JollyFurrow\Time\Day;

/** Reads the numbers typed into the grid and stores those that changed: all of them, or none when one is wrong. */
final class PromiseEntry
{
    private const MOST = 100_000;

    /** @var array<string, string> "product/day" or "product/price" => message */
    private array $faults = [];

    public function __construct(private readonly EntityManagerInterface $entities)
    {
    }

    /** @return array<string, string> */
    public function faults(): array
    {
        return $this->faults;
    }

    /**
     * @param array<mixed> $typed  product key => day number => text
     * @param array<mixed> $prices product key => text
     *
     * @return array{quantities: array<string, array<int, float>>, prices: array<string, Money>}
     */
    public function read(array $typed, array $prices): array
    {
        $quantities = [];
        foreach ($typed as $product => $days) {
            foreach (\is_array($days) ? $days : [] as $day => $text) {
                $quantities[(string) $product][(int) $day] = $this->quantity((string) $product, (int) $day, \is_scalar($text) ? trim((string) $text) : '');
            }
        }
        $money = [];
        foreach ($prices as $product => $text) {
            try {
                $money[(string) $product] = Money::parse(\is_scalar($text) ? (string) $text : '');
            } catch (InvalidMoney $bad) {
                $this->faults[$product.'/price'] = $bad->getMessage();
            }
        }

        return ['quantities' => $quantities, 'prices' => $money];
    }

    /**
     * To be called inside a logged change.
     *
     * @param array{quantities: array<string, array<int, float>>, prices: array<string, Money>} $read
     *
     * @return int how many numbers changed
     */
    public function keep(string $gardenId, string $outletKey, array $read): int
    {
        $outlet = $this->entities->getRepository(OutletRecord::class)->findOneBy(['gardenId' => $gardenId, 'key' => $outletKey]) ?? throw new \OutOfBoundsException('There is no such outlet.');
        $products = [];
        foreach ($this->entities->getRepository(ProductRecord::class)->findBy(['gardenId' => $gardenId]) as $product) {
            $products[$product->key()] = $product;
        }
        $there = [];
        foreach ($this->entities->getRepository(PromiseRecord::class)->findBy(['gardenId' => $gardenId, 'outletId' => $outlet->id]) as $promise) {
            $there[$promise->productId][$promise->day->number] = $promise;
        }
        $changed = 0;
        foreach ($read['prices'] as $key => $price) {
            $changed += isset($products[$key]) && $products[$key]->price($price) ? 1 : 0;
        }
        foreach ($read['quantities'] as $key => $days) {
            foreach (isset($products[$key]) ? $days : [] as $day => $quantity) {
                $changed += $this->keepOne($gardenId, $outlet->id, $products[$key]->id, Day::of($day), $quantity, $there[$products[$key]->id][$day] ?? null);
            }
        }

        return $changed;
    }

    private function keepOne(string $gardenId, string $outletId, string $productId, Day $day, float $quantity, ?PromiseRecord $there): int
    {
        if (($there?->quantity() ?? 0.0) === $quantity) {
            return 0;
        }
        if (null === $there) {
            $this->entities->persist(new PromiseRecord($gardenId, $outletId, $productId, $day, $quantity));
        } elseif (0.0 === $quantity) {
            $this->entities->remove($there);
        } else {
            $there->promise($quantity);
        }

        return 1;
    }

    private function quantity(string $product, int $day, string $text): float
    {
        if ('' === $text) {
            return 0.0;
        }
        $plain = str_replace(',', '.', $text);
        if (1 !== preg_match('/^\d{1,7}(\.\d{1,2})?$/', $plain) || (float) $plain > self::MOST) {
            $this->faults[$product.'/'.$day] = \sprintf('%s is not a quantity. Write a number from 0 to %d, two decimals at most; leave it empty for nothing.', Quote::of($text), self::MOST);

            return 0.0;
        }

        return (float) $plain;
    }
}
