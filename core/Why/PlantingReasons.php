<?php

declare(strict_types=1);

namespace JollyFurrow\Why;

use JollyFurrow\Beds\BedChoice;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Crop\Method;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Garden\Weights;
use JollyFurrow\Hand\ByHand;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Measure\Length;
use JollyFurrow\Need\Item;
use JollyFurrow\Need\Values;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Succession\Grid;
use JollyFurrow\Supply\ItemSupply;
use JollyFurrow\Time\Day;
use JollyFurrow\Ways\Candidate;
use JollyFurrow\Ways\Candidates;
use JollyFurrow\Ways\PlantingCost;

/**
 * Why a planting is sown on this day, of this variety, this way, so long, on this bed: for each question the runner-up,
 * tried in its place on the plan as it stands, everything else left alone.
 */
final readonly class PlantingReasons
{
    private const DAYS = 21;

    private ItemSupply $supply;
    private PlantingCost $price;
    private Candidates $candidates;
    private Grid $grid;
    private float $penalty;

    public function __construct(private Garden $garden, private CropBook $book, private RecipeBook $recipes, private Planting $planting)
    {
        $this->supply = new ItemSupply($garden, $book);
        $this->price = new PlantingCost($garden, $recipes);
        $this->candidates = new Candidates($garden, $recipes);
        $this->grid = Grid::of($garden);
        $this->penalty = Item::penaltyFor($garden->settings->shortageFactor, Values::of($garden)[$planting->item] ?? 0.0);
    }

    /** @return list<Alternative> */
    public function all(): array
    {
        if (Standing::Planned !== $this->planting->standing || [] === $this->planting->pieces || !$this->book->has($this->planting->item)) {
            return [];
        }

        return [$this->day(), $this->way(), $this->length(), $this->bed()];
    }

    private function day(): Alternative
    {
        $others = [];
        for ($by = -self::DAYS; $by <= self::DAYS; ++$by) {
            $sow = $this->planting->sow->plus($by);
            if (0 !== $by && !$sow->isBefore($this->garden->today) && \in_array($sow->weekday(), $this->garden->settings->sowingDays, true)) {
                $candidate = $this->candidates->sownOn($this->book->grown($this->planting->item, $this->planting->variety), $sow, $this->planting->place, $this->planting->method);
                $others[] = null === $candidate ? null : [\sprintf('sown %s', $sow->iso()), $this->as($candidate)];
            }
        }

        return $this->runnerUp('Day', \sprintf('sown %s, ready %s', $this->planting->sow->iso(), $this->planting->ready->iso()), array_values(array_filter($others)));
    }

    private function way(): Alternative
    {
        $others = [];
        foreach ($this->book->varietiesOf($this->planting->item) as $crop) {
            foreach ($crop->methods() as $method) {
                if ($crop->key === $this->planting->variety && $method === $this->planting->method) {
                    continue;
                }
                $sow = Method::Transplanted === $method && Method::Sown === $this->planting->method ? $this->planting->sow->plus(-$crop->timing->nurseryDays) : $this->planting->sow;
                $candidate = $sow->isBefore($this->garden->today) ? null : $this->candidates->sownOn($crop, $sow, $this->planting->place, $method);
                $others[] = null === $candidate ? null : [\sprintf('‘%s’, %s', $crop->variety, $method->words()), $this->as($candidate)];
            }
        }
        $crop = $this->book->grown($this->planting->item, $this->planting->variety);

        return $this->runnerUp('Variety and method', \sprintf('‘%s’, %s', $crop->variety, $this->planting->method->words()), array_values(array_filter($others)));
    }

    private function length(): Alternative
    {
        $hand = new ByHand($this->book, $this->recipes);
        $step = $this->grid->quarter($this->planting->place);
        $long = $this->planting->length()->millimetres;
        $units = $this->garden->settings->units;
        $others = [[\sprintf('%s, a step longer', $units->long(Length::fromMillimetres($long + $step))), $hand->asLongAs($this->planting, $long + $step)]];
        if ($long > $step) {
            $others[] = [\sprintf('%s, a step shorter', $units->long(Length::fromMillimetres($long - $step))), $hand->asLongAs($this->planting, $long - $step)];
        }

        return $this->runnerUp('Length', $units->long($this->planting->length()), $others);
    }

    private function bed(): Alternative
    {
        $beds = new BedChoice($this->garden, $this->book, $this->recipes, $this->grid);
        array_map($beds->take(...), array_values(array_filter($this->garden->plantings, fn (Planting $p): bool => $p->key !== $this->planting->key)));
        $candidate = $this->candidate();
        $here = $beds->weighed($candidate, $this->planting->pieces, $this->planting->clear->number);
        $other = $beds->offer($candidate, $this->planting->length()->millimetres, $this->planting->clear->number, array_map(static fn ($piece): string => $piece->bed, $this->planting->pieces));
        $words = static fn (array $bent): string => [] === $bent ? 'no rule bends' : implode(', ', array_map(static fn (string $rule): string => lcfirst(Weights::NAMES[$rule] ?? $rule), array_map(strval(...), array_keys($bent))));
        $isThere = [] !== $other->pieces && $other->millimetres() === $this->planting->length()->millimetres;

        return new Alternative('Bed', \sprintf('%s: %s', self::names($this->planting->pieces), $words($here->bent)), $isThere ? \sprintf('%s: %s', self::names($other->pieces), $words($other->bent)) : '', $isThere ? $other->weight - $here->weight : 0.0, 0);
    }

    /** @param list<Stretch> $pieces */
    private static function names(array $pieces): string
    {
        return implode(' and ', array_unique(array_map(static fn (Stretch $piece): string => $piece->bed, $pieces)));
    }

    /** @param list<array{string, Planting}> $others */
    private function runnerUp(string $question, string $chosen, array $others): Alternative
    {
        $best = null;
        $served = $this->supply->served($this->planting->item);
        $price = $this->price->of($this->planting, $this->book)->value;
        foreach ($others as [$words, $other]) {
            $units = $served - $this->supply->served($this->planting->item, [$this->planting], [$other]);
            $more = $units * $this->penalty + $this->price->of($other, $this->book)->value - $price;
            if (null === $best || $more < $best->more) {
                $best = new Alternative($question, $chosen, $words, $more, $units);
            }
        }

        return $best ?? new Alternative($question, $chosen, '', 0.0, 0);
    }

    /** The planting as it would be grown like that, on the same ground. */
    private function as(Candidate $c): Planting
    {
        $stays = $this->planting->clear->since($this->planting->ready);
        $clear = [] === $c->curve ? min($c->lastField, $c->ready + $stays) : $c->lastField;

        return new Planting($this->planting->key, $c->item, $c->method, $c->place, $c->recipe, Day::of($c->sow), Day::of($c->ground), Day::of($c->bedStart), Day::of($c->ready), Day::of($clear), $c->perMetre, $this->planting->pieces, Standing::Planned, false, variety: $c->variety);
    }

    private function candidate(): Candidate
    {
        $p = $this->planting;

        return new Candidate($p->item, $p->method, $p->place, $p->recipe, $p->sow->number, $p->ground->number, $p->bedStart->number, $p->ready->number, $p->clear->number, $p->perMetre, 0.0, 0.0, [], $p->variety);
    }
}
