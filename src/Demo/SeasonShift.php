<?php

declare(strict_types=1);

namespace App\Demo;

use JollyFurrow\Diary\About;
use JollyFurrow\Diary\Diary;
use JollyFurrow\Diary\Mark;
use JollyFurrow\Diary\OwnJob;
use JollyFurrow\Diary\SeedLot;
use JollyFurrow\Diary\TaskId;
use JollyFurrow\Diary\Worker;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Garden\RestingBed;
use JollyFurrow\Land\PastCrop;
use JollyFurrow\Maturity\PlaceClimate;
use JollyFurrow\Planting\FieldNote;
use JollyFurrow\Planting\Left;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Promise\Promise;
use JollyFurrow\Shelter\Protection;
use JollyFurrow\Soil\SoilBook;
use JollyFurrow\Soil\SoilTest;
use JollyFurrow\Soil\Spread;
use JollyFurrow\Time\Day;
use JollyFurrow\Time\Period;

/**
 * Moves a garden file by whole weeks, the nearest to whole years, so that its season is the one a day falls in.
 * Weekdays stay, so market days stay market days.
 */
final class SeasonShift
{
    public function toSeasonOf(Garden $garden, Day $day): Garden
    {
        $days = 7 * (int) round(365.2425 * intdiv(max(0, $day->since($garden->today)), 365) / 7);
        if ($day->isBefore($garden->today)) {
            $days = -7 * (int) round(365.2425 * (1 + intdiv($garden->today->since($day) - 1, 365)) / 7);
        }

        return 0 === $days ? $garden : $this->by($garden, $days);
    }

    private function by(Garden $g, int $days): Garden
    {
        $later = static fn (Period $p): Period => Period::fromFirstToLast($p->start->plus($days), $p->last()->plus($days));

        return new Garden(
            $g->name,
            $g->today->plus($days),
            $g->place,
            $g->settings->ruledBy($g->settings->rules->resting(array_map(static fn (array $rests): array => array_map(static fn (RestingBed $r): RestingBed => new RestingBed($later($r->days), $r->why), $rests),
                $g->settings->rules->resting))),
            $g->blocks,
            $g->beds,
            array_map(static fn (PastCrop $p): PastCrop => new PastCrop($p->stretch, $p->crop, $p->cleared->plus($days)), $g->history),
            $g->outlets,
            $g->products,
            array_map(static fn (Promise $p): Promise => new Promise($p->outlet, $p->product, $p->day->plus($days), $p->quantity),
                $g->promises),
            array_map(static fn (Planting $p): Planting => new Planting(
                self::key($p->key, $days), $p->item, $p->method, $p->place, $p->recipe,
                $p->sow->plus($days), $p->ground->plus($days), $p->bedStart->plus($days), $p->ready->plus($days), $p->clear->plus($days),
                $p->perMetre, $p->pieces, $p->standing, $p->locked, $p->remarks, $p->stand, null === $p->left ? null
                    : new Left($p->left->share, $p->left->since->plus($days)), $p->variety, $p->harvest,
                $p->careLeftOut), $g->plantings->all()),
            array_map(static fn (FieldNote $n): FieldNote => new FieldNote(self::key($n->planting, $days), $n->what,
                $n->day->plus($days), $n->length, $n->share, $n->units, $n->words, $n->sign), $g->notes),
            new PlaceClimate($g->climate->climate, $g->climate->months, $g->climate->record,
                $g->climate->frost, $g->climate->measured->later($days), $g->climate->isTimedByIt, null, $g->climate->filledBy),
            array_map(static fn (Protection $p): Protection => '' === $p->planting ? Protection::overBed($p->bed, $p->cover,
                $p->purpose, $later($p->days)) : Protection::overPlanting(self::key($p->planting, $days), $p->cover, $p->purpose,
                    $later($p->days)), $g->protections),
            $g->own,
            $g->recipes,
            null,
            new Diary(array_map(static fn (Mark $m): Mark => new Mark($m->task, $m->kind, $m->day->plus($days), $m->length, $m->minutes,
                $m->who, $m->words, $m->until?->plus($days), $m->count), self::shifted($g->diary->marks, $days)),
                array_map(static fn (Worker $w): Worker => new Worker($w->name, $w->hours, array_map($later, $w->away)),
                    $g->diary->workers),
                array_map(static fn (OwnJob $j): OwnJob => new OwnJob($j->key, $j->words, $j->block, $j->bears, $j->hours, $j->wait,
                    $j->first->plus($days), $j->every, $j->last?->plus($days)), $g->diary->ownJobs), $g->diary->ownCare,
                array_map(static fn (SeedLot $l): SeedLot => new SeedLot($l->key, $l->variety, $l->grams,
                    $l->counted->plus($days), $l->year + intdiv($days, 365), $l->germination, $l->supplier, $l->packet, $l->cents,
                    $l->setting, $l->dressing),
                    $g->diary->seedLots)),
            self::soil($g->soil, $days),
            StoreShift::store($g->store, $days),
            StoreShift::sprays($g->sprays, $days),
            MarketShift::of($g->market, $days),
        );
    }

    private static function soil(SoilBook $soil, int $days): SoilBook
    {
        $spreads = array_map(static fn (Spread $s): Spread => new Spread(self::key($s->key, $days), $s->bed, $s->day->plus($days),
            $s->product,
            $s->kg, $s->percent, $s->release, $s->heat, $s->area, $s->workedIn?->plus($days)), $soil->spreads);

        return new SoilBook(array_map(static fn (SoilTest $t): SoilTest => $t->on($t->day->plus($days)), $soil->tests), $soil->shed,
            $spreads,
            $soil->valves, $soil->rules);
    }

    /**
     * Of plantings, whose names carry their sowing days; days in the names of other tasks stay behind.
     *
     * @param list<Mark> $marks
     *
     * @return list<Mark>
     */
    private static function shifted(array $marks, int $days): array
    {
        return array_values(array_map(static fn (Mark $m): Mark => new Mark(TaskId::ofPlanting(self::key($m->task->of, $days),
            $m->task->step), $m->kind, $m->day, $m->length, $m->minutes, $m->who, $m->words, $m->until, $m->count),
            array_filter($marks, static fn (Mark $m): bool => About::Planting === $m->task->about)));
    }

    /** A planting's name carries its sowing day. */
    public static function key(string $key, int $days): string
    {
        return (string) preg_replace_callback('/@(\d{4}-\d\d-\d\d)/',
            static fn (array $m): string => '@'.Day::parse($m[1])->plus($days)->iso(), $key);
    }
}
