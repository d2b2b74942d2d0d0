<?php

declare(strict_types=1);

namespace App\Tests\Preparation;

use App\Garden\File\UnusableFile;
use App\Preparation\RecipeFile;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class RecipeFileTest extends TestCase
{
    private const SHIPPED = __DIR__.'/../../../data/recipes.yaml';

    public function testThreeOrMoreRecipesShipWithStepsInOrder(): void
    {
        $recipes = (new RecipeFile(self::SHIPPED))->load()->all();

        self::assertGreaterThanOrEqual(3, \count($recipes));
        foreach ($recipes as $recipe) {
            $leads = array_map(static fn ($step): int => $step->leadDays, $recipe->steps);
            $sorted = $leads;
            rsort($sorted);
            self::assertSame($sorted, $leads, $recipe->key);
            self::assertSame($leads[0], $recipe->leadDays());
        }
    }

    /** Caution stands where the work is: driven tools, dust, heavy lifting. */
    public function testDangerousStepsCarryACaution(): void
    {
        foreach ((new RecipeFile(self::SHIPPED))->load()->all() as $recipe) {
            foreach ($recipe->steps as $step) {
                if (1 === preg_match('/harrow|till shallow|compost|tarp|broadfork/i', $step->name.' '.$step->tool)) {
                    self::assertNotSame('', $step->caution, $recipe->key.': '.$step->name);
                }
            }
        }
    }

    /** @return iterable<string, array{string, string}> */
    public static function broken(): iterable
    {
        $recipe = "x:\n    name: X\n    hatch: mulch\n    compost: true\n    source: practice\n    steps:\n        - { name: Rake, lead: 3, hours: 1.0, tool: rake, condition: '', caution: '' }\n";
        yield 'negative lead' => [str_replace('lead: 3', 'lead: -3', $recipe), 'x.steps[0].lead: is -3; it must be a whole number from 0 to 400'];
        yield 'no tool' => [str_replace(', tool: rake', '', $recipe), 'x.steps[0].tool: is missing'];
        yield 'unknown source' => [str_replace('practice', 'hearsay', $recipe), 'x.source: is "hearsay"; it must be one of'];
        yield 'steps of words' => [preg_replace('/steps:.*/s', 'steps: some', $recipe) ?? '', 'x.steps: is "some"; it must be a list'];
    }

    #[DataProvider('broken')]
    public function testABrokenRecipeIsToldAtItsStep(string $yaml, string $message): void
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'recipes');
        file_put_contents($file, $yaml);

        $this->expectException(UnusableFile::class);
        $this->expectExceptionMessage($message);
        (new RecipeFile($file))->load();
    }
}
