<?php

declare(strict_types=1);

namespace App\Problems;

use App\Nursery\BenchMends;
use App\Wording\Sayer;
use JollyFurrow\Bench\BenchLoad;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Hand\BedPlace;
use JollyFurrow\Hand\ByHand;
use JollyFurrow\Hand\CannotBeDone;
use JollyFurrow\Hand\LateBed;
use JollyFurrow\Hand\WhereTo;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Time\Day;
use JollyFurrow\Why\Mending;
use JollyFurrow\Why\MendWay;

/** What can be done about a problem by one press on the wall; each is one change, or two, of its draft. */
final readonly class WaysOut
{
    private const SHOWN = 3;
    private const LATEST = 28;

    public function __construct(private CropBook $book, private RecipeBook $recipes, private Sayer $sayer)
    {
    }

    /** @return list<WayOut> the best first; none: only its own page helps */
    public function of(Garden $garden, ProblemKind $kind, string $about): array
    {
        $planting = $garden->plantings->get($about);

        return match (true) {
            ProblemKind::Short === $kind => $this->book->hasItem($about) ? $this->mends($garden, $about) : [],
            ProblemKind::Bench === $kind => $this->offTheBench($garden),
            null === $planting => [],
            ProblemKind::Late === $kind => [...$this->later($garden, $planting), $this->without($planting)],
            ProblemKind::BedNotReady === $kind => $this->lateBed($garden, $planting),
            ProblemKind::Barred === $kind, ProblemKind::Bent === $kind => [...$this->elsewhere($garden, $planting),
                ...ProblemKind::Barred === $kind ? [$this->without($planting)] : []],
            ProblemKind::Frost === $kind => [new WayOut('Cover it …', [], route: 'planting_cover'), ...$this->sooner($garden, $planting)],
            default => [],
        };
    }

    /** @return list<WayOut> */
    private function mends(Garden $garden, string $item): array
    {
        $ways = [];
        foreach ((new Mending($garden, $this->book, $this->recipes))->of($item) as $mend) {
            $changes = $this->changes($garden, $mend);
            if ([] !== $changes && \count($ways) < self::SHOWN) {
                $crop = $this->book->get($item);
                $new = $mend->new[0] ?? null;
                $ways[] = new WayOut(\sprintf('%s%s: %s more', ucfirst($this->sayer->text($mend->kind)), null === $new ? ''
                    : \sprintf(', bed %s, %s',
                        implode(' + ', array_column($new->pieces, 'bed')), $this->sayer->shortDay($new->sow)),
                    $this->sayer->goods($crop->produce->goods((float)
                    $mend->units))), $changes, $mend->gain());
            }
        }

        return $ways;
    }

    /** @return list<array<string, string>> none: it is no change of plantings */
    private function changes(Garden $garden, MendWay $mend): array
    {
        $changes = [];
        foreach ($mend->old as $old) {
            $same = array_values(array_filter($mend->new, static fn (Planting $p): bool => $p->key === $old->key))[0] ?? null;
            $changes[] = null === $same ? ['do' => 'delete', 'planting' => $old->key] : ['do' => 'length', 'planting' => $old->key,
                'length' => $garden->settings->units->long($same->length())];
        }
        $there = array_map(static fn (Planting $p): string => $p->key, $mend->old);
        foreach ($mend->new as $new) {
            if (!\in_array($new->key, $there, true) && isset($new->pieces[0])) {
                $changes[] = ['do' => 'add', 'item' => $new->item, 'variety' => $new->variety, 'method' => $new->method->value,
                    'when' => $new->sow->iso(), 'bed' => $new->pieces[0]->bed, 'length' => $garden->settings->units->long($new->length())];
            }
        }

        return $changes;
    }

    /** @return list<WayOut> on the next sowing days on which it may still be sown where it is, or on another bed */
    private function later(Garden $garden, Planting $planting): array
    {
        $ways = [];
        for ($day = $garden->today; $day->since($garden->today) < self::LATEST && \count($ways) < self::SHOWN - 1; $day = $day->plus(1)) {
            if (!\in_array($day->weekday(), $garden->settings->sowingDays, true)) {
                continue;
            }
            $bed = $this->firstBed($garden, $planting, $day);
            if (null !== $bed) {
                $ways[] = new WayOut(\sprintf('Sow it on %s, bed %s', $this->sayer->shortDay($day), $bed), [['do' => 'move',
                    'planting' => $planting->key, 'when' => $day->iso(), 'bed' => $bed]]);
            }
        }

        return $ways;
    }

    /** Its own where it may stand there then, else the first it may without bending a rule. */
    private function firstBed(Garden $garden, Planting $planting, Day $day): ?string
    {
        try {
            $moved = (new ByHand($this->book, $this->recipes))->sowOn($garden, $planting, $day);
        } catch (CannotBeDone) {
            return null;
        }
        $may = array_filter(WhereTo::of($garden, $this->book, $this->recipes, $moved)->beds,
            static fn (BedPlace $p): bool => $p->isPossible() && !$p->bends());

        return isset($may[$planting->pieces[0]->bed ?? '']) ? $planting->pieces[0]->bed : array_key_first($may);
    }

    /** @return list<WayOut> other beds it may stand on with its days and no rule bent */
    private function elsewhere(Garden $garden, Planting $planting): array
    {
        $ways = [];
        foreach (WhereTo::of($garden, $this->book, $this->recipes, $planting)->beds as $bed => $place) {
            if ($place->isPossible() && !$place->bends() && $bed !== ($planting->pieces[0]->bed ?? '') && \count($ways) < self::SHOWN - 1) {
                $ways[] = new WayOut('Move it to bed '.$bed, [['do' => 'move', 'planting' => $planting->key, 'bed' => (string) $bed]]);
            }
        }

        return $ways;
    }

    /** @return list<WayOut> sown on an earlier day that may still be, on its bed */
    private function sooner(Garden $garden, Planting $planting): array
    {
        $ways = [];
        for ($n = 7; Standing::Planned === $planting->standing && $n <= self::LATEST && \count($ways) < self::SHOWN - 1; $n += 7) {
            $day = $planting->sow->plus(-$n);
            $bed = $day->isBefore($garden->today) ? null : $this->firstBed($garden, $planting, $day);
            null === $bed ?: $ways[] = new WayOut(\sprintf('Sow it on %s, bed %s', $this->sayer->shortDay($day), $bed), [['do' => 'move',
                'planting' => $planting->key, 'when' => $day->iso(), 'bed' => $bed]]);
        }

        return $ways;
    }

    /** @return list<WayOut> what stands on the full bench and is large enough goes out sooner */
    private function offTheBench(Garden $garden): array
    {
        $week = BenchLoad::of($garden, $this->book)->full();
        $ways = [];
        foreach (null === $week ? [] : BenchMends::of($garden, $this->book, $week) as $mend) {
            if (Standing::InNursery === $mend->planting->standing) {
                $ways[] = new WayOut(\sprintf('%s out on %s, %s trays', $this->book->get($mend->planting->item)->name,
                    $this->sayer->shortDay($mend->from), round($mend->trays)), [['do' => 'move', 'planting' => $mend->planting->key,
                        'when' => $mend->from->iso()]]);
            }
        }

        return $ways;
    }

    /** @return list<WayOut> a quicker preparation, another bed, or later */
    private function lateBed(Garden $garden, Planting $planting): array
    {
        $late = array_values(array_filter(LateBed::all($garden, $this->book, $this->recipes),
            static fn (LateBed $l): bool => $l->planting->key === $planting->key))[0] ?? null;
        $ways = [];
        if (null !== $late?->quicker) {
            $ways[] = new WayOut('Quicker: '.($late->by->name ?? ''), [['do' => 'recipe', 'planting' => $planting->key,
                'recipe' => $late->quicker->recipe]]);
        }
        if (null !== $late?->elsewhere) {
            $ways[] = new WayOut('The same day on bed '.$late->elsewhere->pieces[0]->bed, [['do' => 'move', 'planting' => $planting->key,
                'bed' => $late->elsewhere->pieces[0]->bed]]);
        }
        if (null !== $late?->later) {
            $isSown = Standing::Planned !== $planting->standing;
            $day = $isSown ? $late->later->ground : $late->later->sow;
            $ways[] = new WayOut(\sprintf('%s on %s', $isSown ? 'Plant it out' : 'Sow it', $this->sayer->shortDay($day)), [['do' => 'move',
                'planting' => $planting->key, 'when' => $day->iso()]]);
        }

        return $ways;
    }

    private function without(Planting $planting): WayOut
    {
        return new WayOut('Take it out of the plan', [['do' => 'delete', 'planting' => $planting->key]]);
    }
}
