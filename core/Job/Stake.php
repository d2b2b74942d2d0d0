<?php

declare(strict_types=1);

namespace JollyFurrow\Job;

use JollyFurrow\Measure\Unit;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Task\Site;
use JollyFurrow\Task\Task;
use JollyFurrow\Task\TaskKind;
use JollyFurrow\Working\From;
use JollyFurrow\Working\Input;
use JollyFurrow\Working\Source;
use JollyFurrow\Working\Sum;
use JollyFurrow\Working\Working;

/** How the hours of a task and what it costs to leave it come about. */
final readonly class Stake
{
    /** What it costs not to do it at all; null: nothing is sold of it, or it costs nothing. */
    public static function costs(Task $task, Site $site): ?Working
    {
        $planting = $task->planting;
        if (null === $planting || $task->cents <= 0.0) {
            return null;
        }
        $ofPick = TaskKind::Pick === $task->kind;
        $units = $ofPick ? $task->units : $planting->yieldPerMetre() * $planting->bedMetres();
        $share = $ofPick ? 1.0 : $site->book->of($task->kind)->missCosts;

        return Working::of(Sum::JobLeft, $share * $units * $site->unitWorth($planting), Unit::Cent, 'share * units * price', [
            Input::of('share', $share, Unit::Share, Source::model(From::JobKinds)),
            Input::of('units', $units, Unit::None, Source::garden(From::ThePlanting)),
            Input::of('price', $site->unitWorth($planting), Unit::Cent, Source::garden(From::ThePlan)),
        ], Source::model(From::JobKinds));
    }

    /** Null: the hours are those of its recipe, rule or own job. */
    public static function hours(Task $task, Site $site): ?Working
    {
        $facts = $site->book->of($task->kind);
        $isByKind = $facts->once + $facts->perMetre + $facts->perTray + $facts->perUnit > 0.0;
        if (!$isByKind || !$task->planting instanceof Planting) {
            return null;
        }
        $isTrays = $task->kind->isInNursery();
        $source = Source::model(From::JobKinds);

        return Working::of(Sum::JobHours, $facts->hours($task->length, $isTrays ? $task->units : 0.0, $isTrays ? 0.0 : $task->units),
            Unit::Hour, 'once + per100 * metres / 100 + perTray * trays + perUnit * units', [
            Input::of('once', $facts->once, Unit::Hour, $source),
            Input::of('per100', 100 * $facts->perMetre, Unit::HourPer100Metres, $source),
            Input::of('metres', $task->length->metres(), Unit::Metre, Source::garden(From::ThePlanting)),
            Input::of('perTray', $facts->perTray, Unit::Hour, $source),
            Input::of('trays', $isTrays ? $task->units : 0.0, Unit::None, Source::garden(From::ThePlanting)),
            Input::of('perUnit', $facts->perUnit, Unit::Hour, $source),
            Input::of('units', $isTrays ? 0.0 : $task->units, Unit::None, Source::garden(From::ThePlanting)),
        ], $source);
    }
}
