<?php

declare(strict_types=1);

namespace App\Lists;

use App\Shared\Entry;
use JollyFurrow\Exception\Limits;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Promise\MarketDays;
use JollyFurrow\Promise\Outlet;
use JollyFurrow\Time\Weekday;

/** @extends GardenList<Outlet> */
final readonly class OutletsList extends GardenList
{
    public function heads(): array
    {
        return ['outlet' => ['Outlet', 'name', 'customer', 'market'], 'days' => ['Market days', 'day', 'days', 'market day'],
            'priority' => ['Priority'], 'ahead' => ['Pick days ahead', 'pick at most so many days ahead'],
            'oldest' => ['Nothing older than, days']];
    }

    protected function needs(): array
    {
        return ['outlet'];
    }

    public function rows(Garden $garden): array
    {
        $rows = [];
        foreach ($garden->outlets as $outlet) {
            $rows[$outlet->key] = ['outlet' => $outlet->name, 'days' => implode(', ',
                array_map(static fn (Weekday $d): string => $d->short(),
                    $outlet->days->weekdays)), 'priority' => (string) $outlet->priority, 'ahead' => (string) $outlet->pickWindowDays,
                'oldest' => (string) $outlet->pickToSaleDays];
        }

        return $rows;
    }

    protected function key(Garden $garden, array $cells): string
    {
        foreach ($garden->outlets as $outlet) {
            if (mb_strtolower($outlet->name) === mb_strtolower($cells['outlet'])) {
                return $outlet->key;
            }
        }

        return ListKey::for($cells['outlet'], array_column($garden->outlets, 'key'));
    }

    protected function item(Garden $garden, Entry $entry, string $key): ?Outlet
    {
        $was = array_column($garden->outlets, null, 'key')[$key] ?? null;
        $name = $entry->text('outlet', Limits::NAME);
        $days = $this->days($entry)->butNot($was->days->closed ?? []);
        $outlet = new Outlet('' === $key ? ListKey::for($name, array_column($garden->outlets, 'key')) : $key, $name, $days,
            '' === $entry->raw('priority') ? 1 : $entry->int('priority', 1, 99),
            '' === $entry->raw('ahead') ? 3 : $entry->int('ahead', 0, 30), $entry->optionalInt('oldest', 0, 30));
        $lost = \count($outlet->cannotKeep($garden->promises, $garden->today));
        if (0 < $lost) {
            $entry->fault('days', \sprintf('%s on a day it would not be there.',
                1 === $lost ? '1 promise is made' : $lost.' promises are made'));
        }

        return $entry->isGood() ? $outlet : null;
    }

    /** "Tue, Sat", "tuesday and saturday" */
    private function days(Entry $entry): MarketDays
    {
        $days = [];
        foreach (preg_split('/[\s,;+&\/]+|\band\b/i', $entry->raw('days'), -1, \PREG_SPLIT_NO_EMPTY) ?: [] as $word) {
            foreach (Weekday::cases() as $day) {
                if (str_starts_with(mb_strtolower($word), mb_strtolower($day->short()))) {
                    $days[] = $day;
                    continue 2;
                }
            }
            $entry->fault('days', 'Write days of the week: Tue, Sat.');
        }
        if ([] === $days) {
            $entry->fault('days', 'Write days of the week: Tue, Sat.');
        }

        return MarketDays::every(...([] === $days ? [Weekday::Saturday] : $days));
    }
}
