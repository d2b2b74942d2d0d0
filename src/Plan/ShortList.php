<?php

declare(strict_types=1);

namespace App\Plan;

use App\Shared\Expected;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Need\Values;
use JollyFurrow\Plan\Plan;
use JollyFurrow\Plan\Shortage;
use JollyFurrow\Time\Day;
use JollyFurrow\Why\Explained;

/** What will be short, the dearest first, with the reason and the way out in words. */
final readonly class ShortList
{
    public function __construct(private CropBook $book)
    {
    }

    /**
     * Without looking for reasons.
     *
     * @return list<array{item: string, name: string, outlet: string, day: Day, amount: string, of: string, worth: float, product: string|null}>
     */
    public function of(Garden $garden, Plan $plan): array
    {
        $rows = array_map($this->row($garden), $plan->shortages);
        usort($rows, self::dearestFirst(...));

        return $rows;
    }

    /**
     * One entry for every crop and reason, the dearest first: those that can still be mended, and those it is too late for.
     *
     * @param list<Explained> $explained
     *
     * @return array{open: list<array<string, mixed>>, late: list<array<string, mixed>>}
     */
    public function explained(Garden $garden, array $explained): array
    {
        $row = $this->row($garden);
        $groups = [];
        foreach ($explained as $one) {
            $groups[$one->shortage->item.'/'.$one->reason->value][] = $one;
        }
        $entries = ['open' => [], 'late' => []];
        foreach ($groups as $group) {
            $rows = array_map(static fn (Explained $e): array => $row($e->shortage), $group);
            $dearest = array_search(max(array_column($rows, 'worth')), array_column($rows, 'worth'), true);
            $first = $group[(int) $dearest];
            $entries[$first->reason->isLate() ? 'late' : 'open'][] = [
                'item' => $first->shortage->item,
                'name' => $rows[0]['name'],
                'product' => $rows[0]['product'],
                'amount' => $this->book->get($first->shortage->item)->produce->amount(array_sum(array_map(static fn (Explained $e): int => $e->shortage->units, $group))),
                'worth' => array_sum(array_column($rows, 'worth')),
                'days' => $rows,
                'reason' => $first->reason->words(),
                'mend' => $this->mend($garden, $first),
                'offer' => self::offer($first),
            ];
        }

        usort($entries['open'], static fn (array $a, array $b): int => $b['worth'] <=> $a['worth']);
        usort($entries['late'], static fn (array $a, array $b): int => $b['worth'] <=> $a['worth']);

        return $entries;
    }

    /** @return \Closure(Shortage): array{item: string, name: string, outlet: string, day: Day, amount: string, of: string, worth: float, product: string|null} */
    private function row(Garden $garden): \Closure
    {
        $values = Values::of($garden);
        $outlets = [];
        foreach ($garden->outlets as $outlet) {
            $outlets[$outlet->key] = $outlet->name;
        }

        return fn (Shortage $s): array => [
            'item' => $s->item,
            'name' => $this->book->get($s->item)->name,
            'outlet' => $outlets[$s->outlet] ?? $s->outlet,
            'day' => $s->day,
            'amount' => $this->book->get($s->item)->produce->amount($s->units),
            'of' => $this->book->get($s->item)->produce->amount($s->wanted),
            'worth' => round($s->units * ($values[$s->item] ?? 0.0) / 100, 2),
            'product' => self::product($garden, $s->item),
        ];
    }

    /**
     * @param array{worth: float, day: Day, item: string, ...} $a
     * @param array{worth: float, day: Day, item: string, ...} $b
     */
    private static function dearestFirst(array $a, array $b): int
    {
        return [$b['worth'], $a['day']->number, $a['item']] <=> [$a['worth'], $b['day']->number, $b['item']];
    }

    /** @return array{item: string, sow: string, place: string, method: string}|null what one click can sow */
    private static function offer(Explained $explained): ?array
    {
        $mend = $explained->mend;

        return null === $mend?->stretch ? null : ['item' => $mend->candidate->item, 'sow' => Day::of($mend->candidate->sow)->iso(), 'place' => $mend->candidate->place->value, 'method' => $mend->candidate->method->value];
    }

    private function mend(Garden $garden, Explained $explained): string
    {
        $mend = $explained->mend;
        if (null === $mend) {
            return $explained->reason->mend();
        }
        $candidate = $mend->candidate;
        $sow = Expected::day(Day::of($candidate->sow));
        $crop = $this->book->get($explained->shortage->item);
        if (null !== $mend->stretch) {
            $units = floor($candidate->perMetre * $mend->stretch->length()->metres() + 1e-9);

            return \sprintf('Still possible: sow %s on bed %s by %s, ready %s; gives %s in all and costs %s %s, its bed included.', $garden->settings->units->long($mend->stretch->length()), $mend->stretch->bed, $sow, Expected::day(Day::of($candidate->ready)), $crop->produce->amount($units), $garden->settings->currency, number_format($mend->cost / 100, 2));
        }

        return \sprintf('A sowing on %s would be ready on %s, but every %s bed is taken at some time from %s to %s: free or add one, or promise less of what stands there.', $sow, Expected::day(Day::of($candidate->ready)), $candidate->place->words(), Expected::day(Day::of($candidate->bedStart)), Expected::day(Day::of($candidate->ready)));
    }

    private static function product(Garden $garden, string $item): ?string
    {
        foreach ($garden->products as $product) {
            foreach ($product->parts as $part) {
                if ($part->item === $item) {
                    return $product->key;
                }
            }
        }

        return null;
    }
}
