<?php

declare(strict_types=1);

namespace App\Plan;

use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Measure\Money;
use JollyFurrow\Measure\Quantity;
use JollyFurrow\Message\Message;
use JollyFurrow\Need\Values;
use JollyFurrow\Plan\Plan;
use JollyFurrow\Plan\Promised;
use JollyFurrow\Plan\Shortage;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Time\Day;
use JollyFurrow\Why\Explained;

/** What will be short, the dearest first, with the reason and the way out. */
final readonly class ShortList
{
    public function __construct(private CropBook $book)
    {
    }

    /**
     * Without looking for reasons.
     *
     * @return list<ShortRow>
     */
    public function of(Garden $garden, Plan $plan): array
    {
        $rows = $this->rows($garden, $plan->shortages);
        usort($rows, ShortRow::order(...));

        return $rows;
    }

    /**
     * One entry for every crop and reason, the dearest first.
     *
     * @param list<Explained> $explained
     *
     * @return list<ShortEntry>
     */
    public function explained(Garden $garden, array $explained): array
    {
        $groups = [];
        foreach ($explained as $one) {
            $groups[$one->shortage->item.'/'.$one->reason->value][] = $one;
        }
        $entries = array_map(fn (array $group): ShortEntry => $this->entry($garden, $group), array_values($groups));
        usort($entries, static fn (ShortEntry $a, ShortEntry $b): int => $b->worth <=> $a->worth);

        return $entries;
    }

    /** @param non-empty-list<Explained> $group */
    private function entry(Garden $garden, array $group): ShortEntry
    {
        $rows = $this->rows($garden, array_map(static fn (Explained $e): Shortage => $e->shortage, $group));
        $worth = array_map(static fn (ShortRow $row): float => $row->worth, $rows);
        $first = $group[(int) array_search(max($worth), $worth, true)];
        $units = array_sum(array_map(static fn (ShortRow $row): float => $row->units, $rows));

        return new ShortEntry($first, $rows, $this->book->get($first->shortage->item)->produce->goods($units), $this->mend($first),
            self::offer($first));
    }

    /**
     * @template T of list<Shortage>
     *
     * @param T $shortages
     *
     * @return (T is non-empty-list<Shortage> ? non-empty-list<ShortRow> : list<ShortRow>)
     */
    private function rows(Garden $garden, array $shortages): array
    {
        $values = Values::of($garden);
        $promised = Promised::in($garden);
        $outlets = [];
        foreach ($garden->outlets as $outlet) {
            $outlets[$outlet->key] = $outlet->name;
        }

        return array_map(function (Shortage $s) use ($garden, $values, $outlets, $promised): ShortRow {
            $crop = $this->book->get($s->item);
            $worth = round($s->units * ($values[$s->item] ?? 0.0));
            $short = $promised->short($s->item, $s->outlet, $s->day, $s->units, $s->wanted);

            return new ShortRow($s->item, $crop->name, $outlets[$s->outlet] ?? $s->outlet, $s->day, $short, $crop->produce->goods($short),
                $crop->produce->goods($promised->of($s)), $worth, self::product($garden, $s->item));
        }, $shortages);
    }

    /** @return array{item: string, sow: string, place: string, method: string}|null */
    private static function offer(Explained $explained): ?array
    {
        $candidate = $explained->mend?->candidate;

        return null === $candidate || null === $explained->mend->stretch ? null : [
            'item' => $candidate->item, 'sow' => Day::of($candidate->sow)->iso(), 'place' => $candidate->place->value,
                'method' => $candidate->method->value,
        ];
    }

    private function mend(Explained $explained): Message
    {
        $mend = $explained->mend;
        if (null === $mend) {
            $code = ShortMend::from($explained->reason->value);

            return ShortMend::NoPlace === $code
                ? Message::of($code, place: $this->book->get($explained->shortage->item)->places()[0] ?? PlaceType::Field)
                : Message::of($code);
        }
        $candidate = $mend->candidate;
        if (null === $mend->stretch) {
            return Message::of(ShortMend::BedTaken, sow: Day::of($candidate->sow), ready: Day::of($candidate->ready),
                place: $candidate->place, from: Day::of($candidate->bedStart));
        }
        $units = floor($candidate->perMetre * $mend->stretch->length()->metres() + 1e-9);

        return Message::of(
            ShortMend::StillPossible,
            length: Quantity::long($mend->stretch->length()),
            bed: $mend->stretch->bed,
            sow: Day::of($candidate->sow),
            ready: Day::of($candidate->ready),
            gives: $this->book->get($explained->shortage->item)->produce->goods($units),
            cost: Money::fromCents((int) round($mend->cost)),
        );
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
