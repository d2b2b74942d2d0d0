<?php

declare(strict_types=1);

namespace JollyFurrow\Work;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\Method;
use JollyFurrow\Crop\Pattern;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Harvest\Seasons;
use JollyFurrow\Message\Message;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Preparation\Leads;
use JollyFurrow\Recipe\Recipe;
use JollyFurrow\Time\Day;

/** The next job a planting asks for, and the day it is due. */
final readonly class NextStep
{
    private function __construct(public Message $job, public Day $day, public bool $isLate)
    {
    }

    /** A perennial is picked in its season, year after year, and never cleared by a plan. */
    public static function of(Planting $planting, Recipe $recipe, Garden $garden, ?Crop $crop = null): ?self
    {
        $today = $garden->today;
        if (Standing::Growing === $planting->standing && Pattern::Perennial === $crop?->pattern) {
            $season = Seasons::at($planting, $crop->rhythm, $today);

            return new self(Message::of(NextJob::Pick), $season->start->isBefore($today) ? $today : $season->start, false);
        }

        return match ($planting->standing) {
            Standing::Planned => self::toBegin($planting, $recipe, $garden),
            Standing::InNursery => self::due(Message::of(NextJob::PlantOut), $planting->ground, $today),
            Standing::Growing => self::toHarvest($planting, $today),
            Standing::Cleared => null,
        };
    }

    private static function toBegin(Planting $planting, Recipe $recipe, Garden $garden): self
    {
        $today = $garden->today;
        $steps = [[self::sow($planting), $planting->sow]];
        foreach ((new Leads($garden))->dated($recipe, $planting) as $dated) {
            $steps[] = [Message::of(NextJob::Step, step: $dated->step->name), $dated->day];
        }
        usort($steps, static fn (array $a, array $b): int => $a[1]->number <=> $b[1]->number);
        foreach ($steps as [$job, $day]) {
            if (!$day->isBefore($today)) {
                return $planting->sow->isBefore($today) ? self::due($steps[0][0], $planting->sow, $today) : self::due($job, $day, $today);
            }
        }

        return self::due(self::sow($planting), $planting->sow, $today);
    }

    private static function toHarvest(Planting $planting, Day $today): self
    {
        return match (true) {
            $today->isBefore($planting->ready) => new self(Message::of(NextJob::Pick), $planting->ready, false),
            !$planting->clear->isBefore($today) => new self(Message::of(NextJob::PickThenClear), $planting->clear, false),
            default => new self(Message::of(NextJob::Clear), $planting->clear, true),
        };
    }

    private static function sow(Planting $planting): Message
    {
        return Message::of(Method::Sown === $planting->method ? NextJob::SowInTheBed : NextJob::SowInTrays);
    }

    private static function due(Message $job, Day $day, Day $today): self
    {
        return new self($job, $day, $day->isBefore($today));
    }
}
