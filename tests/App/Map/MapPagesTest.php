<?php

declare(strict_types=1);

namespace App\Tests\Map;

use App\Map\MapDrawing;
use App\Tests\Support\AppCase;
use App\Tests\Support\SmallGarden;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Time\Day;

/** Leeks on A3 from 21 June 2025 to 6 April 2026; today is 2 March. */
final class MapPagesTest extends AppCase
{
    public function testWhatStandsOnADay(): void
    {
        $page = $this->browser->request('GET', $this->path('/map'));
        self::assertSame(['ready'], $page->filter('.ground-piece:not([hidden])')->each(static fn ($g): string => (string) $g
            ->attr('data-at')));
        self::assertSame(4, $page->filter('.ground-bed')->count());
        $page = $this->browser->request('GET', $this->path('/map?day=2026-04-07'));
        self::assertSame(0, $page->filter('.ground-piece:not([hidden])')->count(), 'the day after it is cleared');
        self::assertStringContainsString('0 of 4 beds are taken', strip_tags($this->text()));
    }

    /** From the bed's first day to its last, both counted. */
    public function testDoingByDay(): void
    {
        $leek = $this->snapshot()->plantings->all()[0];
        self::assertSame(['', 'prep', 'prep', 'grow', 'grow', 'ready', 'ready', ''],
            array_map(static fn (string $day): string => MapDrawing::doing(
                $leek, Day::parse($day)), ['2025-06-20', '2025-06-21', '2025-06-25', '2025-06-26', '2025-10-14', '2025-10-15', '2026-04-06',
                    '2026-04-07']));
        self::assertSame(['A3'], array_keys(MapDrawing::standing($this->snapshot(), Day::parse('2026-04-06'))));
    }

    /** Typed, drawn where it was typed, in the garden file, and taken back. */
    public function testABlockIsLaidAndTakenBack(): void
    {
        $before = $this->exported();
        $this->post($this->path('/map/edit'), ['do' => 'block', 'block' => 'A', 'east' => '12 m', 'north' => '-3,5', 'bearing' => '90']);
        self::assertResponseRedirects();
        $lay = $this->snapshot()->settings->map->blocks['A'];
        self::assertSame([12.0, -3.5, 90.0], [$lay->east, $lay->north, $lay->bearing]);
        self::assertStringContainsString('"north_m": -3.5', $this->exported());
        $this->browser->request('GET', $this->path('/wall'));
        $this->browser->submitForm('Undo');
        self::assertSame($before, $this->exported());
    }

    public function testWhatIsWrongIsSaidAtItsFieldAndTheTypingKept(): void
    {
        $this->post($this->path('/map/edit'), ['do' => 'block', 'block' => 'A', 'east' => 'far', 'north' => '4', 'bearing' => '400']);
        self::assertResponseStatusCodeSame(422);
        $page = $this->browser->getCrawler();
        self::assertSame('far', $page->filter('input[name=east][aria-invalid]')->attr('value'));
        self::assertSame(1, $page->filter('input[name=bearing][aria-invalid]')->count());
        $this->post($this->path('/map/edit'), ['do' => 'mark', 'kind' => 'water', 'name' => 'Well', 'points' => '3, 4; five']);
        self::assertResponseStatusCodeSame(422);
        self::assertStringContainsString('is no place', $this->text());
        $this->post($this->path('/map/edit'), ['do' => 'file', 'outlines' => '{}']);
        self::assertStringContainsString('This is no GeoJSON', $this->text());
        self::assertFalse($this->snapshot()->settings->map->isSaid());
    }

    public function testAMarkIsSetAndDeleted(): void
    {
        $this->post($this->path('/map/edit'), ['do' => 'mark', 'kind' => 'path', 'name' => 'Track', 'points' => '0, 0; 40 m, -2']);
        self::assertSame([[[0.0, 0.0], [40.0, -2.0]]], array_map(static fn ($m): array => $m->points,
            $this->snapshot()->settings->map->marks));
        $this->post($this->path('/map/edit'), ['do' => 'unmark', 'mark' => '0']);
        self::assertSame([], $this->snapshot()->settings->map->marks);
    }

    /** A block under another name keeps its place. */
    public function testRenamedItStaysWhereItLies(): void
    {
        $this->post($this->path('/map/edit'), ['do' => 'block', 'block' => 'A', 'east' => '1', 'north' => '2', 'bearing' => '3']);
        $this->post($this->path('/beds/blocks'), ['do' => 'rename', 'block' => 'A', 'name' => 'North field']);

        self::assertSame(['North field'], array_keys($this->snapshot()->settings->map->blocks));
    }

    public function testColouredByStateAndProblem(): void
    {
        $late = ['key' => 'radish@2026-02-10#1', 'item' => 'radish', 'method' => 'sown', 'place' => 'field', 'recipe' => 'compost-mulch',
            'sow' => '2026-02-10', 'ground' => '2026-02-10', 'bed_start' => '2026-02-05', 'ready' => '2026-05-14', 'clear' => '2026-05-20',
            'per_metre' => 11.0, 'standing' => 'planned', 'locked' => false, 'remarks' => [], 'pieces' => [['bed' => 'A1', 'from_mm' => 0,
                'to_mm' => 12500, 'width_share' => 1.0]]];
        $this->garden = $this->keep(SmallGarden::json(['plantings' => [1 => $late]]));
        $css = fn (string $colour): array => $this->browser->request('GET',
            $this->path('/map?colour='.$colour))->filter('.ground-piece')->each(
                static fn ($g): string => explode(' ', (string) $g->attr('class'))[1]);

        self::assertSame(['is-planned', 'is-ready'], $css('state'));
        self::assertSame(['is-late', 'is-fine'], $css('problem'));
        self::assertSame(['is-field', 'is-field'], $css('place'));
        self::assertSame([2, true], [$this->snapshot()->plantings->count(), $this->snapshot()->plantings->where(
            static fn (Planting $p): bool => 'radish' === $p->item)->count() > 0]);
    }
}
