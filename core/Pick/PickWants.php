<?php

declare(strict_types=1);

namespace JollyFurrow\Pick;

use JollyFurrow\Boxes\MixMaking;
use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Keep\Holding;
use JollyFurrow\Keep\Holdings;
use JollyFurrow\Market\Claims;
use JollyFurrow\Market\Sharing;
use JollyFurrow\Message\Message;
use JollyFurrow\Need\Need;
use JollyFurrow\Need\Needs;
use JollyFurrow\Need\Values;
use JollyFurrow\Need\Wanted;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Promise\Outlet;
use JollyFurrow\Promise\Product;
use JollyFurrow\Sale\MixRule;
use JollyFurrow\Stock\StoreForecast;
use JollyFurrow\Storage\StoreKind;
use JollyFurrow\Supply\Allocation;
use JollyFurrow\Supply\TrueSupply;
use JollyFurrow\Time\Day;
use JollyFurrow\Treatment\PickRule;

/** Who wants what of which bed or store for the market days ahead: by what is lost soonest, the outlet served first first. */
final class PickWants
{
    /** A cut or a picking can be so many days late. */
    private const LATE = 1;
    /** Share of its worth that goes while it keeps (own model). */
    private const LOST = 0.3;
    /** An outlet served one place earlier is worth so much more (own model). */
    private const RANK = 0.1;

    /** @var list<PickWant> */
    public array $field = [];
    /** @var list<StoreLine> */
    public array $stored = [];
    /** @var array<string, Spare> what nobody took, by item */
    private array $spares = [];
    /** @var array<int, array<string, list<array{string, Need, int, int}>>> outlet, need, units wanted and given, by day and item */
    private array $given = [];
    /** @var list<PickShort> */
    public array $short = [];
    /** @var list<MixLine> */
    public array $mixes = [];
    /** @var array<string, list<Holding>> by item */
    private readonly array $holdings;
    /** @var array<string, int> hundredths left, by lot and place */
    private array $left = [];
    /** @var array<string, array<string, float>> units each outlet was given too few of so far, by item */
    private array $carry = [];
    /** @var array<string, float> cents a unit, by item */
    private readonly array $values;
    /** @var array<string, int> by outlet, the one served last 0 */
    private readonly array $ranks;
    private readonly Claims $claims;
    private readonly PickRule $rule;

    public function __construct(private readonly Garden $garden, private readonly CropBook $crops, private readonly PickTable $table)
    {
        $this->holdings = Holdings::of($garden, $crops)->byItem();
        $this->values = Values::of($garden);
        $this->claims = new Claims($garden);
        $this->rule = new PickRule($garden->sprays, $garden->soil);
        $last = max([0, ...array_map(static fn (Outlet $o): int => $o->priority, $garden->outlets)]);
        $this->ranks = array_combine(array_map(static fn (Outlet $o): string => $o->key, $garden->outlets),
            array_map(static fn (Outlet $o): int => $last - $o->priority, $garden->outlets));
    }

    /** All that is wanted from today to a day. */
    public static function until(Day $end, Garden $garden, CropBook $crops, PickTable $table): self
    {
        $wants = new self($garden, $crops, $table);
        $lots = (new TrueSupply($garden, $crops))->byItem();
        $needs = Needs::of($garden, $crops);
        foreach ($needs->items() as $item) {
            $until = array_values(array_filter($needs->for($item), static fn (Need $n): bool => $n->day <= $end->number));
            $allocation = Allocation::of($until, $lots[$item] ?? []);
            $wants->spares[$item] = new Spare($allocation);
            foreach ($until as $n => $need) {
                $given = $wants->share($item, $need, $allocation->served[$n]);
                $need->day < $garden->today->number ?: $wants->add($item, $need, $allocation, $n, $given);
                $wants->given[$need->day][$item] = [...$wants->given[$need->day][$item] ?? [], ...array_map(
                    static fn (int $wanted, string|int $outlet): array => [(string) $outlet, $need, $wanted, $given[$outlet] ?? 0],
                    $need->byOutlet, array_keys($need->byOutlet))];
            }
        }
        $wants->mix($end);

        return $wants;
    }

