<?php

declare(strict_types=1);

namespace App\Tests\Preparation;

use App\Codec\UnusableFile;
use App\File\GardenReader;
use App\File\GardenWriter;
use App\Tests\Support\AppCase;
use App\Tests\Support\SmallGarden;
use JollyFurrow\Recipe\BedSeason;

final class RecipePagesTest extends AppCase
{
    public function testARecipeIsCopiedChangedUsedAndThenStays(): void
    {
        $this->copy(['name' => 'Rill mulch', 's0-lead' => '7', 's0-spring' => '9', 's0-cold' => '12']);
        self::assertResponseStatusCodeSame(303);
        $recipe = $this->snapshot()->recipes[0];
        self::assertSame(['own-rill-mulch', 'Rill mulch', [7, 9, 12]], [$recipe->key, $recipe->name,
            array_map(static fn (BedSeason $s): int => $recipe->steps[0]->leadIn($s), BedSeason::cases())]);

        $form = $this->browser->request('GET', $this->path('/settings'))->selectButton('Save')->form();
        $this->browser->submit($form, ['recipe' => 'own-rill-mulch']);
        $this->post($this->path('/forward'), ['crop' => 'radish', 'where' => 'bed:A1', 'method' => '', 'every' => '14',
            'size' => 'quarter', 'length' => '', 'from' => '2026-05-05', 'until' => '2026-05-05']);
        $planted = array_values(array_filter($this->snapshot()->plantings->all(), static fn ($p): bool => 'radish' === $p->item))[0];
        self::assertSame(['own-rill-mulch', 9], [$planted->recipe, $planted->ground->since($planted->bedStart)]);
        $this->browser->request('GET', $this->path('/wall'));
        self::assertResponseIsSuccessful();

        $this->post($this->path('/recipes/own-rill-mulch/away'), []);
        self::assertResponseStatusCodeSame(409);
        self::assertStringContainsString('usual recipe', $this->text());
        $this->post($this->path('/log/2/take-back'), []);
        self::assertCount(1, $this->snapshot()->recipes, 'what a bed is made ready by is not taken back');
        $file = (new GardenWriter())->write($this->snapshot());
        self::assertEquals($this->snapshot()->recipes, $this->service(GardenReader::class)->read($file)->recipes);
    }

    public function testContradictionsAreToldAtTheirStepAndTheTypingIsKept(): void
    {
        $before = $this->everything();
        foreach ([[['s0-lead' => '-2'], 's0-lead', 'from 0 to 400'], [['s1-tool' => 'cannon'], 's1-tool', '"cannon" is no tool'],
            [['s0-cold' => '1'], 's0-lead', 'when it is colder'], [['s1-lifts' => 'tarp'], 's1-lifts', 'that no step lays'],
            [['s1-name' => 'Clear what is left and hoe off weeds'], 's1-name', 'stands twice'], [['name' => ''], 'name',
            'write something'], [['s0-hours' => 'all day'], 's0-hours', 'Write a number']] as [$typed, $at, $message]) {
            $this->copy(['name' => 'Try', ...$typed]);
            self::assertResponseStatusCodeSame(422, $at);
            self::assertStringContainsString($message, $this->text());
            self::assertSelectorExists('[name="'.$at.'"][aria-invalid]');
            foreach ($typed as $field => $value) {
                self::assertSelectorExists(str_ends_with($field, 'lifts') ? '[name="'.$field.'"] option[value="'.$value.'"][selected]'
                    : '[name="'.$field.'"][value="'.$value.'"]');
            }
        }
        self::assertSame(md5($before), md5($this->everything()));
    }

    public function testAnUnusedOneIsTakenAwayAndBroughtBack(): void
    {
        $this->copy(['name' => 'Passing']);
        $this->post($this->path('/recipes/own-passing/away'), []);
        self::assertSame([], $this->snapshot()->recipes);
        $this->browser->followRedirect();
        $this->browser->submitForm('Undo');
        self::assertCount(1, $this->snapshot()->recipes);
        $this->post($this->path('/recipes/compost-mulch/away'), []);
        self::assertStringContainsString('A recipe that ships stays', $this->text());
    }

    public function testABrokenRecipeOfAFileIsToldAtItsStep(): void
    {
        $recipe = ['key' => 'own-x', 'name' => 'X', 'hatch' => 'mulch', 'compost' => true, 'source' => 'garden',
            'steps' => [['name' => 'Lift', 'lead' => 3, 'hours' => 1.0, 'tool' => 'tarp', 'condition' => '', 'caution' => '',
            'lifts' => 'tarp']]];
        try {
            $this->service(GardenReader::class)->read((string) json_encode([...SmallGarden::values(), 'own_recipes' => [$recipe]]));
            self::fail('A recipe that lifts what was never laid was taken.');
        } catch (UnusableFile $bad) {
            self::assertSame('own_recipes[0].steps[0].lifts', $bad->faults[0]['path']);
        }
    }

    /** @param array<string, string> $with */
    private function copy(array $with): void
    {
        $form = $this->browser->request('GET', $this->path('/recipes/compost-mulch'))->selectButton('Save as our own')->form();
        $this->browser->request('POST', $form->getUri(), [...$form->getPhpValues(), ...$with]);
    }
}
