<?php

declare(strict_types=1);

namespace App\Shared;

use App\Crop\CropBookFile;
use App\Preparation\RecipeFile;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Preparation\RecipeBook;
use Symfony\Contracts\Cache\CacheInterface;

/** The crop book and the recipes that ship, read and checked once for every version of their files. */
final readonly class ShippedBooks
{
    public function __construct(private CacheInterface $cache, private CropBookFile $crops, private RecipeFile $recipes)
    {
    }

    public function crops(): CropBook
    {
        return $this->cache->get('crops-'.$this->crops->version(), $this->crops->load(...));
    }

    public function recipes(): RecipeBook
    {
        return $this->cache->get('recipes-'.$this->recipes->version(), $this->recipes->load(...));
    }
}
