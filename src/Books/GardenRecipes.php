<?php

declare(strict_types=1);

namespace App\Books;

use App\Codec\Node;
use App\Codec\RecipeReader;
use App\Shared\Faults;
use App\Shared\Row;
use Doctrine\DBAL\Connection;
use JollyFurrow\Recipe\Recipe;
use JollyFurrow\Recipe\RecipeBook;
use Symfony\Component\HttpFoundation\RequestStack;
use Symfony\Contracts\Cache\CacheInterface;

/** The recipes as a garden has them: those that ship, and its own. */
final readonly class GardenRecipes
{
    public function __construct(private RecipeFile $file, private CacheInterface $cache, private Connection $connection,
        private RequestStack $requests)
    {
    }

    /** Those of the garden a page is about; elsewhere those that ship. */
    public function current(): RecipeBook
    {
        $garden = $this->requests->getMainRequest()?->attributes->get('garden');

        return \is_string($garden) ? $this->shipped()->with(self::own($this->connection, $garden)) : $this->shipped();
    }

    public function shipped(): RecipeBook
    {
        return $this->cache->get('recipes-'.$this->file->version(), $this->file->load(...));
    }

    /** @return list<Recipe> by key */
    public static function own(Connection $connection, string $gardenId): array
    {
        $recipes = [];
        foreach ($connection->fetchAllAssociative('SELECT key_name, body FROM own_recipe WHERE garden_id = ? ORDER BY key_name',
            [$gardenId]) as $values) {
            $row = new Row($values);
            $recipes[] = RecipeReader::recipe($row->text('key_name'), new Node($row->json('body'), 'recipe', new Faults()));
        }

        return array_values(array_filter($recipes));
    }
}
