<?php

declare(strict_types=1);

namespace App\Tests\Preparation;

use App\Store\Snapshot;
use App\Tests\Support\AppCase;
use App\Tests\Support\SmallGarden;
use JollyFurrow\Check\Sheet;
use JollyFurrow\Planting\Planting;
use Symfony\Bundle\FrameworkBundle\Console\Application;
use Symfony\Component\Console\Tester\CommandTester;

final class BedsPagesTest extends AppCase
{
    public function testALateBedIsNotedAsBegunOrMendedAndTakenBack(): void
    {
        $key = $this->late('2026-03-05', '2026-02-26');
        $before = $this->snapshot();
        $this->browser->request('GET', $this->path('/ahead'));
        self::assertSelectorTextContains('table', 'Radish');
        self::assertSelectorTextContains('table', 'fast turn');
        $id = $this->service(Snapshot::class)->plantingIds($this->garden)[$key];

        $this->post($this->path('/planting/'.$id.'/late'), ['how' => 'quicker']);
        self::assertResponseStatusCodeSame(303);
        self::assertSame(['fast-turn', '2026-03-05'], [$this->planting($key)->recipe, $this->planting($key)->ground->iso()]);
        $this->browser->followRedirect();
        $this->browser->submitForm('Undo');
        self::assertEquals($before->plantings, $this->snapshot()->plantings);

        $this->post($this->path('/planting/'.$id.'/late'), ['how' => 'somehow']);
        $this->browser->followRedirect();
        self::assertStringContainsString('no longer', $this->text());
        $this->post($this->path('/planting/'.$id.'/note'), ['what' => 'begun', 'day' => '2026-03-01',
            'seen' => \App\Change\PlantingMark::of($this->planting($key))]);
        self::assertResponseStatusCodeSame(303);
        $this->browser->request('GET', $this->path('/ahead'));
        self::assertStringContainsString('Nothing is late.', $this->text());
    }

    public function testAFreeBedIsPlantedFromItsAnswer(): void
    {
        $page = $this->browser->request('GET', $this->path('/bed/A2/free'));
        self::assertResponseIsSuccessful();
        $form = $page->selectButton('Plan it')->form();
        $this->browser->submit($form);
        self::assertResponseStatusCodeSame(303);
        $planted = array_values(array_filter($this->snapshot()->plantings->all(),
            static fn (Planting $p): bool => 'A2' === $p->pieces[0]->bed));
        self::assertSame([1, true, 25_000_000], [\count($planted), $planted[0]->locked, $planted[0]->length()->micrometres]);
        $this->browser->submit($form);
        $this->browser->followRedirect();
        self::assertStringContainsString('no longer free', $this->text());
        self::assertCount(2, $this->snapshot()->plantings);
    }

    public function testTheRainQuestionWantsDaysAndADate(): void
    {
        $this->browser->request('GET', $this->path('/ahead?rain=2026-02-31&days=many'));
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString('does not exist in the calendar', $this->text());
        self::assertStringContainsString('Write a whole number from 1 to 60', $this->text());
    }

    /** The outlook asks the question by itself, from the longest run of wet days. */
    public function testTheOutlookAsksTheRainQuestion(): void
    {
        $this->garden = $this->keep((string) file_get_contents(__DIR__.'/../../../demo/garden.json'));
        $this->browser->request('GET', $this->path('/ahead'));

        self::assertResponseIsSuccessful();
        self::assertMatchesRegularExpression('/sees \d wet days from|no two wet days together/', $this->text());
    }

