<?php

declare(strict_types=1);

namespace App\Crop;

use Doctrine\DBAL\Connection;
use JollyFurrow\Crop\BookReader;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Crop\OwnValue;
use Symfony\Component\HttpFoundation\RequestStack;
use Symfony\Contracts\Cache\CacheInterface;

/** The crop book as a garden has it: the one that ships, with the garden's own values in their place. */
final readonly class GardenBooks
{
    /** A book nobody asked for in so long is forgotten, seconds. */
    private const KEPT = 86_400 * 7;

    public function __construct(private CropBookFile $file, private CacheInterface $cache, private Connection $connection, private RequestStack $requests)
    {
    }

    /** The book of the garden a page is about; elsewhere the one that ships. */
    public function current(): CropBook
    {
        $garden = $this->requests->getMainRequest()?->attributes->get('garden');

        return \is_string($garden) ? $this->with($this->own($garden)) : $this->shipped();
    }

    public function shipped(): CropBook
    {
        return $this->cache->get('crops-'.$this->file->version(), $this->file->load(...));
    }

    /**
     * @param list<OwnValue> $own
     *
     * @throws \JollyFurrow\Crop\BookFault when they make no book
     */
    public function with(array $own): CropBook
    {
        if ([] === $own) {
            return $this->shipped();
        }

        return $this->cache->get('crops-'.$this->file->version().'-'.md5(serialize($own)), function ($item) use ($own): CropBook {
            if ($item instanceof \Symfony\Component\Cache\CacheItem) {
                $item->expiresAfter(self::KEPT);
            }

            return (new BookReader())->read([...$this->file->all(), ...array_map(static fn (OwnValue $v): array => $v->row(), $own)]);
        });
    }

    /** @return list<OwnValue> */
    public function own(string $gardenId): array
    {
        return OwnValues::of($this->connection, $gardenId);
    }
}