    /**
     * A mix one of whose parts is short is made of what nobody else takes of the others, within its bounds: the outlet served first
     * first.
     */
    private function mix(Day $end): void
    {
        $rules = $this->garden->market->mixes;
        $wanted = [] === $rules ? [] : array_values(array_filter(Wanted::all($this->garden),
            fn (Wanted $w): bool => isset($rules[$w->product])
            && !$w->day->isBefore($this->garden->today) && !$end->isBefore($w->day)));
        usort($wanted, fn (Wanted $a, Wanted $b): int => [$a->day->number, -($this->ranks[$a->outlet] ?? 0), $a->product]
            <=> [$b->day->number, -($this->ranks[$b->outlet] ?? 0), $b->product]);
        foreach ($wanted as $one) {
            foreach ($this->garden->products as $product) {
                $product->key !== $one->product || !$product->isMix() ?: $this->made($one, $product, $rules[$product->key]);
            }
        }
    }

    private function made(Wanted $one, Product $product, MixRule $rule): void
    {
        $there = $own = $needs = $due = [];
        $units = (int) ceil($one->quantity - 1e-9);
        foreach ($product->parts as $part) {
            $loss = $this->crops->get($part->item)->produce->packingLoss;
            $due[$part->item] = (int) ceil($one->quantity * $part->units / (1 - $loss) - 1e-9);
            $own[$part->item] = 0;
            foreach ($this->given[$one->day->number][$part->item] ?? [] as [$outlet, $need, $wanted, $given]) {
                if ($outlet === $one->outlet && $wanted > 0) {
                    $needs[$part->item] = $need;
                    $own[$part->item] = min($due[$part->item], (int) floor($given * $due[$part->item] / $wanted + 1e-9));
                }
            }
            $free = isset($needs[$part->item]) ? $this->spares[$part->item]->units($needs[$part->item]) : 0;
            $there[$part->item] = ($own[$part->item] + $free) * (1 - $loss);
        }
        if ($own === $due) {
            return;
        }
        $mix = MixMaking::of($product, $rule, $there, $units);
        $this->mixes[] = new MixLine($one->day, $one->outlet, $product, $units, $mix->made, $mix->of, $mix->without);
        foreach ($product->parts as $part) {
            $more = (int) ceil(($mix->of[$part->item] ?? 0.0) / (1 - $this->crops->get($part->item)->produce->packingLoss) - 1e-9)
                - $own[$part->item];
            foreach ($more > 0 && isset($needs[$part->item]) ? $this->spares[$part->item]->take($needs[$part->item], $more)
                : [] as $l => $some) {
                $this->from($this->spares[$part->item]->allocation, $l, $part->item, $needs[$part->item], $one->outlet, $some);
            }
            $this->enough($one, $part->item, $due[$part->item] - $own[$part->item]);
        }
    }

    /** What a mix is short of is told with the mix. */
    private function enough(Wanted $one, string $item, int $units): void
    {
        $short = [];
        foreach ($this->short as $line) {
            $isIt = $units > 0 && $line->market->equals($one->day) && $line->outlet === $one->outlet && $line->crop->item() === $item;
            $less = $isIt ? min($units, $line->units) : 0;
            $units -= $less;
            $line->units === $less ?: $short[] = 0 === $less ? $line : new PickShort($line->market, $line->crop, $line->outlet,
                $line->units - $less, $line->why);
        }
        $this->short = $short;
    }

    /** @param array<string, int> $given units by outlet */
    private function add(string $item, Need $need, Allocation $allocation, int $n, array $given): void
    {
        $parts = $allocation->taken[$n];
        foreach ($need->byOutlet as $outlet => $wanted) {
            $units = $given[$outlet] ?? 0;
            $wanted -= $units;
            foreach ($parts as $l => $there) {
                $some = min($units, $there);
                if ($some > 0) {
                    $this->from($allocation, $l, $item, $need, (string) $outlet, $some);
                    $parts[$l] -= $some;
                    $units -= $some;
                }
            }
            $wanted <= 0 ?: $this->short[] = new PickShort(Day::of($need->day), $this->crops->get($item), (string) $outlet, $wanted,
                Message::of(PickReason::NothingThere));
        }
    }

    /**
     * Market days gone by count, too: who was cut short then has a little more now.
     *
     * @return array<string, int> units by outlet
     */
    private function share(string $item, Need $need, int $units): array
    {
        $shared = Sharing::of($units, $this->claims->of($item, $need), $this->carry[$item] ?? []);
        $this->carry[$item] = $shared->carry;

        return $shared->given;
    }

