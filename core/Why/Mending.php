<?php

declare(strict_types=1);

namespace JollyFurrow\Why;

use JollyFurrow\Beds\BedChoice;
use JollyFurrow\Beds\BedOffer;
use JollyFurrow\Beds\Ground;
use JollyFurrow\Beds\Stay;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Hand\ByHand;
use JollyFurrow\Message\Message;
use JollyFurrow\Need\Values;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\PlantingKey;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Shelter\Cover;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Shelter\Protection;
use JollyFurrow\Shelter\Purpose;
use JollyFurrow\Succession\CandidateChoice;
use JollyFurrow\Succession\Grid;
use JollyFurrow\Supply\ItemSupply;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\Period;
use JollyFurrow\Ways\Candidate;
use JollyFurrow\Ways\Candidates;
use JollyFurrow\Ways\PlantingCost;

/**
 * Single changes that fill what is short of one item, each tried on the plan as it stands: another sowing (day, method,
 * place, variety), a longer planting, a cover, or another crop's planting given up for it. The best few, by what they bring.
 */
final class Mending
{
    /** Sowings so many days ahead are looked at, and every so many days of them. */
    private const AHEAD = 240;
    private const STEPS = [1, 2, 4];
    /** The best of each kind. */
    private const OF_A_KIND = 2;
    /** Plantings of others that are tried to be given up. */
    private const GIVEN_UP = 12;

    private readonly ItemSupply $supply;
    /** @var array<string, float> */
    private readonly array $values;
    private readonly Candidates $candidates;
    private readonly PlantingCost $price;
    private readonly Grid $grid;

    public function __construct(private readonly Garden $garden, private readonly CropBook $book, private readonly RecipeBook $recipes)
    {
        $this->supply = new ItemSupply($garden, $book);
        $this->values = Values::of($garden);
        $this->candidates = new Candidates($garden, $recipes);
        $this->price = new PlantingCost($garden, $recipes);
        $this->grid = Grid::of($garden);
    }

    /** @return list<MendWay> the best first */
    public function of(string $item): array
    {
        $ways = [];
        foreach ([...$this->sowings($item), ...$this->longer($item), ...$this->covered($item)] as $way) {
            $ways[self::group($way)][] = $way;
        }
        if ([] === array_filter($ways[MendKind::AnotherSowing->value] ?? [], static fn (MendWay $w): bool => $w->gain() > 0)) {
            foreach ($this->instead($item) as $way) {
                $ways[self::group($way)][] = $way;
            }
        }
        $best = [];
        foreach ($ways as $kind) {
            usort($kind, self::bestFirst(...));
            $best = [...$best, ...\array_slice($kind, 0, self::OF_A_KIND)];
        }
        usort($best, self::bestFirst(...));

        return $best;
    }

    private static function group(MendWay $way): string
    {
        $crop = $way->kind->values['crop'] ?? '';

        return $way->kind->code->value.(\is_string($crop) ? $crop : '');
    }

    private static function bestFirst(MendWay $a, MendWay $b): int
    {
        return [$b->gain(), $a->key] <=> [$a->gain(), $b->key];
    }

    /** @return list<MendWay> one sowing more, on any day, in any way, of any variety */
    private function sowings(string $item): array
    {
        $beds = BedChoice::under($this->garden, $this->book, $this->recipes, $this->garden->plantings);
        $ways = [];
        foreach ($this->ways($item) as $candidate) {
            foreach (self::STEPS as $steps) {
                $end = [] === $candidate->curve ? min($candidate->lastField, $candidate->ready + 14) : $candidate->lastField;
                $offer = $beds->offer($candidate, $steps * $this->grid->step($candidate), $end);
                if ($offer->micrometres() < $steps * $this->grid->step($candidate)) {
                    break;
                }
                $ways[] = $this->way($this->kindOf($item, $candidate), [], [$this->planting($candidate, $offer, $end)], $item);
            }
        }

        return array_values(array_filter($ways));
    }

