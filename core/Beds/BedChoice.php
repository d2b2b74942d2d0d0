<?php

declare(strict_types=1);

namespace JollyFurrow\Beds;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Land\Bed;
use JollyFurrow\Land\Stretch;
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

    public function __construct(private readonly Garden $garden, private readonly CropBook $book, private readonly RecipeBook $recipes, private readonly Grid $grid)
    {
        $this->ground = new Ground($garden, $book);
        $this->rules = new BedRules($this->ground);
        $this->leads = new Leads($garden);
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
    public function offer(Candidate $candidate, int $millimetres, int $last, array $but = []): BedOffer
    {
        $crop = $this->book->grown($candidate->item, $candidate->variety);
        $best = new BedOffer([], $candidate->recipe, $candidate->bedStart, 0.0, [], [], null);
        if ($this->isTooNearInFlower($crop, $candidate)) {
            return $best;
        }
        foreach ($this->waysToReady($crop, $candidate) as [$recipe, $start, $beds]) {
            $beds = [] === $but ? $beds : array_values(array_filter($beds, static fn (Bed $bed): bool => !\in_array($bed->name, $but, true)));
            $offer = $this->among($crop, $candidate, $beds, $recipe, $start, $millimetres, $last);
            if (self::isBetter($offer, $best)) {
                $best = $offer;
            }
        }

        return $best;
    }

    /**
     * What bends where a planting stands.
     *
     * @param list<Stretch> $pieces
     */
    public function weighed(Candidate $candidate, array $pieces, int $last): BedOffer
    {
        $crop = $this->book->grown($candidate->item, $candidate->variety);
        $beds = $this->garden->bedsByName();
        $found = [];
        foreach ($pieces as $piece) {
            if (isset($beds[$piece->bed])) {
                $found[] = $this->piece($crop, $candidate, $beds[$piece->bed], [$piece->from, $piece->to], $piece->from, $piece->to - $piece->from, $candidate->bedStart, $last);
            }
        }

        return [] === $found ? new BedOffer($pieces, $candidate->recipe, $candidate->bedStart, 0.0, [], [], null) : $this->offered($crop, $candidate, $found, $candidate->recipe, $candidate->bedStart, $last, null);
    }

    /** Whether one step of it finds a bed at all. */
    public function hasRoom(Candidate $candidate, int $last): bool
    {
        $crop = $this->book->grown($candidate->item, $candidate->variety);
        $step = $this->grid->step($candidate);
        foreach ($this->isTooNearInFlower($crop, $candidate) ? [] : $this->waysToReady($crop, $candidate) as [, $start, $beds]) {
            foreach ($beds as $bed) {
                foreach ($this->ground->free($bed, $start, $last) as [$from, $to]) {
                    if ($to - $from >= $step && null === $this->ground->forbids($bed, $crop, $start, $last)) {
                        return true;
                    }
                }
            }
        }

        return false;
    }

    private static function isBetter(BedOffer $one, BedOffer $other): bool
    {
        return $one->millimetres() > $other->millimetres() || ($one->millimetres() === $other->millimetres() && $one->weight < $other->weight);
    }

    /** Corn of another kind in flower at the same time, anywhere in the garden: gardens are small, so isolation goes by time. */
    private function isTooNearInFlower(Crop $crop, Candidate $candidate): bool
    {
        if ($crop->habits->isolation <= 0) {
            return false;
        }
        foreach ($this->ground->all() as $stands) {
            foreach ($stands as $stand) {
                if (!$stand->isPast && $stand->item === $candidate->item && $stand->variety !== $candidate->variety && abs($stand->ready - $candidate->ready) < $crop->habits->isolationDays) {
                    return true;
                }
            }
        }

        return false;
    }

    /**
     * The beds the candidate may stand on, by how they are made ready and from which day on that takes them.
     *
     * @return list<array{string, int, list<Bed>}>
     */
    private function waysToReady(Crop $crop, Candidate $candidate): array
    {
        $rules = $this->garden->settings->rules;
        $own = '' !== $crop->recipe && $this->recipes->has($crop->recipe);
        $ways = [];
        foreach ($this->ground->beds[$candidate->place->value] ?? [] as $bed) {
            $recipe = $rules->block($bed->block)->recipe;
            $recipe = $own || '' === $recipe || !$this->recipes->has($recipe) ? $candidate->recipe : $recipe;
            $isTough = 'tough' === $bed->temper->weeds;
            $ways[$recipe.($isTough ? '+' : '')] ??= [$recipe, $recipe === $candidate->recipe && !$isTough ? $candidate->bedStart : $candidate->ground - $this->lead($recipe, $candidate->ground, $isTough), []];
            $ways[$recipe.($isTough ? '+' : '')][2][] = $bed;
        }

        return array_values(array_filter($ways, fn (array $way): bool => $way[1] >= $this->garden->today->number || $way[1] >= $candidate->bedStart));
    }

    private function lead(string $recipe, int $ground, bool $isTough): int
    {
        return $this->days[$recipe.'|'.$ground.'|'.(int) $isTough] ??= $this->leads->days($this->recipes->get($recipe), Day::of($ground), $isTough);
    }

    /** @param list<Bed> $beds */
    private function among(Crop $crop, Candidate $candidate, array $beds, string $recipe, int $start, int $millimetres, int $last): BedOffer
    {
        $least = min($millimetres, $this->grid->step($candidate));
        $whole = $free = [];
        foreach ($beds as $bed) {
            $stretches = $this->ground->free($bed, $start, $last);
            if ([] === $stretches || null !== $this->ground->forbids($bed, $crop, $start, $last)) {
                continue;
            }
            foreach ($stretches as $stretch) {
                $room = $stretch[1] - $stretch[0];
                if ($room >= $millimetres) {
                    $whole[] = $this->piece($crop, $candidate, $bed, $stretch, $stretch[0], $millimetres, $start, $last);
                } elseif ($room >= $least) {
                    $free[] = [$bed, $stretch];
                }
                if ($room >= $millimetres) {
                    $free[] = [$bed, $stretch];
                }
            }
        }
        usort($whole, static fn (array $a, array $b): int => [$a['weight'], $a['room'], $a['order']] <=> [$b['weight'], $b['room'], $b['order']]);
        $best = isset($whole[0]) ? $this->offered($crop, $candidate, [$whole[0]], $recipe, $start, $last, $whole[1] ?? null) : null;
        if (null === $best || (BedCorn::wantsBlocks($crop) && $millimetres >= 2 * $least)) {
            $pieces = BedCorn::wantsBlocks($crop) && $millimetres >= 2 * $least ? $this->sideBySide($crop, $candidate, $free, $millimetres, $start, $last) : [];
            $pieces = [] === $pieces && null === $best ? $this->pieces($crop, $candidate, $free, $millimetres, $least, $start, $last) : $pieces;
            $other = [] === $pieces ? null : $this->offered($crop, $candidate, $pieces, $recipe, $start, $last, $whole[0] ?? null);
            $best = null === $best || (null !== $other && self::isBetter($other, $best)) ? $other : $best;
        }

        return $best ?? new BedOffer([], $recipe, $start, 0.0, [], [], null);
    }

    /**
     * @param array{int, int} $stretch
     *
     * @return array{bed: Bed, from: int, to: int, weight: float, bent: array<string, float>, room: int, order: int}
     */
    private function piece(Crop $crop, Candidate $candidate, Bed $bed, array $stretch, int $from, int $millimetres, int $start, int $last): array
    {
        $bent = $this->rules->bent($crop, $bed, $from, $from + $millimetres, $stretch, $candidate->ground, $start, $last);

        return ['bed' => $bed, 'from' => $from, 'to' => $from + $millimetres, 'weight' => array_sum($bent), 'bent' => $bent, 'room' => $stretch[1] - $stretch[0], 'order' => $this->ground->order[$bed->name]];
    }

    /**
     * Fewest pieces, of those where the rules weigh least; none shorter than a step but the last remainder.
     *
     * @param list<array{Bed, array{int, int}}> $free
     *
     * @return list<array{bed: Bed, from: int, to: int, weight: float, bent: array<string, float>, room: int, order: int}>
     */
    private function pieces(Crop $crop, Candidate $candidate, array $free, int $millimetres, int $least, int $start, int $last): array
    {
        $all = [];
        foreach ($free as [$bed, $stretch]) {
            $all[] = $this->piece($crop, $candidate, $bed, $stretch, $stretch[0], min($millimetres, $stretch[1] - $stretch[0]), $start, $last);
        }
        $pieces = [];
        while ($millimetres > 0 && [] !== $all) {
            usort($all, static fn (array $a, array $b): int => [min($millimetres, $b['to'] - $b['from']), $a['weight'], $a['to'] - $a['from'], $a['order']] <=> [min($millimetres, $a['to'] - $a['from']), $b['weight'], $b['to'] - $b['from'], $b['order']]);
            $next = array_shift($all);
            $take = min($millimetres, $next['to'] - $next['from']);
            if ($take < $least && $take < $millimetres) {
                break;
            }
            $pieces[] = ['to' => $next['from'] + $take] + $next;
            $millimetres -= $take;
        }

        return $pieces;
    }

    /**
     * Halves on two neighbouring beds, where the rules weigh least.
     *
     * @param list<array{Bed, array{int, int}}> $free
     *
     * @return list<array{bed: Bed, from: int, to: int, weight: float, bent: array<string, float>, room: int, order: int}>
     */
    private function sideBySide(Crop $crop, Candidate $candidate, array $free, int $millimetres, int $start, int $last): array
    {
        $half = intdiv($millimetres + 1, 2);
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
            $pair = [$this->piece($crop, $candidate, $bed, $stretch, $stretch[0], $half, $start, $last), $this->piece($crop, $candidate, $next, $beside, $beside[0], $millimetres - $half, $start, $last)];
            if ($pair[0]['weight'] + $pair[1]['weight'] < $weight) {
                $weight = $pair[0]['weight'] + $pair[1]['weight'];
                $best = $pair;
            }
        }

        return $best;
    }

    /**
     * @param non-empty-list<array{bed: Bed, from: int, to: int, weight: float, bent: array<string, float>, room: int, order: int}> $pieces
     * @param array{bed: Bed, from: int, to: int, weight: float, bent: array<string, float>, room: int, order: int}|null            $next
     */
    private function offered(Crop $crop, Candidate $candidate, array $pieces, string $recipe, int $start, int $last, ?array $next): BedOffer
    {
        $weights = $this->garden->settings->rules->weights;
        $bent = ['piece' => $weights->piece * (\count($pieces) - 1), 'corn' => BedCorn::wantsBlocks($crop) && !BedCorn::isBlock($this->ground, $candidate, $pieces) ? $weights->corn : 0.0];
        $remarks = $bent['corn'] > 0.0 ? [\sprintf('%s in one long row on %s: it sets more kernels in a block of neighbouring beds.', $crop->name, $pieces[0]['bed']->name)] : [];
        $stretches = [];
        foreach ($pieces as $piece) {
            foreach ($piece['bent'] as $rule => $cents) {
                $bent[$rule] = ($bent[$rule] ?? 0.0) + $cents;
            }
            $stretches[] = Stretch::of($piece['bed']->name, $piece['from'], $piece['to']);
            $remarks = [...$remarks, ...$this->rules->words($crop, $piece['bed'], $piece['from'], $piece['to'], $candidate->ground, $start, $last)];
        }
        $bent = array_filter($bent, static fn (float $cents): bool => $cents > 0.0);

        return new BedOffer($stretches, $recipe, $start, array_sum($bent), $bent, array_values(array_unique($remarks)), null === $next ? null : ['bed' => $next['bed']->name, 'weight' => $next['weight'], 'bent' => $next['bent']]);
    }
}
