<?php

declare(strict_types=1);

namespace JollyFurrow\Beds;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Land\Bed;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Message\Message;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Preparation\Leads;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Succession\Grid;
use JollyFurrow\Time\Day;
use JollyFurrow\Ways\Candidate;

/**
 * Chooses the beds of a planting: never two crops on one stretch, never the wrong place type, never against a hard rule;
 * of what is left, where the soft rules weigh least. Whole in one bed, or in pieces, each further piece weighing
 * something; a bed in a block with its own way of being made ready is taken as much sooner or later.
 */
final class BedChoice
{
    private readonly BedRules $rules;
    private readonly Leads $leads;
    /** @var array<string, int> */
    private array $days = [];
    private readonly Ground $ground;

    public function __construct(private readonly Garden $garden, private readonly CropBook $book, private readonly RecipeBook $recipes,
        private readonly Grid $grid)
    {
        $this->ground = new Ground($garden, $book);
        $this->rules = new BedRules($this->ground);
        $this->leads = new Leads($garden);
    }

    /** @param iterable<Planting> $plantings that stand or are to stand */
    public static function under(Garden $garden, CropBook $book, RecipeBook $recipes, iterable $plantings): self
    {
        $choice = new self($garden, $book, $recipes, Grid::of($garden));
        foreach ($plantings as $planting) {
            $choice->take($planting);
        }

        return $choice;
    }

    public function take(Planting $planting): void
    {
        $this->ground->take($planting);
    }

    /**
     * Where so much of a candidate would stand until a day; as much of it as finds a bed.
     *
     * @param list<string> $but beds it is not to stand on
     */
    public function offer(Candidate $candidate, int $micrometres, int $last, array $but = []): BedOffer
    {
        $crop = $this->crop($candidate);
        $best = BedOffer::none($candidate->recipe, $candidate->bedStart);
        foreach ($this->waysToReady($crop, $candidate) as [$recipe, $start, $beds]) {
            $beds = [] === $but ? $beds : array_values(array_filter($beds, static fn (Bed $bed): bool => !\in_array($bed->name, $but,
                true)));
            $offer = $this->among(Stay::ofCandidate($crop, $candidate, $start, $last), $candidate, $beds, $recipe, $micrometres);
            $best = $offer->isBetterThan($best) ? $offer : $best;
        }

        return $best;
    }

    /** The whole length in one piece on one bed, from its first free place on; no piece: it may not stand there. */
    public function on(Bed $bed, Candidate $candidate, int $micrometres, int $last): BedOffer
    {
        $crop = $this->crop($candidate);
        foreach ($bed->place === $candidate->place ? $this->waysToReady($crop, $candidate, [$bed]) : [] as [$recipe, $start]) {
            $stay = Stay::ofCandidate($crop, $candidate, $start, $last);
            $first = $this->ground->mayStand($bed, $stay) ? $this->ground->first($bed, $start, $last, $micrometres) : null;
            if (null !== $first) {
                return $this->offered($stay, $candidate, [$this->piece($stay, $bed, [$first->from, $first->to], $first->from,
                    $micrometres)], $recipe, null);
            }
        }

        return BedOffer::none($candidate->recipe, $candidate->bedStart);
    }

    /**
     * What bends where a planting stands.
     *
     * @param list<Stretch> $pieces
     */
    public function weighed(Candidate $candidate, array $pieces, int $last): BedOffer
    {
        $stay = Stay::ofCandidate($this->crop($candidate), $candidate, $candidate->bedStart, $last);
        $beds = $this->garden->bedsByName();
        $found = [];
        foreach ($pieces as $piece) {
            if (isset($beds[$piece->bed])) {
                $found[] = $this->piece($stay, $beds[$piece->bed], [$piece->from, $piece->to], $piece->from, $piece->to - $piece->from);
            }
        }

        return [] === $found ? new BedOffer($pieces, $candidate->recipe, $candidate->bedStart, 0.0, [], [], null)
            : $this->offered($stay, $candidate, $found, $candidate->recipe, null);
    }