    private function from(Allocation $allocation, int $l, string $item, Need $need, string $outlet, int $units): void
    {
        $lot = $allocation->lots[$l];
        if ($lot->isGone) {
            return;
        }
        if (null !== $lot->goodUntil) {
            $this->fromStore($item, $need, $outlet, $units);

            return;
        }
        $planting = $this->garden->plantings->get($lot->planting);
        if (null === $planting) {
            return;
        }
        $crop = $this->crops->grown($planting->item, $planting->variety);
        $today = $this->garden->today->number;
        $first = max($today, $lot->from, $need->day - $need->reach);
        $last = min($need->day, max($first, $lot->to + ($crop->pattern->isStock() ? 0 : self::LATE)));
        $open = $this->firstOpen($planting, $crop, $first, $last);
        if ($open instanceof Message) {
            $this->short[] = new PickShort(Day::of($need->day), $crop, $outlet, $units, $open);

            return;
        }
        $this->field[] = $this->want($planting, $crop, $need, $outlet, $units, $open, $last, $this->spare($allocation, $l, $need));
    }

    /** @param list<array{Planting, float}> $spare */
    private function want(Planting $planting, Crop $crop, Need $need, string $outlet, int $units, int $first, int $last,
        array $spare): PickWant
    {
        $today = $this->garden->today->number;
        $traits = $this->table->of($crop);
        $needs = $this->garden->store->keeping->of($crop);
        $value = max(1.0, $this->values[$planting->item] ?? 0.0);
        $place = $crop->habits->coolHours > 0 ? StoreForecast::bestPlace($this->garden, $crop) : null;

        return new PickWant(new SpreadWant($planting->key, $first - $today, $need->day - $today, $units, $traits->hours(),
            self::LOST * $value / max(1, $crop->produce->keepingDays), $value * $this->garden->settings->shortageFactor
            * (1 + self::RANK * ($this->ranks[$outlet] ?? 0)), StoreKind::ColdRoom === $place?->kind ? $place->key : null, $needs->crate,
            $last - $today), $planting, $crop, $traits, $needs, Day::of($need->day), $outlet, $spare);
    }

    private function fromStore(string $item, Need $need, string $outlet, int $units): void
    {
        foreach ($this->holdings[$item] ?? [] as $holding) {
            $key = $holding->lot->key.' '.$holding->place->key;
            $left = intdiv($this->left[$key] ?? $holding->hundredths, 100);
            $some = $need->day <= $holding->likely->number ? min($units, $left) : 0;
            if ($some > 0) {
                $this->left[$key] = ($this->left[$key] ?? $holding->hundredths) - 100 * $some;
                $this->stored[] = new StoreLine(Day::of($need->day), $holding, $some, $outlet,
                    true === $holding->crop->habits->store?->cleaning->isAtSale() ? $some / $this->table->of($holding->crop)->clean : 0.0);
                $units -= $some;
            }
        }
        $units <= 0 ?: $this->short[] = new PickShort(Day::of($need->day), $this->crops->get($item), $outlet, $units,
            Message::of(PickReason::NothingThere));
    }

    /** The first day from one to another on which all its beds may be harvested; else why not. */
    private function firstOpen(Planting $planting, Crop $crop, int $first, int $last): int|Message
    {
        $against = null;
        for ($day = $first; $day <= $last; ++$day) {
            $against = null;
            foreach ($planting->pieces as $piece) {
                $against ??= $this->rule->against($piece->bed, $crop, Day::of($day));
            }
            if (null === $against) {
                return $day;
            }
        }

        return $against ?? Message::of(PickReason::NothingThere);
    }

    /** @return list<array{Planting, float}> other plantings that have some nobody takes that would do */
    private function spare(Allocation $allocation, int $but, Need $need): array
    {
        $spare = [];
        foreach ($allocation->lots as $l => $lot) {
            $planting = $this->garden->plantings->get($lot->planting);
            if ($lot->planting !== $allocation->lots[$but]->planting && null === $lot->goodUntil && $allocation->left[$l] >= 1.0
                && $lot->serves($need->day, $need->reach) && null !== $planting && [] !== $planting->pieces) {
                $spare[$planting->key] = [$planting, ($spare[$planting->key][1] ?? 0.0) + floor($allocation->left[$l])];
            }
        }

        return array_values($spare);
    }
}
