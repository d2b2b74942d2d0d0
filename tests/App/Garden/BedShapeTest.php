<?php

declare(strict_types=1);

namespace App\Tests\Garden;

use App\Tests\Support\AppCase;
use App\Tests\Support\SmallGarden;
use JollyFurrow\Land\Bed;
use JollyFurrow\Plan\Planner;
use JollyFurrow\Planting\Planting;

/** Beds split, retired, walked to in another order; blocks too. Each is one change, and undone whole. */
final class BedShapeTest extends AppCase
{
    private const SAME = ['block' => 'A', 'length' => '25 m', 'width' => '75 cm', 'path' => '45 cm', 'place' => 'field'];

    public function testASplitBedHandsOnWhatLiesBeyondAndItsHistoryToBoth(): void
    {
        $this->post($this->path('/beds/past'), ['bed' => 'A1', 'crop' => 'leek', 'cleared' => '2025-10-01', 'from' => '5 m',
            'to' => '20 m']);
        $this->enter('radish', '10 m');
        $this->enter('spinach', '5 m');
        $this->post($this->path('/bed/A1/cover'), ['cover' => 'low-tunnel', 'purpose' => 'frost', 'from' => '2026-04-01',
            'to' => '2026-05-01']);
        $before = $this->exported();

        $this->split(['at' => '8 m', 'second' => 'A1b']);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString('Radish, sown 1 Mar, lies across that', $this->text());
        $this->split(['at' => '30 m', 'second' => 'A2']);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString('There is a bed A2 already', $this->text());
        self::assertSelectorExists('[name=at][aria-invalid]');
        self::assertSame($before, $this->exported());

        $this->split(['at' => '10 m', 'second' => 'A1b']);
        self::assertResponseRedirects($this->path('/bed/A1'));
        $garden = $this->snapshot();
        self::assertSame(['A1' => 10.0, 'A1b' => 15.0], array_map(static fn (Bed $b): float => $b->length->metres(),
            array_intersect_key($garden->bedsByName(), ['A1' => 1, 'A1b' => 1])));
        self::assertSame(['A1', 'A1b', 'A2'], \array_slice(array_column($garden->beds, 'name'), 0, 3));
        $pieces = [];
        foreach ($garden->plantings as $planting) {
            $pieces[$planting->item] = array_map(static fn ($s): array => [$s->bed, $s->from / 1e6, $s->to / 1e6], $planting->pieces);
        }
        self::assertEquals([['A1', 0.0, 10.0]], $pieces['radish']);
        self::assertEquals([['A1b', 0.0, 5.0]], $pieces['spinach']);
        self::assertEquals([['A1', 5.0, 10.0], ['A1b', 0.0, 10.0]], array_values(array_map(
            static fn ($p): array => [$p->stretch->bed, $p->stretch->from / 1e6, $p->stretch->to / 1e6],
            array_filter($garden->history, static fn ($p): bool => 'leek' === $p->crop))));
        self::assertSame(['A1', 'A1b'], array_column($garden->protections, 'bed'));
        $this->browser->followRedirect();
        $this->browser->submitForm('Undo');
        self::assertSame($before, $this->exported());
    }

    /** Somebody plants in it while the form is open: the typing is kept, and asked again; what happens on another bed is no matter. */
    public function testABedThatChangedMeanwhileIsAskedAgain(): void
    {
        $seen = fn (): string => (string) $this->browser->getCrawler()->filter('[name=seen]')->attr('value');
        $this->browser->request('GET', $this->path('/bed/A2/edit'));
        $other = $seen();
        $this->browser->request('GET', $this->path('/bed/A1/edit'));
        $old = $seen();
        $this->enter('radish', '10 m');
        $before = $this->everything();
        foreach (['edit' => ['name' => 'A1', ...self::SAME, 'width' => '80 cm'], 'split' => ['at' => '12 m', 'second' => 'A1b'],
            'retire' => [], 'delete' => []] as $way => $typed) {
            $this->post($this->path('/bed/A1/'.$way), [...$typed, 'seen' => $old]);
            self::assertResponseStatusCodeSame(422, $way);
            self::assertSame($before, $this->everything(), $way);
        }
        $this->post($this->path('/bed/A1/edit'), ['name' => 'A1', ...self::SAME, 'width' => '80 cm', 'seen' => $old]);
        self::assertStringContainsString('Bed A1 was changed by somebody else', $this->text());
        self::assertInputValueSame('width', '80 cm');
        $this->post($this->path('/bed/A1/edit'), ['name' => 'A1', ...self::SAME, 'width' => '80 cm', 'seen' => $seen()]);
        self::assertResponseStatusCodeSame(303);
        self::assertSame(800_000, $this->snapshot()->bedsByName()['A1']->width->micrometres);
        $this->post($this->path('/bed/A2/delete'), ['seen' => $other]);
        self::assertResponseStatusCodeSame(303);
    }

