<?php

declare(strict_types=1);

namespace JollyFurrow\Why;

use JollyFurrow\Beds\BedChoice;
use JollyFurrow\Beds\BedOffer;
use JollyFurrow\Beds\Weighed;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Crop\Method;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Hand\ByHand;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Measure\Length;
use JollyFurrow\Measure\Quantity;
use JollyFurrow\Message\Message;
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
            if (0 !== $by && !$sow->isBefore($this->garden->today) && \in_array($sow->weekday(), $this->garden->settings->sowingDays,
                true)) {
                $candidate = $this->candidates->sownOn($this->book->grown($this->planting->item, $this->planting->variety), $sow,
                    $this->planting->place, $this->planting->method);
                $others[] = null === $candidate ? null : [Message::of(Chosen::Sown, sow: $sow), $this->as($candidate)];
            }
        }

        return $this->runnerUp(Choice::Day, Message::of(Chosen::SownReady, sow: $this->planting->sow, ready: $this->planting->ready),
            array_values(array_filter($others)));
    }

    private function way(): Alternative
    {
        $others = [];
        foreach ($this->book->varietiesOf($this->planting->item) as $crop) {
            foreach ($crop->methods() as $method) {
                if ($crop->key === $this->planting->variety && $method === $this->planting->method) {
                    continue;
                }
                $sow = Method::Transplanted === $method && Method::Sown === $this->planting->method
                    ? $this->planting->sow->plus(-$crop->timing->nurseryDays) : $this->planting->sow;
                $candidate = $sow->isBefore($this->garden->today) ? null : $this->candidates->sownOn($crop, $sow,
                    $this->planting->place, $method);
                $others[] = null === $candidate ? null : [Message::of(Chosen::Variety, variety: $crop->variety, method: $method),
                    $this->as($candidate)];
            }
        }
        $crop = $this->book->grown($this->planting->item, $this->planting->variety);

        return $this->runnerUp(Choice::VarietyAndMethod, Message::of(Chosen::Variety, variety: $crop->variety,
            method: $this->planting->method), array_values(array_filter($others)));
    }

    private function length(): Alternative
    {
        $hand = new ByHand($this->book, $this->recipes);
        $step = $this->grid->quarter($this->planting->place);
        $long = $this->planting->length()->micrometres;
        $is = static fn (Chosen $code, int $micrometres): Message => Message::of($code,
            length: Quantity::long(Length::fromMicrometres($micrometres)));
        $others = [[$is(Chosen::StepLonger, $long + $step), $hand->asLongAs($this->planting, $long + $step)]];
        if ($long > $step) {
            $others[] = [$is(Chosen::StepShorter, $long - $step), $hand->asLongAs($this->planting, $long - $step)];
        }

        return $this->runnerUp(Choice::Length, $is(Chosen::Long, $long), $others);
    }

    private function bed(): Alternative
    {
        $beds = BedChoice::under($this->garden, $this->book, $this->recipes, $this->garden->plantings->without($this->planting->key));
        $candidate = $this->candidate();
        $here = $beds->weighed($candidate, $this->planting->pieces, $this->planting->clear->number);
        $other = $beds->offer($candidate, $this->planting->length()->micrometres, $this->planting->clear->number,
            array_map(static fn ($piece): string => $piece->bed, $this->planting->pieces));
        $isThere = [] !== $other->pieces && $other->micrometres() === $this->planting->length()->micrometres;

        return new Alternative(Choice::Bed, self::beds($this->planting->pieces, $here), $isThere ? self::beds($other->pieces, $other)
            : null, $isThere ? $other->weight - $here->weight : 0.0, 0);
    }

    /** @param list<Stretch> $pieces */
    private static function beds(array $pieces, BedOffer $offer): Message
    {
        $rules = array_map(Weighed::from(...), array_keys($offer->bent));

        return [] === $rules ? Message::of(Chosen::BedFits, beds: self::names($pieces)) : Message::of(Chosen::BedBends,
            beds: self::names($pieces), rules: $rules);
    }

    /** @param list<Stretch> $pieces */
    private static function names(array $pieces): string
    {
        return implode(' and ', array_unique(array_map(static fn (Stretch $piece): string => $piece->bed, $pieces)));
    }

    /** @param list<array{Message, Planting}> $others */
    private function runnerUp(Choice $question, Message $chosen, array $others): Alternative
    {
        $best = null;
        $served = $this->supply->served($this->planting->item);
        $price = $this->price->of($this->planting, $this->book)->value;
        foreach ($others as [$told, $other]) {
            $units = $served - $this->supply->served($this->planting->item, [$this->planting], [$other]);
            $more = $units * $this->penalty + $this->price->of($other, $this->book)->value - $price;
            if (null === $best || $more < $best->more) {
                $best = new Alternative($question, $chosen, $told, $more, $units);
            }
        }

        return $best ?? new Alternative($question, $chosen, null, 0.0, 0);
    }

    /** The planting as it would be grown like that, on the same ground. */
    private function as(Candidate $c): Planting
    {
        $stays = $this->planting->clear->since($this->planting->ready);
        $clear = [] === $c->curve ? min($c->lastField, $c->ready + $stays) : $c->lastField;

        return $c->planting($this->planting->key, $this->planting->pieces, last: $clear);
    }

    private function candidate(): Candidate
    {
        $p = $this->planting;

        return new Candidate($p->item, $p->method, $p->place, $p->recipe, $p->sow->number, $p->ground->number, $p->bedStart->number,
            $p->ready->number, $p->clear->number, $p->perMetre, 0.0, 0.0, [], $p->variety);
    }
}
