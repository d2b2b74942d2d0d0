<?php

declare(strict_types=1);

namespace App\Tests\Plan;

use App\Store\Snapshot;
use App\Tests\Support\AppCase;
use App\Tests\Support\SmallGarden;
use JollyFurrow\Planting\Planting;

final class MendPagesTest extends AppCase
{
    public function testAMendIsTakenAndTakenBack(): void
    {
        $before = $this->snapshot();
        $page = $this->browser->request('GET', $this->path('/plan/mend/lettuce-head'));
        self::assertResponseIsSuccessful();
        $form = $page->filterXPath('//form[.//input[@name="way"]][1]')->form();
        $this->browser->submit($form);
        self::assertResponseStatusCodeSame(303);
        $new = array_values(array_filter($this->snapshot()->plantings->all(), static fn (Planting $p): bool => 'lettuce-head' === $p->item));
        self::assertSame([1, true], [\count($new), $new[0]->locked]);

        $this->browser->followRedirect();
        $this->browser->submitForm('Undo');
        self::assertEquals($before->plantings, $this->snapshot()->plantings);

        $this->post($this->path('/plan/mend/lettuce-head'), ['way' => 'by magic']);
        $this->browser->followRedirect();
        self::assertStringContainsString('look again', $this->text());
        $this->browser->request('GET', $this->path('/plan/mend/moonfruit'));
        self::assertResponseStatusCodeSame(404);
    }

    /** Twenty heads promised are twenty heads short, though 22 must be cut for them. */
    public function testWhatIsShortIsToldAsItWasPromised(): void
    {
        foreach (['/plan', '/wall', '/plan/mend/lettuce-head'] as $page) {
            $this->browser->request('GET', $this->path($page));
            self::assertStringContainsString('20 heads', $this->text(), $page);
            self::assertStringNotContainsString('22 heads', $this->text(), $page);
        }
        self::assertStringContainsString('20 heads of 20 heads', $this->fetched('/plan'));
    }

    private function fetched(string $page): string
    {
        $this->browser->request('GET', $this->path($page));

        return $this->text();
    }

    public function testAPlannedPlantingSaysWhy(): void
    {
        $values = SmallGarden::values();
        \assert(\is_array($values['plantings']));
        $values['plantings'][] = ['key' => 'radish@2026-05-05#1', 'item' => 'radish', 'method' => 'sown', 'place' => 'field',
            'recipe' => 'compost-mulch', 'sow' => '2026-05-05', 'ground' => '2026-05-05', 'bed_start' => '2026-04-30',
            'ready' => '2026-06-04', 'clear' => '2026-06-10', 'per_metre' => 11.0, 'standing' => 'planned', 'locked' => false,
            'remarks' => [], 'pieces' => [['bed' => 'A1', 'from_mm' => 0, 'to_mm' => 6250, 'width_share' => 1.0]]];
        $this->garden = $this->keep(json_encode($values, \JSON_THROW_ON_ERROR | \JSON_PRESERVE_ZERO_FRACTION));
        $id = $this->service(Snapshot::class)->plantingIds($this->garden)['radish@2026-05-05#1'];
        $this->browser->request('GET', $this->path('/planting/'.$id));

        foreach (['Why this day', 'Runner-up', 'A2'] as $words) {
            self::assertStringContainsString($words, $this->text());
        }
    }

    public function testWhatWishesCostAndRulesThatContradictAreShown(): void
    {
        $form = $this->browser->request('GET', $this->path('/rules'))->selectButton('Save')->form();
        $this->browser->submit($form, ['off_what_0' => 'lettuce-head', 'off_where_0' => 'A', 'off_what_1' => 'lettuce-head',
            'off_where_1' => 'T1', 'lengths' => 'whole']);
        self::assertResponseStatusCodeSame(303);
        $this->browser->request('GET', $this->path('/plan'));
        self::assertStringContainsString('kept off every bed it could stand on', $this->text());
        $this->browser->request('GET', $this->path('/rules/cost'));
        self::assertStringContainsString('Lengths in whole beds', $this->text());
    }

    /** The proposal is held against the plan as it is, in figures. */
    public function testTheProposalIsComparedWithThePlanAsItIs(): void
    {
        $this->post($this->path('/plan'), ['what' => '']);
        $this->browser->followRedirect();

        foreach (['Bed, metre-days', 'Income less direct cost', 'With all of it'] as $words) {
            self::assertStringContainsString($words, $this->text());
        }
    }
}
