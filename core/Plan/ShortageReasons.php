<?php

declare(strict_types=1);

namespace JollyFurrow\Plan;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\Pattern;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Garden\PlaceType;
use JollyFurrow\Promise\Need;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\Period;

/** Finds out why a need is not met: what could still be sown for it, and whether a bed is free for that. */
final class ShortageReasons
{
    /** Longest time from a sowing to its last market day that is looked back over, in days. */
    private const LOOK_BACK = 600;

    /** @var array<string, list<Mend>> the latest sowing first */
    private array $known = [];

    /** @param list<Unplaced> $unplaced */
    public function __construct(
        private readonly Garden $garden,
        private readonly Candidates $candidates,
        private readonly FirstFitBeds $beds,
        private readonly Grid $grid,
        private readonly bool $drawn,
        private readonly array $unplaced,
    ) {
    }

    /** @return array{ShortageReason, Mend|null} */
    public function for(Crop $crop, Need $need): array
    {
        if (Pattern::Perennial === $crop->pattern) {
            return [ShortageReason::Perennial, null];
        }
        if (!array_filter($crop->places(), fn (PlaceType $place): bool => $this->garden->metresOf($place) > 0.0)) {
            return [ShortageReason::NoPlace, null];
        }
        $blocked = null;
        foreach ($this->mends($crop) as $mend) {
            if (!self::serves($mend->candidate, $need)) {
                continue;
            }
            if (null !== $mend->stretch) {
                return [$this->couldBe($crop, $need), $mend];
            }
            $blocked ??= $mend;
        }

        return null === $blocked ? [ShortageReason::NoSowing, null] : [ShortageReason::NoBed, $blocked];
    }

    /** Why it is short although a bed could still be found for some sowing. */
    private function couldBe(Crop $crop, Need $need): ShortageReason
    {
        foreach ($this->unplaced as $lost) {
            if ($lost->candidate->item === $crop->item() && self::serves($lost->candidate, $need)) {
                return ShortageReason::NoBed;
            }
        }

        return $this->drawn ? ShortageReason::TooDear : ShortageReason::NotPlanned;
    }

    /** @return list<Mend> */
    private function mends(Crop $crop): array
    {
        if (!isset($this->known[$crop->item()])) {
            $today = $this->garden->today;
            $this->known[$crop->item()] = array_map($this->mend(...), array_reverse($this->candidates->of($crop, $today, $today->plus(self::LOOK_BACK))));
        }

        return $this->known[$crop->item()];
    }

    private function mend(Candidate $candidate): Mend
    {
        $end = [] === $candidate->curve ? $candidate->ready : $candidate->lastField;
        $stay = Period::fromFirstToLast(Day::of($candidate->bedStart), Day::of($end));
        $pieces = $this->beds->find($candidate, $this->grid->quarter($candidate->place), $stay);

        return new Mend($candidate, $pieces[0] ?? null);
    }

    private static function serves(Candidate $candidate, Need $need): bool
    {
        if ([] === $candidate->curve) {
            return $candidate->ready <= $need->day && $need->day <= $candidate->lastField + $need->reach;
        }
        foreach ($candidate->curve as $day => $units) {
            if ($day <= $need->day && $need->day <= $day + $need->reach) {
                return true;
            }
        }

        return false;
    }
}