    public function testARetiredBedKeepsItsHistoryAndTakesNothing(): void
    {
        $this->enter('radish', '10 m');
        $this->post($this->path('/bed/A1/retire'), []);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString('Radish, sown 1 Mar, stands or is planned there', $this->text());
        $before = $this->exported();
        $this->post($this->path('/bed/A2/retire'), []);
        self::assertResponseRedirects($this->path('/bed/A2'));
        $garden = $this->snapshot();
        self::assertSame('2026-03-02', $garden->bedsByName()['A2']->retired?->iso());
        $plan = $this->service(Planner::class)->draw($garden);
        self::assertNotSame([], $plan->new);
        self::assertSame([], array_filter($plan->new, static fn (Planting $p): bool => 'A2' === $p->pieces[0]->bed));
        $this->browser->request('GET', $this->path('/wall'));
        self::assertStringNotContainsString('>A2<', (string) $this->browser->getResponse()->getContent());
        $this->browser->request('GET', $this->path('/beds'));
        self::assertStringContainsString('Retired beds (1)', $this->text());
        $file = $this->exported();
        $again = $this->garden;
        $this->garden = $this->keep($file);
        self::assertSame($file, $this->exported());
        $this->garden = $again;
        $this->post($this->path('/bed/A2/retire'), []);
        self::assertSame($before, $this->exported());
    }

    public function testABedComesAfterAnotherInTheWalk(): void
    {
        $names = fn (): array => array_column($this->snapshot()->beds, 'name');
        $was = $names();
        $this->post($this->path('/bed/A1/edit'), ['name' => 'A1', 'after' => 'A3', ...self::SAME]);
        self::assertSame(['A2', 'A3', 'A1'], \array_slice($names(), 0, 3));
        $this->post($this->path('/bed/A3/edit'), ['name' => 'A3', 'after' => '', ...self::SAME]);
        self::assertSame(['A3', 'A2', 'A1'], \array_slice($names(), 0, 3));
        self::assertSame(\array_slice($was, 3), \array_slice($names(), 3));
        $this->post($this->path('/bed/A3/edit'), ['name' => 'A3', 'after' => 'A3', ...self::SAME]);
        self::assertResponseStatusCodeSame(422);
    }

    /** The garden file is the old one with the block's name replaced, the plan is the same, undo brings the old one back. */
    public function testARenamedBlockIsTheSameGardenUnderAnotherName(): void
    {
        $values = json_decode(SmallGarden::json(['settings' => ['plan_rules' => ['blocks' => [['block' => 'A', 'recipe' => 'compost-in',
            'paths' => 'hoed', 'families' => []]],
            'not_here' => [['what' => 'kale', 'where' => 'A', 'why' => 'club root']]]]]), true);
        $this->garden = $this->keep(json_encode($values, \JSON_THROW_ON_ERROR));
        $before = $this->exported();
        $plan = $this->service(Planner::class)->draw($this->snapshot());
        $this->block('A', 'rename', 'Old orchard');
        self::assertResponseRedirects($this->path('/beds/blocks'));
        self::assertSame(str_replace('"A"', '"Old orchard"', $before), $this->exported());
        self::assertEquals($plan->new, $this->service(Planner::class)->draw($this->snapshot())->new);
        $this->browser->request('GET', $this->path('/beds/blocks'));
        $this->browser->submitForm('Undo');
        self::assertSame($before, $this->exported());
    }

    public function testARenamedGardenIsTheSameGardenUnderAnotherName(): void
    {
        $before = $this->exported();
        $form = $this->browser->request('GET', $this->path('/settings'))->selectButton('Save')->form();
        $this->browser->submit($form, ['name' => 'Nettle Bank']);
        self::assertSame(preg_replace('/"name": "Little Rill"/', '"name": "Nettle Bank"', $before, 1), $this->exported());
        $this->browser->request('GET', $this->path('/log'));
        $this->browser->submitForm('Take back');
        self::assertSame($before, $this->exported());
    }

    public function testBlocksWalkInAnotherOrderAndGoWhenNothingIsInThem(): void
    {
        $blocks = fn (): array => $this->snapshot()->blocks;
        $was = $blocks();
        self::assertGreaterThan(1, \count($was));
        $this->block($was[0], 'down');
        self::assertSame([$was[1], $was[0]], \array_slice($blocks(), 0, 2));
        $this->block($was[0], 'up');
        self::assertSame($was, $blocks());
        $before = $this->everything();
        foreach ([[$was[0], 'delete', $was[0], 'beds are in it'], [$was[0], 'rename', $was[1], 'There is a block'],
            [$was[0], 'rename', '', 'Please write'], ['Nowhere', 'up', 'x', '']] as [$block, $do, $name, $why]) {
            $this->block($block, $do, $name);
            self::assertResponseStatusCodeSame(422);
            self::assertStringContainsString($why, $this->text());
            self::assertSame($before, $this->everything());
        }
        $this->post($this->path('/bed/A1/edit'), ['name' => 'A1', ...self::SAME, 'block' => 'New']);
        $this->post($this->path('/bed/A1/edit'), ['name' => 'A1', ...self::SAME]);
        $this->block('New', 'delete');
        self::assertSame($was, $blocks());
    }

    /** @param array<string, string> $typed */
    private function split(array $typed): void
    {
        $this->post($this->path('/bed/A1/split'), $typed);
    }

    private function block(string $block, string $do, ?string $name = null): void
    {
        $this->post($this->path('/beds/blocks'), ['block' => $block, 'name' => $name ?? $block, 'do' => $do]);
    }

    private function enter(string $crop, string $length): void
    {
        $this->post($this->path('/standing'), ['keep' => '1', 'column' => ['bed', 'crop', 'sown', 'length'],
            'cell' => [['A1', $crop, '1 Mar 2026', $length]]]);
        self::assertResponseRedirects();
    }
}
