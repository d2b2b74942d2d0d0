<?php

declare(strict_types=1);

namespace App\Lists;

use App\Shared\Entry;
use App\Wording\Sayer;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Exception\Limits;
use JollyFurrow\Exception\Quote;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Measure\InvalidMass;
use JollyFurrow\Measure\Units;
use JollyFurrow\Paste\CropNames;
use JollyFurrow\Promise\Amount;
use JollyFurrow\Promise\Part;
use JollyFurrow\Promise\Product;

/** @extends GardenList<Product> */
final readonly class ProductsList extends GardenList
{
    private CropNames $names;

    public function __construct(Sayer $sayer, private CropBook $book)
    {
        parent::__construct($sayer);
        $this->names = new CropNames($book);
    }

    public function heads(): array
    {
        return ['product' => ['Product', 'name', 'item'], 'unit' => ['Unit', 'sold by'], 'price' => ['Price'],
            'parts' => ['Made of', 'crop', 'crops', 'parts']];
    }

    protected function needs(): array
    {
        return ['product'];
    }

    public function rows(Garden $garden): array
    {
        $rows = [];
        foreach ($garden->products as $product) {
            $rows[$product->key] = ['product' => $product->name, 'unit' => $product->unit, 'price' => $product->price->text(),
                'parts' => implode(' + ', array_map(fn (Part $p): string => Units::number($p->units,
                    3).' '.$this->book->get($p->item)->name,
                    $product->parts))];
        }

        return $rows;
    }

    protected function key(Garden $garden, array $cells): string
    {
        foreach ($garden->products as $product) {
            if (mb_strtolower($product->name) === mb_strtolower($cells['product'])) {
                return $product->key;
            }
        }

        return ListKey::for($cells['product'], array_column($garden->products, 'key'));
    }

    protected function item(Garden $garden, Entry $entry, string $key): ?Product
    {
        $name = $entry->text('product', Limits::NAME);
        $unit = $entry->text('unit', 40);
        $price = $entry->money('price');
        $parts = $this->parts($entry);

        return $entry->isGood() && [] !== $parts ? new Product('' === $key ? ListKey::for($name, array_column($garden->products,
            'key')) : $key,
            $name, $unit, $price, $parts) : null;
    }

    /**
     * "1 Head lettuce + 0.5 Arugula", or just "carrots".
     *
     * @return list<Part>
     */
    private function parts(Entry $entry): array
    {
        $parts = [];
        foreach (preg_split('/\s*[+;]\s*/', $entry->raw('parts')) ?: [] as $text) {
            $part = $this->part($text, $entry);
            if (null === $part) {
                return [];
            }
            $parts[] = $part;
        }

        return $parts;
    }

    private function part(string $text, Entry $entry): ?Part
    {
        preg_match('/^(?:(\d{1,5}(?:[.,]\d{1,3})?)\s*(kg|g|lbs?|oz)?\s*(?:x|×|of\b)?\s+)?(.*)$/iu', $text, $m);
        $meant = $this->names->meant($m[3] ?? '');
        try {
            $crop = 1 === \count($meant) ? $this->book->get($meant[0]) : throw InvalidMass::notOne($text);
            $units = Amount::parse('' === ($m[1] ?? '') ? '1' : $m[1].($m[2] ?? ''))->of($crop->produce);
        } catch (InvalidMass) {
            $entry->fault('parts', \sprintf('%s is not clear. Write how many units of which crop: 1 Head lettuce + 0.5 Arugula.',
                Quote::of($text)));

            return null;
        }
        if (null === $units) {
            $entry->fault('parts', \sprintf('%s is sold by the %s, not by weight.', $crop->name, $crop->produce->unit));

            return null;
        }

        return new Part($crop->item(), $units);
    }
}