    /** Whether one step of it finds a bed at all. */
    public function hasRoom(Candidate $candidate, int $last): bool
    {
        $crop = $this->crop($candidate);
        $step = $this->grid->step($candidate);
        foreach ($this->waysToReady($crop, $candidate) as [, $start, $beds]) {
            $stay = Stay::ofCandidate($crop, $candidate, $start, $last);
            foreach ($beds as $bed) {
                if (null !== $this->ground->first($bed, $start, $last, $step) && $this->ground->mayStand($bed, $stay)) {
                    return true;
                }
            }
        }

        return false;
    }

    private function crop(Candidate $candidate): Crop
    {
        return $this->book->grown($candidate->item, $candidate->variety);
    }

    /**
     * The beds the candidate may stand on, by how they are made ready and from which day on that takes them.
     *
     * @param list<Bed>|null $of null: all of its place
     *
     * @return list<array{string, int, list<Bed>}>
     */
    private function waysToReady(Crop $crop, Candidate $candidate, ?array $of = null): array
    {
        $rules = $this->garden->settings->rules;
        $own = '' !== $crop->recipe && $this->recipes->has($crop->recipe);
        $ways = [];
        foreach ($of ?? $this->ground->beds[$candidate->place->value] ?? [] as $bed) {
            $recipe = $rules->block($bed->block)->recipe;
            $recipe = $own || '' === $recipe || !$this->recipes->has($recipe) ? $candidate->recipe : $recipe;
            $isTough = 'tough' === $bed->temper->weeds;
            $isUsual = $recipe === $candidate->recipe && !$isTough;
            $ways[$recipe.($isTough ? '+' : '')] ??= [$recipe, $isUsual ? $candidate->bedStart
                : $candidate->ground - $this->lead($recipe, $candidate->ground, $isTough), []];
            $ways[$recipe.($isTough ? '+' : '')][2][] = $bed;
        }

        return array_values(array_filter($ways, fn (array $way): bool => $way[1] >= $this->garden->today->number
            || $way[1] >= $candidate->bedStart));
    }

    private function lead(string $recipe, int $ground, bool $isTough): int
    {
        return $this->days[$recipe.'|'.$ground.'|'.(int) $isTough] ??= $this->leads->days($this->recipes->get($recipe),
            Day::of($ground), $isTough);
    }

    /** @param list<Bed> $beds */
    private function among(Stay $stay, Candidate $candidate, array $beds, string $recipe, int $micrometres): BedOffer
    {
        $least = min($micrometres, $this->grid->step($candidate));
        $whole = $free = [];
        foreach ($beds as $bed) {
            $stretches = $this->ground->free($bed, $stay->start, $stay->last);
            if ([] === $stretches || !$this->ground->mayStand($bed, $stay)) {
                continue;
            }
            foreach ($stretches as $stretch) {
                $room = $stretch[1] - $stretch[0];
                if ($room >= $micrometres) {
                    $whole[] = $this->piece($stay, $bed, $stretch, $stretch[0], $micrometres);
                }
                if ($room >= $least) {
                    $free[] = [$bed, $stretch];
                }
            }
        }
        usort($whole, static fn (WeighedPiece $a, WeighedPiece $b): int => [$a->weight, $a->room, $a->order] <=> [$b->weight, $b->room,
            $b->order]);
        $best = isset($whole[0]) ? $this->offered($stay, $candidate, [$whole[0]], $recipe, $whole[1] ?? null) : null;
        $wantsBlock = BedCorn::wantsBlocks($stay->crop) && $micrometres >= 2 * $least;
        if (null === $best || $wantsBlock) {
            $pieces = $wantsBlock ? $this->sideBySide($stay, $free, $micrometres) : [];
            $pieces = [] === $pieces && null === $best ? $this->pieces($stay, $free, $micrometres, $least) : $pieces;
            $other = [] === $pieces ? null : $this->offered($stay, $candidate, $pieces, $recipe, $whole[0] ?? null);
            $best = null === $best || (null !== $other && $other->isBetterThan($best)) ? $other : $best;
        }

        return $best ?? BedOffer::none($recipe, $stay->start);
    }

