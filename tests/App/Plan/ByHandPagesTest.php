<?php

declare(strict_types=1);

namespace App\Tests\Plan;

use App\Change\PlantingMark;
use App\Shared\Role;
use App\Store\Snapshot;
use App\Tests\Support\AppCase;
use App\Tests\Support\SmallGarden;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;

/** One planting changed by hand or noted from the bed: looked at first, kept, asked about when somebody was faster, taken back. */
final class ByHandPagesTest extends AppCase
{
    public function testALookChangesNothingAndKeepDoes(): void
    {
        $this->sow('radish', '2026-04-07');
        $before = $this->everything();
        $page = $this->browser->request('GET',
            $this->path('/planting/'.$this->id('radish').'/change?do=move&try=1&when=2026-04-14&bed=A2&from=&until=2026-05-13'));
        self::assertResponseIsSuccessful();
        self::assertSelectorTextContains('#effect', '14 Apr');
        self::assertSame($before, $this->everything());

        $this->browser->submit($page->selectButton('Save')->form());
        self::assertResponseStatusCodeSame(303);
        self::assertSame(['A2', '2026-04-14'], [$this->planting('radish')->pieces[0]->bed, $this->planting('radish')->sow->iso()]);
        $this->post($this->path('/log/3/take-back'), []);
        self::assertSame(['A1', '2026-04-07'], [$this->planting('radish')->pieces[0]->bed, $this->planting('radish')->sow->iso()]);
    }

    public function testEachWayToChangeOne(): void
    {
        $this->sow('radish', '2026-04-07');
        foreach ([['length', ['length' => '10 m']], ['split', ['length' => '4 m']], ['lock', []],
            ['again', ['when' => '2026-05-05', 'bed' => 'A2']]] as [$do, $fields]) {
            $this->change($do, $fields);
            self::assertResponseStatusCodeSame(303, $do);
        }
        $radishes = array_values(array_filter($this->snapshot()->plantings->all(), static fn (Planting $p): bool => 'radish' === $p->item));

        self::assertSame([['2026-04-07', 4_000_000, false], ['2026-04-07', 6_000_000, true], ['2026-05-05', 4_000_000, true]],
            array_map(static fn (Planting $p): array => [$p->sow->iso(), $p->length()->micrometres, $p->locked], $radishes));
        $this->change('delete', []);
        self::assertCount(2, array_filter($this->snapshot()->plantings->all(), static fn (Planting $p): bool => 'radish' === $p->item));
    }

    public function testWhatIsNotPossibleIsSaidAtTheFieldAndNothingKept(): void
    {
        $this->sow('radish', '2026-04-07');
        $before = $this->everything();
        foreach ([['move', ['when' => '2026-02-30'], 'does not exist in the calendar'],
            ['move', ['when' => '2026-04-07', 'bed' => 'A9'], 'There is no bed'], ['length', ['length' => 'rather long'],
            'rather long'], ['length', ['length' => '40 m'], 'Bed A1 is 25 m long'], ['split', ['length' => '-1 m'], '-1'], ['again',
            ['when' => '2025-04-07', 'bed' => 'A2'], 'gone by']] as [$do, $fields, $words]) {
            $this->change($do, $fields);
            self::assertContains($this->browser->getResponse()->getStatusCode(), [409, 422], $do);
            self::assertStringContainsString($words, $this->text());
            self::assertSame($before, $this->everything());
        }
    }

    public function testTheSecondOfTwoEditorsIsAskedAndKeepsTheTyping(): void
    {
        $this->sow('radish', '2026-04-07');
        $seen = PlantingMark::of($this->planting('radish'));
        $this->change('length', ['length' => '10 m']);
        $now = $this->everything();
        $this->change('length', ['length' => '12 m'], $seen);

        self::assertResponseStatusCodeSame(409);
        self::assertStringContainsString('Radish on bed A1 was changed by somebody else', $this->text());
        self::assertSelectorExists('input[name=length][value="12 m"]');
        self::assertSame($now, $this->everything());
        $this->change('length', ['length' => '12 m']);
        self::assertSame(12_000_000, $this->planting('radish')->length()->micrometres);
    }

    public function testAHandNotesWorkInPartAndTakesBackItsOwnOnly(): void
    {
        $this->sow('radish', '2026-04-07');
        $hand = $this->account('hand@example.test');
        $this->join($hand, Role::Hand);
        $this->browser->loginUser($hand);
        $leek = $this->planting('leek');
        $this->post($this->path('/planting/'.$this->id('leek').'/note'), ['what' => 'picked', 'day' => '2026-03-01', 'length' => '',
            'share' => '0.5', 'units' => '60', 'words' => 'frozen ground', 'bed' => '', 'rest' => '', 'seen' => PlantingMark::of($leek)]);
        self::assertResponseRedirects($this->path('/bed/A3'));
        $this->browser->followRedirect();
        self::assertStringContainsString('frozen ground', $this->text());
        self::assertSame(0.5, $this->planting('leek')->left?->share);

        $this->post($this->path('/log/2/take-back'), []);
        self::assertResponseStatusCodeSame(403);
        $this->post($this->path('/log/3/take-back'), []);
        self::assertEquals($leek, $this->planting('leek'));
        self::assertSame([], $this->snapshot()->notes);
    }

