<?php

declare(strict_types=1);

namespace App\Promise;

use App\Log\Meanwhile;
use App\Rows\OutletRecord;
use App\Rows\ProductRecord;
use App\Rows\PromiseRecord;
use Doctrine\ORM\EntityManagerInterface;
use JollyFurrow\Exception\Quote;
use JollyFurrow\Measure\InvalidMoney;
use JollyFurrow\Measure\Money;
use JollyFurrow\Measure\Units;
use JollyFurrow\Message\Message;
use JollyFurrow\Time\Day;

/**
 * Reads the numbers typed into the grid and stores those the person changed: all of them, or none when one is wrong or
 * was changed by somebody else meanwhile.
 */
final class PromiseEntry
{
    private const MOST = 100_000;

    /** @var array<string, string|Message> "product/day" or "product/price" => message */
    private array $faults = [];
    /** @var array<mixed> */
    private array $was = [];
    /** @var array<mixed> */
    private array $wasPrices = [];

    public function __construct(private readonly EntityManagerInterface $entities)
    {
    }

    /** @return array<string, string|Message> */
    public function faults(): array
    {
        return $this->faults;
    }

    /**
     * @param array<mixed> $typed     product key => day number => text
     * @param array<mixed> $prices    product key => text
     * @param array<mixed> $was       what the cells held when the page was made; what is still so was not touched
     * @param array<mixed> $wasPrices
     *
     * @return array{quantities: array<string, array<int, float>>, prices: array<string, Money>}
     */
    public function read(array $typed, array $prices, array $was = [], array $wasPrices = []): array
    {
        $this->faults = [];
        $this->was = $was;
        $this->wasPrices = $wasPrices;
        $quantities = [];
        foreach ($typed as $product => $days) {
            foreach (\is_array($days) ? $days : [] as $day => $text) {
                $text = \is_scalar($text) ? trim((string) $text) : '';
                if (null === ($before = $this->before((string) $product, (int) $day)) || $before !== $text) {
                    $quantities[(string) $product][(int) $day] = $this->quantity((string) $product, (int) $day, $text);
                }
            }
        }
        $money = [];
        foreach ($prices as $product => $text) {
            if (isset($wasPrices[$product]) && $wasPrices[$product] === $text) {
                continue;
            }
            try {
                $money[(string) $product] = Money::parse(\is_scalar($text) ? (string) $text : '');
            } catch (InvalidMoney $bad) {
                $this->faults[$product.'/price'] = $bad->said();
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
     *
     * @throws Meanwhile when somebody else changed some of them; which, is in the faults
     */
    public function keep(string $gardenId, string $outletKey, array $read): int
    {
        $outlet = $this->entities->getRepository(OutletRecord::class)->findOneBy(['gardenId' => $gardenId, 'key' => $outletKey])
            ?? throw new \OutOfBoundsException('There is no such outlet.');
        $products = [];
        foreach ($this->entities->getRepository(ProductRecord::class)->findBy(['gardenId' => $gardenId]) as $product) {
            $products[$product->key()] = $product;
        }
        $there = [];
        foreach ($this->entities->getRepository(PromiseRecord::class)->findBy(['gardenId' => $gardenId,
            'outletId' => $outlet->id]) as $promise) {
            $there[$promise->productId][$promise->day->number] = $promise;
        }
        $this->mustBeAsSeen($products, $there, $read);
        $changed = 0;
        foreach ($read['prices'] as $key => $price) {
            $changed += isset($products[$key]) && $products[$key]->price($price) ? 1 : 0;
        }
        foreach ($read['quantities'] as $key => $days) {
            foreach (isset($products[$key]) ? $days : [] as $day => $quantity) {
                $changed += $this->keepOne($gardenId, $outlet->id, $products[$key]->id, Day::typed($day), $quantity,
                    $there[$products[$key]->id][$day] ?? null);
            }
        }

        return $changed;
    }

    /**
     * @param array<string, ProductRecord>                                                      $products
     * @param array<string, array<int, PromiseRecord>>                                          $there
     * @param array{quantities: array<string, array<int, float>>, prices: array<string, Money>} $read
     */
    private function mustBeAsSeen(array $products, array $there, array $read): void
    {
        foreach ($read['quantities'] as $key => $days) {
            foreach ($days as $day => $quantity) {
                $before = $this->before($key, $day);
                $now = isset($products[$key], $there[$products[$key]->id][$day]) ? $there[$products[$key]->id][$day]->quantity() : 0.0;
                if (null !== $before && $now !== (float) $before && $now !== $quantity) {
                    $this->faults[$key.'/'.$day] = \sprintf('Somebody else made this %s meanwhile.', Units::number($now, 2));
                }
            }
        }
        foreach ($read['prices'] as $key => $price) {
            $now = isset($products[$key]) ? $products[$key]->priceNow() : $price;
            if (\is_string($this->wasPrices[$key] ?? null) && $now->text() !== $this->wasPrices[$key] && $now->cents !== $price->cents) {
                $this->faults[$key.'/price'] = \sprintf('Somebody else made this %s meanwhile.', $now->text());
            }
        }
        if ([] !== $this->faults) {
            throw Meanwhile::notPossible(\sprintf('%d number%s changed by somebody else while you typed. They are marked; nothing of yours is saved yet. Save again to put yours in their place, or type theirs.', \count($this->faults), 1 === \count($this->faults) ? ' was' : 's were'));
        }
    }

    /** What the cell held when the page was made; null when the page did not say. */
    private function before(string $product, int $day): ?string
    {
        $days = $this->was[$product] ?? null;
        $text = \is_array($days) ? $days[$day] ?? null : null;

        return \is_string($text) ? $text : null;
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