    /** @param array{int, int} $stretch the free stretch it is taken from */
    private function piece(Stay $stay, Bed $bed, array $stretch, int $from, int $micrometres): WeighedPiece
    {
        $bent = $this->rules->bent($stay, $bed, $from, $from + $micrometres, $stretch);

        return new WeighedPiece($bed, $from, $from + $micrometres, $bent, $stretch[1] - $stretch[0], $this->ground->order[$bed->name]);
    }

    /**
     * Fewest pieces, of those where the rules weigh least; none shorter than a step but the last remainder.
     *
     * @param list<array{Bed, array{int, int}}> $free
     *
     * @return list<WeighedPiece>
     */
    private function pieces(Stay $stay, array $free, int $micrometres, int $least): array
    {
        $all = [];
        foreach ($free as [$bed, $stretch]) {
            $all[] = $this->piece($stay, $bed, $stretch, $stretch[0], min($micrometres, $stretch[1] - $stretch[0]));
        }
        $pieces = [];
        while ($micrometres > 0 && [] !== $all) {
            usort($all, static fn (WeighedPiece $a, WeighedPiece $b): int => [min($micrometres, $b->length()), $a->weight, $a->length(),
                $a->order]
                <=> [min($micrometres, $a->length()), $b->weight, $b->length(), $b->order]);
            $next = array_shift($all);
            $take = min($micrometres, $next->length());
            if ($take < $least && $take < $micrometres) {
                break;
            }
            $pieces[] = $next->cut($take);
            $micrometres -= $take;
        }

        return $pieces;
    }

    /**
     * Halves on two neighbouring beds, where the rules weigh least.
     *
     * @param list<array{Bed, array{int, int}}> $free
     *
     * @return list<WeighedPiece>
     */
    private function sideBySide(Stay $stay, array $free, int $micrometres): array
    {
        $half = intdiv($micrometres + 1, 2);
        $able = [];
        foreach ($free as [$bed, $stretch]) {
            if ($stretch[1] - $stretch[0] >= $half) {
                $able[$this->ground->order[$bed->name]] ??= [$bed, $stretch];
            }
        }
        $best = [];
        $weight = \INF;
        foreach ($able as $place => [$bed, $stretch]) {
            if (!isset($able[$place + 1]) || $able[$place + 1][0]->block !== $bed->block) {
                continue;
            }
            [$next, $beside] = $able[$place + 1];
            $pair = [$this->piece($stay, $bed, $stretch, $stretch[0], $half), $this->piece($stay, $next, $beside, $beside[0],
                $micrometres - $half)];
            if ($pair[0]->weight + $pair[1]->weight < $weight) {
                $weight = $pair[0]->weight + $pair[1]->weight;
                $best = $pair;
            }
        }

        return $best;
    }

    /** @param non-empty-list<WeighedPiece> $pieces */
    private function offered(Stay $stay, Candidate $candidate, array $pieces, string $recipe, ?WeighedPiece $next): BedOffer
    {
        $weights = $this->garden->settings->rules->weights;
        $isOneRow = BedCorn::wantsBlocks($stay->crop) && !BedCorn::isBlock($this->ground, $stay->crop, $candidate, $pieces);
        $bent = ['piece' => $weights->piece * (\count($pieces) - 1), 'corn' => $isOneRow ? $weights->corn : 0.0];
        $breaches = $bent['corn'] > 0.0 ? [new Breach(Rule::OneLongRow, Message::of(Rule::OneLongRow, crop: $stay->crop->name,
            bed: $pieces[0]->bed->name))] : [];
        foreach ($pieces as $piece) {
            foreach ($piece->bent as $rule => $cents) {
                $bent[$rule] = ($bent[$rule] ?? 0.0) + $cents;
            }
            $breaches = [...$breaches, ...$this->rules->breaches($stay, $piece->bed, $piece->from, $piece->to)];
        }
        $bent = array_filter($bent, static fn (float $cents): bool => $cents > 0.0);
        $stretches = array_map(static fn (WeighedPiece $piece): Stretch => $piece->stretch(), $pieces);

        return new BedOffer($stretches, $recipe, $stay->start, array_sum($bent), $bent, $breaches, null === $next ? null
            : new RunnerUp($next->bed->name, $next->weight, $next->bent));
    }
}
