<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Proposal;

use JollyFurrow\Garden\Garden;
use JollyFurrow\Plan\Plan;
use JollyFurrow\Plan\Planner;
use JollyFurrow\Plan\Scope;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Proposal\ChangeKind;
use JollyFurrow\Proposal\Proposal;
use JollyFurrow\Proposal\ProposedChange;
use JollyFurrow\Tests\Support\Book;
use JollyFurrow\Tests\Support\LittleGarden;
use JollyFurrow\Tests\Support\RandomGarden;
use JollyFurrow\Ways\PlantingCost;
use PHPUnit\Framework\TestCase;

final class ProposalTest extends TestCase
{
    public function testKeptNewMovedAndDroppedEachWithItsReason(): void
    {
        $standing = LittleGarden::radish('2026-04-20', standing: Standing::Growing);
        $locked = LittleGarden::radish('2026-08-20', 'A2', number: 2)->lock();
        $moves = LittleGarden::radish('2026-06-10', 'A1', number: 3);
        $goes = LittleGarden::lettuce('2026-06-01', 'A3');
        $garden = LittleGarden::on('2026-05-01', [$standing, $locked, $moves, $goes], ['2026-07-18' => 30]);
        $changes = $this->proposed($garden, [$standing, $locked, LittleGarden::radish('2026-06-16', 'A2', 0, 10_000_000),
            LittleGarden::radish('2026-07-20', 'A1')]);

        self::assertSame(['new', 'moved', 'dropped', 'kept', 'kept'],
            array_map(static fn (ProposedChange $c): string => $c->kind()->value, $changes));
        self::assertSame([null, $moves->key], [$changes[0]->old, $changes[1]->new?->key]);
        self::assertStringContainsString('Sown 6 days later, on A2 instead of A1, 10 m instead of 5 m. It serves 32 bunches on 2026-07-18', $changes[1]->why);
        self::assertStringContainsString('No promise needs it', $changes[2]->why);
        self::assertSame(['It is in the ground.', 'It is locked.'], [$changes[3]->why, $changes[4]->why]);
    }

    public function testASowingFarAwayIsAnotherPlanting(): void
    {
        $garden = LittleGarden::on('2026-05-01', [LittleGarden::radish('2026-06-10')]);

        self::assertSame(['new', 'dropped'], array_map(static fn (ProposedChange $c): string => $c->kind()->value,
            $this->proposed($garden, [LittleGarden::radish('2026-07-14')])));
    }

    public function testWithinFourWeeksItIsTheSamePlantingMoved(): void
    {
        $garden = LittleGarden::on('2026-05-01', [LittleGarden::radish('2026-06-10')]);

        self::assertSame(['moved'], array_map(static fn (ProposedChange $c): string => $c->kind()->value, $this->proposed($garden,
            [LittleGarden::radish('2026-07-08')])));
        self::assertCount(2, $this->proposed($garden, [LittleGarden::radish('2026-07-09')]));
    }

    public function testWhatStandsInTheWayMustGoToo(): void
    {
        $first = LittleGarden::radish('2026-06-10', 'A1', 0, 5_000_000);
        $second = LittleGarden::lettuce('2026-06-01', 'A2', 0, 5_000_000);
        $changes = $this->proposed(LittleGarden::on('2026-05-01', [$first, $second]), [$first->but(pieces: $second->pieces),
            $second->but(pieces: $first->pieces)]);
        $ids = array_map(static fn (ProposedChange $c): string => $c->id, $changes);

        self::assertEqualsCanonicalizing($ids, Proposal::withCompanions($changes, [$ids[0]]));
        self::assertSame([], Proposal::withCompanions($changes, ['unheard of']));
    }

