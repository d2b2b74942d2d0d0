<?php

declare(strict_types=1);

namespace JollyFurrow\Season;

use JollyFurrow\Climate\Cover;
use JollyFurrow\Climate\CoverCalendar;
use JollyFurrow\Climate\FrostGrade;
use JollyFurrow\Crop\Crop;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Maturity\Ripeness;
use JollyFurrow\Message\Message;
use JollyFurrow\Time\Day;

/** Tender crops against the odds of frost: planted before the last, or not ready before the first. */
final class FrostWarning
{
    private const ODDS = [Odds::NineYearsInTen, Odds::EverySecondYear, Odds::OneYearInTen];

    /** @return list<Message> */
    public static function of(Garden $garden, Crop $crop, Cover|CoverCalendar $cover, Ripeness $ripe): array
    {
        $covers = $cover instanceof Cover ? CoverCalendar::always($cover) : $cover;
        if (!$crop->tender || null === $garden->climate) {
            return [];
        }
        $warnings = [];
        $south = $garden->place->latitude < 0;
        foreach (self::ODDS as $odds) {
            $last = $garden->climate->frost->day(FrostGrade::Light, 'last', $odds->share(), Day::of($ripe->ground)->year(), $south);
            if (Cover::None === $covers->at($ripe->ground) && null !== $last && $ripe->ground <= $last->number
                && $last->number - $ripe->ground < 183) {
                $warnings[] = Message::of(Against::OutBeforeFrost, day: $last, odds: $odds);
                break;
            }
        }
        foreach (self::ODDS as $odds) {
            $first = $garden->climate->frost->day(FrostGrade::Light, 'first', $odds->share(), Day::of($ripe->ground)->year(), $south);
            if (Cover::None === $covers->at($ripe->ready) && null !== $first && $ripe->ready >= $first->number
                && $first->number > $ripe->ground) {
                $warnings[] = Message::of(Against::ReadyAfterFrost, day: $first, odds: $odds);
                break;
            }
        }

        return $warnings;
    }
}
