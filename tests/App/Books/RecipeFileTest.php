<?php

declare(strict_types=1);

namespace App\Tests\Books;

use App\Books\RecipeFile;
use App\Codec\UnusableFile;
use JollyFurrow\Recipe\BedSeason;
use JollyFurrow\Recipe\Tools;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class RecipeFileTest extends TestCase
{
    private const SHIPPED = __DIR__.'/../../../data/recipes.yaml';

    public function testThreeOrMoreRecipesShipWithStepsInOrder(): void
    {
        $recipes = (new RecipeFile(self::SHIPPED))->load()->all();

        self::assertSame([], array_diff(['compost-mulch', 'compost-in', 'tarp-shallow-till', 'broadfork-harrow', 'strip-till',
            'plough-harrow', 'fast-turn', 'stale-seedbed', 'stale-flame', 'stale-tarp', 'trench', 'ridge', 'mounds'],
            array_map(static fn ($r): string => $r->key, $recipes)), 'every school of the trade');
        foreach ($recipes as $recipe) {
            $leads = array_map(static fn ($step): int => $step->leadDays, $recipe->steps);
            $sorted = $leads;
            rsort($sorted);
            self::assertSame($sorted, $leads, $recipe->key);
            self::assertSame($leads[0], $recipe->leadDays());
        }
    }

    /** Common practice, no source: weeks under a tarp, three weeks for an ended cover crop, the stale bed's wait, the fast turn. */
    public function testTheLeadsAreThoseOfTheTrade(): void
    {
        $book = (new RecipeFile(self::SHIPPED))->load();
        $days = static fn (string $recipe, string $step, BedSeason $season): int => array_values(array_filter($book->get($recipe)->steps, static fn ($s): bool => str_contains($s->name,
            $step)))[0]->leadIn($season);

        self::assertTrue($days('tarp-shallow-till', 'lay the tarp', BedSeason::Warm) >= 28 && $days('tarp-shallow-till', 'lay the tarp',
            BedSeason::Warm) <= 42);
        self::assertGreaterThanOrEqual(56, $days('tarp-shallow-till', 'lay the tarp', BedSeason::Cold));
        self::assertGreaterThanOrEqual(21, $days('strip-till', 'End the cover crop', BedSeason::Warm));
        self::assertSame(7, $days('stale-seedbed', 'let the weeds come', BedSeason::Warm) - 1);
        self::assertTrue($days('stale-flame', 'let the weeds come', BedSeason::Spring) - 1 >= 14
            && $days('stale-flame', 'let the weeds come', BedSeason::Spring) - 1 <= 28);
        self::assertLessThanOrEqual(2, $days('fast-turn', 'Pull', BedSeason::Warm));
        self::assertGreaterThanOrEqual(14, $days('trench', 'roots of tough weeds', BedSeason::Spring));
    }

    /** Caution stands where the work is: driven tools, dust, heavy lifting. */
    public function testDangerousStepsCarryACaution(): void
    {
        foreach ((new RecipeFile(self::SHIPPED))->load()->all() as $recipe) {
            foreach ($recipe->steps as $step) {
                if (1 === preg_match('/harrow|till|compost|tarp|broadfork|plough|flame|mower|ridger/i', $step->name.' '.$step->tool)) {
                    self::assertNotSame('', $step->caution, $recipe->key.': '.$step->name);
                    self::assertSame([], Tools::unknown($step->tool));
                }
            }
        }
    }

    /** @return iterable<string, array{string, string}> */
    public static function broken(): iterable
    {
        $recipe = "x:\n    name: X\n    hatch: mulch\n    compost: true\n    source: practice\n    steps:\n        - { name: Rake, lead: 3, hours: 1.0, tool: rake, condition: '', caution: '' }\n";
        yield 'negative lead' => [str_replace('lead: 3', 'lead: -3', $recipe),
            'x.steps[0].lead: is -3; it must be a whole number from 0 to 400'];
        yield 'a tool nobody knows' => [str_replace('tool: rake', 'tool: wand', $recipe), 'x.steps[0].tool: "wand" is no tool known here'];
        yield 'quicker when it is cold' => [str_replace('lead: 3', 'lead: 3, lead_cold: 2', $recipe),
            'x.steps[0].lead: 3 days in the warm'];
        yield 'a tarp lifted that was never laid' => [str_replace("caution: ''", "caution: '', lifts: tarp", $recipe),
            'x.steps[0].lifts: It takes up tarps'];
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