    /** Dropped with its market day given up, dropped because another serves it, kept for the sake of its first work or the scope. */
    public function testTheReasonSaysWhoServesTheMarketDaysNow(): void
    {
        $serves = LittleGarden::radish('2026-06-10', 'A1');
        $soon = LittleGarden::radish('2026-05-12', 'A3', number: 4);
        $garden = LittleGarden::on('2026-05-01', [$serves, $soon], ['2026-07-11' => 30]);

        self::assertStringContainsString('It served 32 bunches on 2026-07-11; 32 bunches of that are given up',
            $this->why($garden, $serves, [$soon]));
        self::assertStringContainsString('other plantings serve that in its place', $this->why($garden, $serves,
            [$soon, LittleGarden::radish('2026-06-10', 'T1', number: 9)->but(place: \JollyFurrow\Shelter\PlaceType::Tunnel)]));
        self::assertSame('Nothing better was found.', $this->why($garden, $serves, [$serves, $soon]));
        self::assertSame('It lies outside what was drawn up.', $this->why($garden, $serves, [$serves, $soon], Scope::block($garden, 'T')));
        $kept = array_values(array_filter($this->proposed($garden, [$serves, $soon]),
            static fn (ProposedChange $c): bool => $c->planting()->key === $soon->key))[0];
        self::assertSame('Its first work, 2026-05-07, lies within the next three weeks.', $kept->why);
    }

    /** All of the proposal together is the drawn-up plan; a scope leaves the rest alone. */
    public function testTakenWholeItIsThePlanAndAScopeLeavesTheRest(): void
    {
        $planner = new Planner(Book::crops(), Book::recipes());
        for ($seed = 40; $seed < 48; ++$seed) {
            $garden = RandomGarden::of($seed);
            $garden = $garden->with($planner->draw($garden)->plantings());
            $fewer = new Garden($garden->name, $garden->today, $garden->place, $garden->settings, $garden->blocks, $garden->beds,
                $garden->history, $garden->outlets, $garden->products, \array_slice($garden->promises, 0,
                    intdiv(\count($garden->promises), 2)), $garden->plantings);
            $whole = $planner->draw($fewer);
            $changes = Proposal::between($fewer, $planner->asItStands($fewer), $whole, Book::crops())->changes;
            $result = array_filter(array_map(static fn (ProposedChange $c): ?Planting => $c->new, $changes));
            self::assertEqualsCanonicalizing(self::ground($whole->plantings()), self::ground($result), 'seed '.$seed);

            $scope = Scope::product($fewer->products[0]);
            foreach (Proposal::between($fewer, $planner->asItStands($fewer), $planner->draw($fewer, scope: $scope), Book::crops(),
                $scope)->changes as $change) {
                self::assertTrue(ChangeKind::Kept === $change->kind() || $change->planting()->item === $fewer->products[0]->parts[0]->item);
            }
            $block = Scope::block($fewer, 'A');
            foreach (Proposal::between($fewer, $planner->asItStands($fewer), $planner->draw($fewer, scope: $block), Book::crops(),
                $block)->changes as $change) {
                self::assertTrue(ChangeKind::Kept === $change->kind() || $block->covers($change->planting()));
            }
        }
    }

    /** Set-up half an hour at 18 an hour; 5 m; recipe 6 h and sowing 1 h per 100 m; 42 bed days at 20 cents a metre and week. */
    public function testThePriceOfAPlanting(): void
    {
        $garden = LittleGarden::on('2026-05-01');
        $price = (new PlantingCost($garden, Book::recipes()))->of(LittleGarden::radish('2026-06-10'), Book::crops());
        $wage = $garden->settings->wage;

        self::assertEqualsWithDelta(0.5 * $wage + 5 * (0.07 * $wage + 42 * $garden->settings->rentAt(LittleGarden::radish('2026-06-10')->place) / 7), $price->value, 1e-9);
    }

    /** @param list<Planting> $drawn */
    private function why(Garden $garden, Planting $planting, array $drawn, ?Scope $scope = null): string
    {
        return array_values(array_filter($this->proposed($garden, $drawn, $scope),
            static fn (ProposedChange $c): bool => $c->planting()->key === $planting->key))[0]->why;
    }

    /**
     * @param list<Planting> $drawn
     *
     * @return list<ProposedChange>
     */
    private function proposed(Garden $garden, array $drawn, ?Scope $scope = null): array
    {
        $planner = new Planner(Book::crops(), Book::recipes());
        $then = $planner->asItStands($garden->with($drawn));

        return Proposal::between($garden, $planner->asItStands($garden), new Plan($then->drawnOn, [], $drawn, $then->shortages, [],
            $then->needs, $then->served, $then->from, [], false, true), Book::crops(), $scope)->changes;
    }

    /**
     * @param array<Planting> $plantings
     *
     * @return list<string> item, sowing day and ground of each
     */
    private static function ground(array $plantings): array
    {
        return array_values(array_map(static fn (Planting $p): string => $p->item.$p->sow->iso().json_encode($p->pieces), $plantings));
    }
}
