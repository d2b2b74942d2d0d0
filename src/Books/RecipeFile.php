<?php

declare(strict_types=1);

namespace App\Books;

use App\Codec\Node;
use App\Codec\RecipeReader;
use App\Codec\UnusableFile;
use App\Shared\Faults;
use JollyFurrow\Recipe\RecipeBook;
use Symfony\Component\Yaml\Yaml;

/** The preparation recipes that ship with the application: data/recipes.yaml. */
final readonly class RecipeFile
{
    public function __construct(private string $path)
    {
    }

    /** Another one whenever the file is another. */
    public function version(): string
    {
        return (string) md5_file($this->path);
    }

    public function load(): RecipeBook
    {
        $faults = new Faults();
        $recipes = [];
        $values = Yaml::parseFile($this->path);
        foreach (\is_array($values) ? $values : [] as $key => $value) {
            $recipes[] = RecipeReader::recipe((string) $key, new Node(\is_array($value) ? $value : [], (string) $key, $faults));
        }
        $recipes = array_values(array_filter($recipes));
        if ($faults->areThere() || [] === $recipes) {
            throw UnusableFile::with($faults);
        }

        return RecipeBook::of($recipes);
    }
}
