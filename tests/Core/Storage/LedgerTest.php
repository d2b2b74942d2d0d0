<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Storage;

use JollyFurrow\Storage\Grade;
use JollyFurrow\Storage\Handling;
use JollyFurrow\Storage\HandlingKind;
use JollyFurrow\Storage\HarvestLot;
use JollyFurrow\Storage\Ledger;
use JollyFurrow\Storage\StoreBook;
use JollyFurrow\Tests\Support\Stores;
use JollyFurrow\Time\Day;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

final class LedgerTest extends TestCase
{
    /** 40 kg carrots: 15 kg moved, 5 kg of them sold, 2.5 kg culled where the rest lies; the day after tomorrow is not yet. */
    public function testWhereItLies(): void
    {
        $lot = Stores::lot('carrot-storage', '2026-10-02', 40_000);
        $ledger = Ledger::on(new StoreBook([Stores::cold(), Stores::dry()], [$lot], [
            Stores::handling($lot, '2026-10-05', HandlingKind::Moved, 15_000, 'cold', 'dry'),
            Stores::handling($lot, '2026-10-06', HandlingKind::Sold, 5_000, 'dry', 'stall'),
            Stores::handling($lot, '2026-10-07', HandlingKind::Culled, 2_500, 'cold'),
            Stores::handling($lot, '2026-10-07', HandlingKind::Looked, 0, 'cold'),
            Stores::handling($lot, '2026-10-09', HandlingKind::Sold, 9_000, 'cold')]), Day::parse('2026-10-08'));

        self::assertSame([22_500, 10_000, 5_000, 2_500, 32_500], [$ledger->at($lot->key, 'cold'), $ledger->at($lot->key, 'dry'),
            $ledger->gone($lot->key, HandlingKind::Sold), $ledger->gone($lot->key, HandlingKind::Culled), $ledger->left($lot->key)]);
    }

    /** What was lost in the field is no lot; what nobody put anywhere went to market. */
    public function testWhatMakesNoStock(): void
    {
        $lost = Stores::lot('carrot', '2026-07-02', 500, grade: Grade::Lost);
        $fresh = Stores::lot('carrot', '2026-07-02', 900, '', more: '-2');
        $ledger = Ledger::on(new StoreBook([Stores::cold()], [$lost, $fresh]), Day::parse('2026-07-03'));

        self::assertSame([0, 0, 900], [$ledger->left($lost->key), $ledger->left($fresh->key), $ledger->gone($fresh->key,
            HandlingKind::Sold)]);
    }

    /** Over random seasons: lifted is what lies there, was sold, given or culled, to the gram; nothing below nothing. */
    public function testTheBalanceOfRandomSeasons(): void
    {
        $random = new Randomizer(new Mt19937(19));
        for ($season = 0; $season < 60; ++$season) {
            $lots = array_map(static fn (int $n): HarvestLot => Stores::lot('onion', Day::parse('2026-08-01')->plus($n)->iso(),
                $random->getInt(1, 90_000), ['', 'cold', 'dry'][$random->getInt(0, 2)]), range(0, 11));
            $handlings = [];
            for ($n = 0; $n < 80; ++$n) {
                $lot = $lots[$random->getInt(0, 11)];
                $handlings[] = new Handling('h'.$n, $lot->key, Day::parse('2026-08-01')->plus(intdiv($n, 2)),
                    HandlingKind::cases()[$random->getInt(0, 4)], $random->getInt(0, 60_000), ['cold', 'dry'][$random->getInt(0, 1)],
                    ['cold', 'dry'][$random->getInt(0, 1)]);
            }
            $ledger = Ledger::on(new StoreBook([Stores::cold(), Stores::dry()], $lots, $handlings), Day::parse('2026-12-01'));
            foreach ($lots as $lot) {
                $gone = array_sum(array_map(static fn (HandlingKind $k): int => $ledger->gone($lot->key, $k), HandlingKind::cases()));
                self::assertSame($lot->hundredths, $ledger->left($lot->key) + $gone);
                self::assertSame([], array_filter($ledger->there[$lot->key], static fn (int $at): bool => $at < 0));
            }
        }
    }

    public function testCodes(): void
    {
        $book = new StoreBook([], [Stores::lot('carrot', '2026-07-21', 10, bed: 'T2-3')]);

        $lot = static fn (string $day): HarvestLot => Stores::lot('carrot', $day, 10, bed: 'T2-3');

        self::assertSame(['260721-t2-3-carrot-2', '260721-t2-3-carrot-3', '260722-t2-3-carrot'], array_map(
            static fn (HarvestLot $l): string => $l->key, $book->coded([$lot('2026-07-21'), $lot('2026-07-21'), $lot('2026-07-22')])));
    }
}