    /** @return list<MendWay> planned plantings of it made longer where their bed is free */
    private function longer(string $item): array
    {
        $ways = [];
        foreach ($this->planned($item) as $planting) {
            $last = $planting->pieces[\count($planting->pieces) - 1];
            $bed = $this->garden->bedsByName()[$last->bed] ?? null;
            $ground = Ground::under($this->garden, $this->book, $this->garden->plantings->on($last->bed)->without($planting->key));
            if (null === $bed || !$ground->mayStand($bed, Stay::ofPlanting($this->book->grown($planting->item, $planting->variety),
                $planting))) {
                continue;
            }
            foreach ($ground->free($bed, $planting->bedStart->number, $planting->clear->number) as [$from, $to]) {
                if ($from <= $last->from && $last->to < $to) {
                    $more = min($to - $last->to, $this->grid->quarter($planting->place));
                    $longer = (new ByHand($this->book, $this->recipes))->asLongAs($planting, $planting->length()->micrometres + $more);
                    $ways[] = $this->way(Message::of(MendKind::LongerPlanting), [$planting], [$longer], $item);
                }
            }
        }

        return array_values(array_filter($ways));
    }

    /** @return list<MendWay> planned plantings of it under a cover that makes them ready sooner */
    private function covered(string $item): array
    {
        $ways = [];
        foreach (null === $this->garden->timing() ? [] : $this->planned($item) as $planting) {
            if (PlaceType::Field !== $planting->place) {
                continue;
            }
            $under = $this->garden->covered([...$this->garden->protections, Protection::overPlanting($planting->key, Cover::LowTunnel,
                Purpose::Growth, Period::fromFirstToLast($planting->ground, $planting->ready))]);
            $moved = (new ByHand($this->book, $this->recipes))->redate($under, $planting);
            $way = $moved->ready->isBefore($planting->ready) ? $this->way(Message::of(MendKind::Cover), [$planting], [$moved], $item)
                : null;
            $ways[] = null === $way ? null : new MendWay($way->key, $way->kind, $way->old, $way->new, $way->units, $way->worth,
                $way->cost, $planting);
        }

        return array_values(array_filter($ways));
    }

    /** @return list<MendWay> another crop's planned planting given up, and this one sown in its place */
    private function instead(string $item): array
    {
        $others = $this->garden->plantings->where(fn (Planting $p): bool => $p->item !== $item && Standing::Planned === $p->standing
            && !$p->locked && !$p->firstWork()->isBefore($this->garden->today) && $this->book->has($p->item))->all();
        usort($others, fn (Planting $a, Planting $b): int => [$this->earns($a), $a->key] <=> [$this->earns($b), $b->key]);
        $ways = [];
        foreach (\array_slice($others, 0, self::GIVEN_UP) as $other) {
            $beds = BedChoice::under($this->garden, $this->book, $this->recipes, $this->garden->plantings->without($other->key));
            $best = null;
            foreach ($this->ways($item) as $candidate) {
                $end = [] === $candidate->curve ? min($candidate->lastField, $candidate->ready + 14) : $candidate->lastField;
                if ($candidate->place !== $other->place || $candidate->bedStart > $other->clear->number
                    || $end < $other->bedStart->number) {
                    continue;
                }
                $offer = $beds->offer($candidate, min($other->length()->micrometres, 4 * $this->grid->step($candidate)), $end);
                $way = [] === $offer->pieces ? null : $this->way(Message::of(MendKind::InsteadOf,
                    crop: lcfirst($this->book->grown($other->item, $other->variety)->name)), [$other], [$this->planting($candidate,
                        $offer, $end)], $item);
                $best = null !== $way && (null === $best || self::bestFirst($way, $best) < 0) ? $way : $best;
            }
            if (null !== $best && $best->worth > 0.0) {
                $ways[] = $best;
            }
        }

        return $ways;
    }

