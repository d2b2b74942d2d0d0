<?php

declare(strict_types=1);

namespace JollyFurrow\Hand;

use JollyFurrow\Crop\CropBook;
use JollyFurrow\Crop\Method;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Maturity\Sign;
use JollyFurrow\Measure\Quantity;
use JollyFurrow\Planting\Dates;
use JollyFurrow\Planting\FieldNote;
use JollyFurrow\Planting\Happening;
use JollyFurrow\Planting\Left;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Time\Day;

/**
 * Turns what was noted into plantings as they now are: the grower's eye beats the plan. A part of a planting is split
 * off, and the rest stays as it was or is given up.
 */
final readonly class FieldWork
{
    /** Days after sowing; the slowest in the book, in cold soil, take about so long. Common practice, no source. */
    private const COMES_UP_WITHIN = 42;

    public function __construct(private CropBook $book, private ByHand $byHand)
    {
    }

    /**
     * @param string $bed       another bed than planned; empty: where it was planned
     * @param bool   $restStays the part that is not in the note stays as it was
     * @param string $at        of a planting on several beds, the one the note is of; empty: all of them
     *
     * @return non-empty-list<Planting> what stands in the place of the planting; the first is the one the note is of
     *
     * @throws CannotBeDone naming the field
     */
    public function after(Garden $garden, Planting $planting, FieldNote $note, string $bed = '', bool $restStays = true,
        string $at = ''): array
    {
        [$part, $elsewhere] = $this->byHand->onBed($garden, $planting, $at);
        $rest = null === $elsewhere ? [] : [$elsewhere];
        $this->check($garden, $part, $note);
        if (null !== $note->length && Happening::Sampled !== $note->what && $note->length->micrometres < $part->length()->micrometres) {
            [$part, $other] = $this->byHand->split($garden->with([...$garden->plantings, ...$rest]), $part, $note->length->micrometres);
            $rest = $restStays ? [$other, ...$rest] : $rest;
        }
        $part = match ($note->what) {
            Happening::Begun => $part,
            Happening::Sown => $this->byHand->sowOn($garden, $part, $note->day)->but(standing: Method::Sown === $part->method
                ? Standing::Growing : Standing::InNursery),
            Happening::Planted => $this->byHand->intoGroundOn($garden, $part, $note->day)->but(standing: Standing::Growing),
            Happening::Emerged => $this->emerged($garden, $part, $note)->but(stand: $note->share ?? 1.0),
            Happening::Seen => $this->seen($garden, $part, $note),
            Happening::Sampled => $this->sampled($garden, $part, $note),
            Happening::Picked => $this->picked($part, $note),
            Happening::Finished => self::ended($part, $note),
            Happening::Lost => $this->lost($part, $note),
        };
        if ('' !== $bed && $bed !== $part->pieces[0]->bed) {
            $part = $this->byHand->onto($garden->with($garden->plantings->without($planting->key)), $part, $bed, null);
        }

        return [$part, ...$rest];
    }

    /**
     * What may be noted of a planting as it stands.
     *
     * @return list<Happening>
     */
    public static function possible(Planting $planting): array
    {
        return match ($planting->standing) {
            Standing::Planned => Method::Sown === $planting->method ? [Happening::Sown, Happening::Begun]
                : [Happening::Sown, Happening::Planted, Happening::Begun],
            Standing::InNursery => [Happening::Planted, Happening::Begun, Happening::Emerged, Happening::Lost],
            Standing::Growing => [Happening::Emerged, Happening::Seen, Happening::Sampled, Happening::Picked,
                Happening::Finished, Happening::Lost],
            Standing::Cleared => [],
        };
    }

    /**
     * The same as they are likely now, the likeliest first: nothing comes up any more on a crop that was planted out, was
     * sown six weeks ago, or is being picked.
     *
     * @return list<Happening>
     */
    public static function expected(Planting $planting, Day $today): array
    {
        if (Standing::Growing !== $planting->standing) {
            return self::possible($planting);
        }
        if (!$today->isBefore($planting->ready)) {
            return [Happening::Picked, Happening::Finished, Happening::Sampled, Happening::Seen, Happening::Lost];
        }
        $mayComeUp = Method::Sown === $planting->method && $today->isBefore($planting->ground->plus(self::COMES_UP_WITHIN));

        return [...($mayComeUp ? [Happening::Emerged] : []), Happening::Seen, Happening::Sampled, Happening::Lost, Happening::Picked,
            Happening::Finished];
    }

    private function check(Garden $garden, Planting $planting, FieldNote $note): void
    {
        if (!\in_array($note->what, self::possible($planting), true)) {
            throw CannotBeDone::of('what', NotDone::NotAsItStands, standing: $planting->standing, what: $note->what);
        }
        if ($garden->today->isBefore($note->day)) {
            throw CannotBeDone::of('day', NotDone::StillToCome);
        }
        $begun = Standing::Planned === $planting->standing ? null : (Standing::InNursery === $planting->standing ? $planting->sow
            : $planting->ground);
        if (null !== $begun && Happening::Begun !== $note->what && $note->day->isBefore($begun)) {
            throw CannotBeDone::of('day', NotDone::BeforeItBegan, day: $begun, standing: $planting->standing);
        }
        if (null !== $note->length && $note->length->micrometres > $planting->length()->micrometres
            && !\in_array($note->what, [Happening::Sown, Happening::Planted], true)) {
            throw CannotBeDone::of('length', NotDone::LongerThanItIs, length: Quantity::long($planting->length()));
        }
    }

    /** What comes after is dated from the day it came up. */
    private function emerged(Garden $garden, Planting $part, FieldNote $note): Planting
    {
        $crop = $this->book->grown($part->item, $part->variety);
        $ripening = Method::Sown === $part->method && Standing::Growing === $part->standing && !$crop->growth->anchored
            ? $garden->timing()?->of($crop, $garden->coversOf($part)) : null;
        $ripe = $ripening?->fromStage($part->sow->number, $part->ground->number, $note->day->number, $note->day->number,
            $ripening->toCome($part->method));

        return null === $ripe ? $part : Reforecast::redated($part, Day::of($ripe->ready));
    }

    /** A sign says what share is still to come; everything after it is dated from there. */
    private function seen(Garden $garden, Planting $part, FieldNote $note): Planting
    {
        $crop = $this->book->grown($part->item, $part->variety);
        $sign = $note->sign ?? throw CannotBeDone::of('sign', NotDone::NoSign);
        if (!\in_array($sign, Sign::of($crop), true)) {
            throw CannotBeDone::of('sign', NotDone::NoSuchSign);
        }
        $ripening = $crop->growth->anchored ? null : $garden->timing()?->of($crop, $garden->coversOf($part));
        $days = ($crop->timing->daysFor($part->method) ?? 0) * $sign->left();
        $ready = Sign::FitNow === $sign ? $note->day->number : $ripening?->fromStage($part->sow->number, $part->ground->number,
            $part->ground->number, $note->day->number, $sign->left() * $ripening->toCome($part->method))->ready
            ?? $note->day->number + (int) round($days);

        return Reforecast::redated($part, Day::of($ready));
    }

    /** What a metre or so gave is what each metre gives; a sign dates it, too. */
    private function sampled(Garden $garden, Planting $part, FieldNote $note): Planting
    {
        $metres = $note->length?->metres() ?? throw CannotBeDone::of('length', NotDone::NoLength);
        $units = $note->units ?? throw CannotBeDone::of('units', NotDone::NoUnits);
        $found = $part->but(perMetre: $units / $metres / max(0.01, $part->stand));

        return null === $note->sign ? $found : $this->seen($garden, $found, $note);
    }

    /** The first picking sets the day it was ready. What is left of a stock is noted; nothing left ends it. */
    private function picked(Planting $part, FieldNote $note): Planting
    {
        $ready = $note->day->isBefore($part->ready) ? $note->day : $part->ready;
        $clear = $part->clear->isBefore($note->day) ? $note->day : $part->clear;
        $part = $part->but(dates: new Dates($part->sow, $part->ground, $part->bedStart, $ready, $clear));
        if (null === $note->share || !$this->book->grown($part->item, $part->variety)->pattern->isStock()) {
            return 0.0 === $note->share ? self::ended($part, $note) : $part;
        }
        $left = $part->but(left: new Left($note->share, $note->day));

        return 0.0 === $note->share ? self::ended($left, $note) : $left;
    }

    private static function ended(Planting $part, FieldNote $note): Planting
    {
        return $part->but(dates: $part->dates()->endedOn($note->day), standing: Standing::Cleared);
    }

    /** A rough share of what stands is lost; all of it ends the planting. Nought is a warning only. */
    private function lost(Planting $part, FieldNote $note): Planting
    {
        $left = $part->stand * (1.0 - ($note->share ?? 0.0));

        return $left <= 0.0 ? self::ended($part, $note)->but(stand: 0.0) : $part->but(stand: $left);
    }
}
