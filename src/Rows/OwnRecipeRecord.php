<?php

declare(strict_types=1);

namespace App\Rows;

use App\Codec\RecipeReader;
use Doctrine\ORM\Mapping as ORM;
use JollyFurrow\Recipe\Recipe;

/** A preparation recipe of the garden's own. */
#[ORM\Entity]
#[ORM\Table(name: 'own_recipe')]
class OwnRecipeRecord extends GardenRow
{
    #[ORM\Column(name: 'key_name', length: 60)]
    private string $key;
    /** @var array<string, mixed> */
    #[ORM\Column(type: 'json')]
    private array $body;

    public function __construct(string $gardenId, Recipe $recipe)
    {
        parent::__construct($gardenId);
        $this->key = $recipe->key;
        $this->become($recipe);
    }

    public function become(Recipe $recipe): void
    {
        $this->body = RecipeReader::values($recipe);
    }
}
