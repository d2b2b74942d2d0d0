<?php

declare(strict_types=1);

namespace App\Books;

use Doctrine\DBAL\Connection;
use JollyFurrow\Book\BookFault;
use JollyFurrow\Book\BookReader;
use JollyFurrow\Book\OwnValue;
use JollyFurrow\Crop\CropBook;
use Symfony\Component\HttpFoundation\RequestStack;
use Symfony\Contracts\Cache\CacheInterface;
use Symfony\Contracts\Cache\ItemInterface;

/** The crop book as a garden has it: the one that ships, with the garden's own values in their place. */
final readonly class GardenBooks
{
    /** A book nobody asked for in so long is forgotten, seconds. */
    private const KEPT = 86_400 * 7;

    public function __construct(private CropBookFile $file, private CacheInterface $cache, private Connection $connection,
        private RequestStack $requests)
    {
    }

    /** The book of the garden a page is about; elsewhere the one that ships. */
    public function current(): CropBook
    {
        $garden = $this->requests->getMainRequest()?->attributes->get('garden');

        return \is_string($garden) ? $this->usable($this->own($garden)) : $this->shipped();
    }

    /**
     * Own values were whole when they were kept; a newer book may ask more of a crop. Its own values are left out then.
     *
     * @param list<OwnValue> $own
     */
    private function usable(array $own): CropBook
    {
        try {
            return $this->with($own);
        } catch (BookFault $fault) {
            $fewer = array_values(array_filter($own, static fn (OwnValue $v): bool => $v->crop !== $fault->crop));

            return \count($fewer) < \count($own) ? $this->usable($fewer) : $this->shipped();
        }
    }

    public function shipped(): CropBook
    {
        return $this->cache->get('crops-'.$this->file->version(), $this->file->load(...));
    }

    /**
     * @param list<OwnValue> $own
     *
     * @throws BookFault when they make no book
     */
    public function with(array $own): CropBook
    {
        if ([] === $own) {
            return $this->shipped();
        }

        return $this->cache->get('crops-'.$this->file->version().'-'.md5(serialize($own)),
            function (ItemInterface $item) use ($own): CropBook {
                $item->expiresAfter(self::KEPT);

                return $this->built($own);
            });
    }

    /**
     * The same, only to look at: nothing is kept of it.
     *
     * @param list<OwnValue> $own
     */
    public function built(array $own): CropBook
    {
        return (new BookReader())->read($this->rows($own));
    }

    /**
     * @param list<OwnValue> $own
     *
     * @return list<array{crop: string, value: string, is: string, source: string, note: string}> the book that ships, an own value in the place of its own
     */
    public function rows(array $own): array
    {
        $mine = [];
        foreach ($own as $value) {
            $mine[$value->crop][$value->name] = $value->row();
        }
        $rows = [];
        $before = null;
        foreach ($this->file->all() as $row) {
            if (null !== $before && $before !== $row['crop']) {
                array_push($rows, ...array_values($mine[$before] ?? []));
                unset($mine[$before]);
            }
            $rows[] = $mine[$row['crop']][$row['value']] ?? $row;
            unset($mine[$row['crop']][$row['value']]);
            $before = $row['crop'];
        }

        return [...$rows, ...array_merge(...array_map(array_values(...), array_values($mine)))];
    }

    /**
     * The values of one crop as the garden has them, those of the crop it is a further variety of among them.
     *
     * @param list<OwnValue> $own
     *
     * @return array<string, array{crop: string, value: string, is: string, source: string, note: string}> by name
     */
    public function values(array $own, string $crop): array
    {
        $byCrop = [];
        foreach ($this->rows($own) as $row) {
            $byCrop[$row['crop']][$row['value']] = $row;
        }

        return [...$byCrop[$byCrop[$crop]['of']['is'] ?? ''] ?? [], ...$byCrop[$crop] ?? []];
    }

    /** @return list<OwnValue> */
    public function own(string $gardenId): array
    {
        return OwnValues::of($this->connection, $gardenId);
    }
}