    /** @return list<Candidate> that still can begin and serve something short, soonest first */
    private function ways(string $item): array
    {
        $short = $this->supply->short($item);
        $ways = [];
        foreach ([] === $short ? [] : $this->book->varietiesOf($item) as $crop) {
            foreach ($crop->places() as $place) {
                foreach ($this->garden->metresOf($place) > 0.0 ? $crop->methods() : [] as $method) {
                    for ($n = 0; $n < self::AHEAD; ++$n) {
                        $sow = $this->garden->today->plus($n);
                        $isSowingDay = \in_array($sow->weekday(), $this->garden->settings->sowingDays, true);
                        $ways[] = $isSowingDay || $n < 14 ? $this->candidates->sownOn($crop, $sow, $place, $method) : null;
                    }
                }
            }
        }

        return CandidateChoice::serving(array_values(array_filter($ways, fn (?Candidate $c): bool => null !== $c
            && $c->bedStart >= $this->garden->today->number)), $short);
    }

    /** @return list<Planting> of the item, not yet begun */
    private function planned(string $item): array
    {
        return $this->garden->plantings->where(fn (Planting $p): bool => $p->item === $item && Standing::Planned === $p->standing
            && !$p->isOver($this->garden->today) && [] !== $p->pieces)->all();
    }

    /** Cents a metre and week. */
    private function earns(Planting $planting): float
    {
        return ($this->values[$planting->item] ?? 0.0) * $planting->perMetre * 7 / max(7, $planting->occupancy()->days());
    }

    private function kindOf(string $item, Candidate $candidate): Message
    {
        $there = $this->planned($item);
        $isNew = static fn (\Closure $of): bool => [] !== $there && [] === array_filter($there, $of);

        return Message::of(match (true) {
            $candidate->variety !== $item && $isNew(static fn (Planting $p): bool => $p->variety === $candidate->variety) => MendKind::AnotherVariety,
            $isNew(static fn (Planting $p): bool => $p->place === $candidate->place) => MendKind::InAnotherPlace,
            $isNew(static fn (Planting $p): bool => $p->method === $candidate->method) => MendKind::RaisedInAnotherWay,
            !\in_array(Day::of($candidate->sow)->weekday(), $this->garden->settings->sowingDays, true) => MendKind::OnAnotherDay,
            default => MendKind::AnotherSowing,
        });
    }

    private function planting(Candidate $candidate, BedOffer $offer, int $end): Planting
    {
        $key = PlantingKey::free($candidate->item, Day::of($candidate->sow), $this->garden->plantings->byKey());

        return $candidate->planting($key, $offer->pieces, $offer->recipe, $offer->start, $end, $offer->remarks(), true);
    }

    /**
     * Null when it fills nothing.
     *
     * @param list<Planting> $old
     * @param list<Planting> $new
     */
    private function way(Message $kind, array $old, array $new, string $item): ?MendWay
    {
        $units = $this->served($item, $old, $new) - $this->served($item, [], []);
        if ($units <= 0) {
            return null;
        }
        $worth = $units * ($this->values[$item] ?? 0.0);
        foreach (array_unique(array_map(static fn (Planting $p): string => $p->item, $old)) as $other) {
            $worth += $other === $item ? 0.0 : ($this->served($other, $old, []) - $this->served($other, [],
                [])) * ($this->values[$other] ?? 0.0);
        }
        $key = implode('+', array_map(static fn (Planting $p): string => $p->variety.'@'.$p->sow->iso().'/'.$p->place->value.'/'.$p->method->value.'/'.$p->length()->micrometres, $new)).([] === $old
            ? '' : '-'.$old[0]->key);

        return new MendWay($kind->code->value.'|'.$key, $kind, $old, $new, $units, $worth, $this->price($new) - $this->price($old));
    }

    /** @param list<Planting> $plantings */
    private function price(array $plantings): float
    {
        return array_sum(array_map(fn (Planting $p): float => $this->price->of($p, $this->book)->value, $plantings));
    }

    /**
     * @param list<Planting> $old
     * @param list<Planting> $new
     */
    private function served(string $item, array $old, array $new): int
    {
        return $this->supply->served($item, $old, $new);
    }
}