    public function testAGreenManureIsPlannedFromTheAnswerAndReadByEye(): void
    {
        $page = $this->browser->request('GET', $this->path('/bed/A2/free'));
        $form = $page->filterXPath('//h2[contains(., "Green manures")]/following::form[1]')->form();
        $this->browser->submit($form);
        self::assertResponseStatusCodeSame(303);
        [$planted] = array_values(array_filter($this->snapshot()->plantings->all(),
            static fn (Planting $p): bool => 'A2' === $p->pieces[0]->bed));
        self::assertSame([true, 25_000_000, $planted->clear->iso()], [$planted->locked, $planted->length()->micrometres,
            $planted->ready->iso()]);
        $id = $this->service(Snapshot::class)->plantingIds($this->garden)[$planted->key];

        $this->browser->request('GET', $this->path('/planting/'.$id.'?height=80+cm&cover=90'));
        self::assertStringContainsString('it can be planted from', $this->text());
        $this->browser->request('GET', $this->path('/planting/'.$id.'?height=tall&cover=120'));
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString('from 5 to 100', $this->text());
        self::assertInputValueSame('height', 'tall');
    }

    public function testKitIsCountedAgainstWhatThereIs(): void
    {
        $this->post($this->path('/bed/A1/cover'), ['cover' => 'row-cover', 'purpose' => 'frost', 'from' => '2026-03-10',
            'to' => '2026-04-20']);
        $this->browser->request('GET', $this->path('/ahead'));
        self::assertStringContainsString('Say how much there is', $this->text());
        $form = $this->browser->request('GET', $this->path('/settings'))->selectButton('Save')->form();
        $this->browser->submit($form, ['kit_row-cover' => '20 m']);
        self::assertSame(['row-cover' => 20_000_000], $this->snapshot()->settings->kit);
        $this->browser->request('GET', $this->path('/ahead'));
        self::assertStringContainsString('✕', $this->text());
    }

    public function testTheCommandPrintsEveryStepAndSaysWhatIsLate(): void
    {
        $this->late('2026-03-05', '2026-02-26');
        $file = (string) tempnam(sys_get_temp_dir(), 'garden');
        file_put_contents($file, (new \App\File\GardenWriter())->write($this->snapshot()));
        $tester = new CommandTester((new Application(self::$kernel ?? self::bootKernel()))->find('beds'));

        self::assertSame(1, $tester->execute(['file' => $file], ['capture_stderr_separately' => true]));
        $json = json_decode($tester->getDisplay(), true);
        $sheet = new Sheet(\is_array($json) ? $json : []);
        $planting = $sheet->parts('plantings')[0];
        self::assertSame(['compost-mulch', '2026-02-28', 375.0], [$planting->text('recipe'), $planting->parts('steps')[0]->text('day'),
            $planting->number('compost_litres')]);
        self::assertSame([0.5, 1.0], array_map(static fn (Sheet $s): float => $s->number('hours'), $planting->parts('steps')));
        self::assertSame('fast-turn', $sheet->parts('late')[0]->text('quicker'));
        file_put_contents($file, '{"format": "other"}');
        self::assertSame(2, $tester->execute(['file' => $file], ['capture_stderr_separately' => true]));
        file_put_contents($file, SmallGarden::json());
        self::assertSame(0, $tester->execute(['file' => $file], ['capture_stderr_separately' => true]));
    }

    /** A planting whose bed should have been begun. */
    private function late(string $ground, string $bedStart): string
    {
        $values = SmallGarden::values();
        \assert(\is_array($values['plantings']));
        $values['plantings'][] = ['key' => 'radish@'.$ground.'#1', 'item' => 'radish', 'method' => 'sown', 'place' => 'field',
            'recipe' => 'compost-mulch', 'sow' => $ground, 'ground' => $ground, 'bed_start' => $bedStart, 'ready' => '2026-04-20',
            'clear' => '2026-04-26', 'per_metre' => 11.0, 'standing' => 'planned', 'locked' => false, 'remarks' => [],
            'pieces' => [['bed' => 'A1', 'from_mm' => 0, 'to_mm' => 25000, 'width_share' => 1.0]]];
        $this->garden = $this->keep(json_encode($values, \JSON_THROW_ON_ERROR | \JSON_PRESERVE_ZERO_FRACTION));

        return 'radish@'.$ground.'#1';
    }

    private function planting(string $key): Planting
    {
        return array_values(array_filter($this->snapshot()->plantings->all(), static fn (Planting $p): bool => $p->key === $key))[0];
    }
}
