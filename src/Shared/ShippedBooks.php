<?php

declare(strict_types=1);

namespace App\Shared;

use App\Preparation\RecipeFile;
use JollyFurrow\Preparation\RecipeBook;
use Symfony\Contracts\Cache\CacheInterface;

/** The recipes that ship, read and checked once for every version of their file. */
final readonly class ShippedBooks
{
    public function __construct(private CacheInterface $cache, private RecipeFile $recipes)
    {
    }

    public function recipes(): RecipeBook
    {
        return $this->cache->get('recipes-'.$this->recipes->version(), $this->recipes->load(...));
    }
}