    public function testANoteOfAPartSplitsThePlanting(): void
    {
        $this->note(['what' => 'finished', 'day' => '2026-03-01', 'length' => '18 m', 'words' => 'sold out early']);
        $leeks = array_values(array_filter($this->snapshot()->plantings->all(), static fn (Planting $p): bool => 'leek' === $p->item));

        self::assertSame([[18_000_000, Standing::Cleared], [7_000_000, Standing::Growing]],
            array_map(static fn (Planting $p): array => [$p->length()->micrometres, $p->standing], $leeks));
    }

    public function testAWrongNoteIsAskedAboutAtItsField(): void
    {
        $before = $this->everything();
        foreach ([['what' => 'sown', 'day' => '2026-03-01'], ['what' => 'picked', 'day' => '2026-04-01'],
            ['what' => 'picked', 'day' => '2026-03-01', 'units' => 'lots'], ['what' => 'lost', 'day' => '2026-03-01',
            'length' => '90 m'], ['what' => 'lost', 'day' => '2026-03-01', 'share' => '3']] as $wrong) {
            $this->note([...$wrong, 'words' => 'as I typed it']);
            self::assertResponseStatusCodeSame(422);
            self::assertStringContainsString('as I typed it', $this->text());
        }
        self::assertSame($before, $this->everything());
    }

    public function testByRhythmIsShownThenKept(): void
    {
        $fields = ['crop' => 'radish', 'where' => 'block:A', 'method' => '', 'every' => '10', 'size' => 'quarter', 'length' => '',
            'from' => '2026-04-07', 'until' => '2026-05-07'];
        $before = $this->everything();
        $this->browser->request('GET', $this->path('/forward?try=1&'.http_build_query($fields)));
        self::assertSelectorTextContains('h2', '4 sowings');
        self::assertSame($before, $this->everything());
        foreach ([['every' => '0'], ['until' => '2026-04-01'], ['from' => 'soon'], ['where' => 'block:Q'],
            ['size' => 'length', 'length' => '-2']] as $wrong) {
            $this->post($this->path('/forward'), [...$fields, ...$wrong]);
            self::assertResponseStatusCodeSame(422);
        }
        self::assertSame($before, $this->everything());
        $this->post($this->path('/forward'), $fields);
        self::assertCount(5, $this->snapshot()->plantings);
    }

    private function sow(string $item, string $day): void
    {
        $this->post($this->path('/plan/one-more'), ['item' => $item, 'sow' => $day, 'place' => 'field', 'method' => 'sown']);
    }

    private function planting(string $item): Planting
    {
        return array_values(array_filter($this->snapshot()->plantings->all(), static fn (Planting $p): bool => $p->item === $item))[0];
    }

    /** Finished on the bed one stands at: the other bed stands on, and it is told at once who goes short. */
    public function testANoteActsOnTheBedOneStandsAtAndTellsWhatFollows(): void
    {
        $piece = static fn (string $bed): array => ['bed' => $bed, 'from_mm' => 0, 'to_mm' => 5_000, 'width_share' => 1.0];
        $this->garden = $this->keep(SmallGarden::json(['plantings' => [['pieces' => [$piece('A3'), $piece('A2')]]],
            'products' => [3 => ['key' => 'leeks', 'name' => 'Leeks', 'unit' => 'leek', 'price_cents' => 90,
                'parts' => [['item' => 'leek', 'units' => 1.0]]]],
            'promises' => [3 => ['outlet' => 'boxes', 'product' => 'leeks', 'day' => '2026-03-11', 'quantity' => 100]]]));
        $before = $this->everything();
        $this->post($this->path('/planting/'.$this->id('leek').'/note'), ['what' => 'finished', 'day' => '2026-03-01', 'at' => 'A1',
            'seen' => PlantingMark::of($this->planting('leek'))]);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString('It does not lie on that bed', $this->text());
        self::assertSame($before, $this->everything(), 'a bed it does not lie on is not all of its beds');
        $page = $this->browser->request('GET', $this->path('/bed/A2'));
        $page = $this->browser->click($page->selectLink('Finished: Leek')->link());
        self::assertStringContainsString('5 m here, 10 m in all (A3, A2)', $this->text());
        $this->browser->submit($page->selectButton('Save: finished, bed cleared')->form());
        self::assertResponseRedirects($this->path('/bed/A2'));
        $this->browser->followRedirect();
        self::assertStringContainsString('on bed A2 finished', $this->text());
        self::assertStringContainsString('5 m of 10 m', $this->text());
        self::assertStringContainsString('Short: Boxes 11 Mar, 49 stalks', $this->text());
        $standing = array_map(static fn (Planting $p): array => [$p->pieces[0]->bed, $p->standing], $this->snapshot()->plantings->all());
        sort($standing);

        self::assertEqualsCanonicalizing([['A2', Standing::Cleared], ['A3', Standing::Growing]], $standing);
    }

    private function id(string $item): string
    {
        return (string) $this->service(Snapshot::class)->plantingIds($this->garden)[$this->planting($item)->key];
    }

    /** @param array<string, string> $fields */
    private function change(string $do, array $fields, ?string $seen = null): void
    {
        $this->post($this->path('/planting/'.$this->id('radish').'/change'), [...$fields, 'do' => $do,
            'seen' => $seen ?? PlantingMark::of($this->planting('radish'))]);
    }

    /** @param array<string, string> $fields */
    private function note(array $fields): void
    {
        $this->post($this->path('/planting/'.$this->id('leek').'/note'), [...$fields, 'seen' => PlantingMark::of($this->planting('leek'))]);
    }
}
