<?php

declare(strict_types=1);

namespace JollyFurrow\Why;

use JollyFurrow\Beds\BedChoice;
use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Crop\Pattern;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Plan\Plan;
use JollyFurrow\Plan\Shortage;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Succession\Grid;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\Period;
use JollyFurrow\Ways\Candidate;
use JollyFurrow\Ways\Candidates;

/** Finds out why a need is not met: what could still be sown for it, and whether a bed is free for that. */
final class ShortageReasons
{
    /** Sowings of so many days from today on are looked at. */
    private const LOOK_AHEAD = 366;

    /** @var array<string, list<Candidate>> the latest sowing first */
    private array $known = [];
    /** @var array<string, Mend> by candidate */
    private array $tried = [];

    /** @param array<string, float> $values cents a unit of an item fetches */
    public function __construct(
        private readonly Garden $garden,
        private readonly CropBook $book,
        private readonly Candidates $candidates,
        private readonly BedChoice $beds,
        private readonly Grid $grid,
        private readonly Plan $plan,
        private readonly array $values,
    ) {
    }

    /** @return array{ShortageReason, Mend|null} */
    public function for(Crop $crop, Shortage $need): array
    {
        if (Pattern::Perennial === $crop->pattern) {
            return [ShortageReason::Perennial, null];
        }
        if ([] === array_filter($crop->places(), fn (PlaceType $place): bool => $this->garden->metresOf($place) > 0.0)) {
            return [ShortageReason::NoPlace, null];
        }
        $blocked = null;
        foreach ($this->candidates($crop) as $candidate) {
            if (!self::serves($candidate, $need)) {
                continue;
            }
            $mend = $this->tried[$candidate->key()] ??= $this->mend($candidate);
            if (null !== $mend->stretch) {
                return [$this->couldBe($crop, $need, $mend), $mend];
            }
            $blocked ??= $mend;
        }

        return null === $blocked ? [ShortageReason::NoSowing, null] : [ShortageReason::NoBed, $blocked];
    }

    /** Why it is short although a bed could still be found for some sowing. */
    private function couldBe(Crop $crop, Shortage $need, Mend $mend): ShortageReason
    {
        foreach ($this->plan->unplaced as $lost) {
            if ($lost->candidate->item === $crop->item() && self::serves($lost->candidate, $need)) {
                return ShortageReason::NoBed;
            }
        }

        $factor = $this->garden->settings->shortageFactor;
        $worth = $factor * $need->units * ($this->values[$crop->item()] ?? 0.0);

        return $this->plan->isDrawn || $mend->cost >= $worth ? ShortageReason::TooDear : ShortageReason::NotPlanned;
    }

    /** @return list<Candidate> */
    private function candidates(Crop $crop): array
    {
        $today = $this->garden->today;

        return $this->known[$crop->item()] ??= array_reverse($this->candidates->ofTheFittest(
            $this->book->varietiesOf($crop->item()), $today, $today->plus(self::LOOK_AHEAD)));
    }

    private function mend(Candidate $candidate): Mend
    {
        $end = [] === $candidate->curve ? $candidate->ready : $candidate->lastField;
        $stay = Period::fromFirstToLast(Day::of($candidate->bedStart), Day::of($end));
        $pieces = $this->beds->hasRoom($candidate, $end) ? $this->beds->offer($candidate, $this->grid->step($candidate), $end)->pieces : [];

        $metres = $this->grid->metres($candidate);
        $rent = $this->garden->settings->rentAt($candidate->place);

        return new Mend($candidate, $pieces[0] ?? null, $candidate->setUp + $metres * ($candidate->cost + $stay->days() * $rent / 7));
    }

    private static function serves(Candidate $candidate, Shortage $need): bool
    {
        if ([] === $candidate->curve) {
            return $candidate->ready <= $need->day->number && $need->day->number <= $candidate->lastField + $need->reach;
        }
        foreach ($candidate->curve as $day => $units) {
            if ($day <= $need->day->number && $need->day->number <= $day + $need->reach) {
                return true;
            }
        }

        return false;
    }
}
