<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Hand;

use JollyFurrow\Beds\Conflict;
use JollyFurrow\Beds\Conflicts;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Hand\MakeWay;
use JollyFurrow\Planting\Dates;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Tests\Support\Book;
use JollyFurrow\Tests\Support\LittleGarden;
use JollyFurrow\Time\Day;
use PHPUnit\Framework\TestCase;

/** What stands longer than was planned: the plan after it follows. */
final class MakeWayTest extends TestCase
{
    /** Ready on 13 May, meant to stand until 22 May; the next takes the bed on 17 May: cleared the day before, nothing else moves. */
    public function testReadyInTimeItsLastDaysAreCutOff(): void
    {
        $stands = self::until(LittleGarden::radish('2026-04-10', standing: Standing::Growing), '2026-05-13', '2026-05-22');
        [$now, $later] = $this->way(LittleGarden::on('2026-05-05', [$stands, LittleGarden::radish('2026-05-22', number: 2)]), $stands);

        self::assertSame(['2026-05-16', []], [$now->clear->iso(), $later]);
    }

    /** Not ready before 20 May: the next is sown a week later, and the one after that too. */
    public function testTooLateForTheNextWhatIsPlannedComesLaterDownTheBed(): void
    {
        $stands = self::until(LittleGarden::radish('2026-04-10', standing: Standing::Growing), '2026-05-20', '2026-05-26');
        $next = LittleGarden::radish('2026-05-22', number: 2);
        $third = LittleGarden::lettuce('2026-06-10', 'A1', 0, 5_000_000);
        $garden = LittleGarden::on('2026-05-05', [$stands, $next, $third]);
        [$now, $later] = $this->way($garden, $stands);

        self::assertSame('2026-05-24', $now->clear->iso());
        self::assertSame('2026-05-30', $later[$next->key]->sow->iso());
        $after = $garden->with(array_map(static fn (Planting $p): Planting => $p->key === $now->key ? $now : ($later[$p->key] ?? $p),
            $garden->plantings->all()));
        self::assertSame([], array_filter((new Conflicts(Book::crops()))->of($after,
            array_map(static fn (Planting $p): string => $p->key, $after->plantings->all())), static fn (Conflict $c): bool => $c->isHard()));
    }

    public function testWhatIsOnTheBenchWaitsThereAndKeepsItsSowingDay(): void
    {
        $stands = self::until(LittleGarden::radish('2026-04-10', 'A2', standing: Standing::Growing), '2026-05-20', '2026-05-26');
        $plugs = LittleGarden::lettuce('2026-04-24', 'A2', standing: Standing::InNursery);
        [, $later] = $this->way(LittleGarden::on('2026-05-05', [$stands, $plugs]), $stands);

        self::assertSame(['2026-04-24', '2026-05-30'], [$later[$plugs->key]->sow->iso(), $later[$plugs->key]->ground->iso()]);
    }

    public function testBesideItNothingMoves(): void
    {
        $stands = self::until(LittleGarden::radish('2026-04-10', standing: Standing::Growing), '2026-05-20', '2026-05-26');

        self::assertSame([$stands, []],
            $this->way(LittleGarden::on('2026-05-05', [$stands, LittleGarden::radish('2026-05-22', from: 5_000_000, to: 9_000_000,
                number: 2)]),
                $stands));
    }

    /** @return array{Planting, array<string, Planting>} */
    private function way(Garden $garden, Planting $planting): array
    {
        return (new MakeWay(Book::crops(), Book::recipes()))->for($garden, $planting);
    }

    private static function until(Planting $planting, string $ready, string $clear): Planting
    {
        return $planting->but(dates: new Dates($planting->sow, $planting->ground, $planting->bedStart, Day::parse($ready),
            Day::parse($clear)));
    }
}
