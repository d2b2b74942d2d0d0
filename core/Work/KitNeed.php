<?php

declare(strict_types=1);

namespace JollyFurrow\Work;

use JollyFurrow\Garden\Garden;
use JollyFurrow\Land\Bed;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Measure\Length;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Preparation\DatedStep;
use JollyFurrow\Preparation\Leads;
use JollyFurrow\Recipe\Kit;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Shelter\Cover;
use JollyFurrow\Time\Day;

/**
 * Reusable kit by week: the most metres lying on beds on any day of it. A metre of bed counts once a day, whatever asks for
 * it; of drip lines, as often as the bed is wide enough for.
 */
final class KitNeed
{
    private const WEEKS = 26;

    /** @return array<string, array<int, float>> kit => Monday's day number => metres; only kit that is used */
    public static function byWeek(Garden $garden, RecipeBook $recipes, ?CareCalendar $care = null): array
    {
        $monday = $garden->today->plus(1 - $garden->today->weekday()->value)->number;
        $byDay = [];
        $lines = array_map(static fn (Bed $bed): int => DripLines::on($bed->width), $garden->bedsByName());
        foreach (self::uses($garden, $recipes, $care) as [$kit, $stretch, $from, $to]) {
            for ($day = max($monday, $from); $day <= min($to, $monday + 7 * self::WEEKS - 1); ++$day) {
                $byDay[$kit->value][$day][$stretch->bed][] = [$stretch->from, $stretch->to];
            }
        }
        $need = [];
        foreach ($byDay as $kit => $days) {
            $need[$kit] = array_fill_keys(range($monday, $monday + 7 * (self::WEEKS - 1), 7), 0.0);
            foreach ($days as $day => $beds) {
                $week = $day - ($day - $monday) % 7;
                $need[$kit][$week] = max($need[$kit][$week] ?? 0.0,
                    array_sum(array_map(static fn (string|int $bed,
                        array $laid): float => self::covered($laid) / Length::METRE * (Kit::Drip->value === $kit ? $lines[$bed] ?? 1 : 1), array_keys($beds), $beds)));
            }
        }

        return $need;
    }

    /** @return list<array{Kit, Stretch, int, int}> kit, where, first and last day */
    private static function uses(Garden $garden, RecipeBook $recipes, ?CareCalendar $care): array
    {
        $leads = new Leads($garden);
        $uses = [];
        foreach ($garden->plantings as $planting) {
            if ($planting->isOver($garden->today)) {
                continue;
            }
            foreach ($planting->pieces as $piece) {
                foreach ([...self::laid($leads, $recipes, $planting), ...($care?->supports($planting) ?? [])] as [$kit, $from, $to]) {
                    $uses[] = [$kit, $piece, $from->number, $to->number];
                }
            }
        }
        foreach ($garden->protections as $protection) {
            foreach (self::under($garden, $protection->bed, $protection->planting) as $stretch) {
                foreach (self::kitOf($protection->cover) as $kit) {
                    $uses[] = [$kit, $stretch, $protection->days->start->number, $protection->days->last()->number];
                }
            }
        }

        return $uses;
    }

    /** @return list<array{Kit, Day, Day}> what the preparation lays, until it is taken up or the bed is cleared */
    private static function laid(Leads $leads, RecipeBook $recipes, Planting $planting): array
    {
        $steps = $recipes->has($planting->recipe) ? $leads->dated($recipes->get($planting->recipe), $planting) : [];
        $laid = [];
        foreach ($steps as $step) {
            if (null !== $step->step->lays) {
                $up = array_values(array_filter($steps, static fn (DatedStep $s): bool => $s->step->lifts === $step->step->lays));
                $laid[] = [$step->step->lays, $step->day, [] === $up ? $planting->clear : $up[0]->day];
            }
        }

        return $laid;
    }

    /** @return list<Stretch> */
    private static function under(Garden $garden, string $bed, string $planting): array
    {
        if ('' !== $bed) {
            return isset($garden->bedsByName()[$bed]) ? [Stretch::of($bed, 0, $garden->bedsByName()[$bed]->length->micrometres)] : [];
        }

        return array_merge([], ...array_map(static fn (Planting $p): array => $p->key === $planting ? $p->pieces : [],
            $garden->plantings->all()));
    }

    /** @return list<Kit> */
    private static function kitOf(Cover $cover): array
    {
        return match ($cover) {
            Cover::RowCover, Cover::TunnelCovered => [Kit::RowCover],
            Cover::LowTunnel => [Kit::Hoops, Kit::RowCover],
            Cover::None, Cover::Tunnel, Cover::Heated => [],
        };
    }

    /**
     * Micrometres of one bed under at least one of the stretches.
     *
     * @param list<array{int, int}> $stretches
     */
    private static function covered(array $stretches): int
    {
        sort($stretches);
        $covered = $reach = 0;
        foreach ($stretches as [$from, $to]) {
            $covered += max(0, $to - max($from, $reach));
            $reach = max($reach, $to);
        }

        return $covered;
    }
}
