<?php

declare(strict_types=1);

namespace JollyFurrow\WhatIf;

use JollyFurrow\Garden\Garden;
use JollyFurrow\Land\Bed;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Promise\MarketDays;
use JollyFurrow\Promise\Outlet;
use JollyFurrow\Promise\Promise;
use JollyFurrow\Sale\BoxSize;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Time\Weekday;

/** "A second market", "forty more boxes", "no tunnels": a garden with other promises or beds from its day on. Nothing else changes. */
final readonly class Question
{
    /** A market of its own is served after all others. */
    private const LAST = 1;
    private const SECOND = '-two';

    /** @param float $share of what the outlet is promised: 1.5 is half as much again, at a second market 0.6 is six tenths of it */
    private function __construct(public QuestionKind $kind, public string $outlet = '', public float $share = 1.0,
        public ?Weekday $weekday = null, public ?PlaceType $place = null)
    {
    }

    public static function asItIs(): self
    {
        return new self(QuestionKind::AsItIs);
    }

    public static function moreOf(string $outlet, float $share): self
    {
        return new self(QuestionKind::MoreOf, $outlet, $share);
    }

    /** So many boxes more. */
    public static function moreBoxes(Garden $garden, string $outlet, int $boxes): self
    {
        $shares = array_sum(array_map(static fn (BoxSize $s): int => $s->shares(), $garden->market->sizesOf($outlet)));

        return self::moreOf($outlet, $shares > 0 ? ($shares + $boxes) / $shares : 1.0);
    }

    public static function secondMarket(string $like, Weekday $weekday, float $share): self
    {
        return new self(QuestionKind::SecondMarket, $like, $share, $weekday);
    }

    public static function without(PlaceType $place): self
    {
        return new self(QuestionKind::WithoutPlace, place: $place);
    }

    public function asked(Garden $garden): Garden
    {
        return match ($this->kind) {
            QuestionKind::AsItIs => $garden,
            QuestionKind::MoreOf => $this->more($garden),
            QuestionKind::SecondMarket => $this->second($garden),
            QuestionKind::WithoutPlace => $this->withoutPlace($garden),
        };
    }

    private function more(Garden $garden): Garden
    {
        return $garden->promising(array_map(fn (Promise $p): Promise => $p->outlet === $this->outlet && !$p->day->isBefore($garden->today)
            ? new Promise($p->outlet, $p->product, $p->day, self::whole($p->quantity * $this->share)) : $p, $garden->promises));
    }

    /** In the same weeks as the one it is like, on its own day. */
    private function second(Garden $garden): Garden
    {
        $like = array_values(array_filter($garden->outlets, fn (Outlet $o): bool => $o->key === $this->outlet))[0] ?? null;
        if (null === $like || null === $this->weekday) {
            return $garden;
        }
        $last = max([0, ...array_map(static fn (Outlet $o): int => $o->priority, $garden->outlets)]) + self::LAST;
        $second = new Outlet(substr($like->key, 0, 50).self::SECOND, $like->name.' 2', MarketDays::every($this->weekday)->butNot(
            $like->days->closed), $last, $like->pickWindowDays, $like->pickToSaleDays);
        $promises = [];
        foreach ($garden->promises as $p) {
            $day = $p->day->week()->monday()->plus($this->weekday->value - 1);
            if ($p->outlet === $like->key && !$day->isBefore($garden->today) && $second->days->isOpenOn($day)) {
                $before = $promises[$p->product.' '.$day->number]->quantity ?? 0.0;
                $promises[$p->product.' '.$day->number] = new Promise($second->key, $p->product, $day, $before + self::whole($p->quantity
                    * $this->share));
            }
        }

        return $garden->offering([...$garden->outlets, $second])->promising([...$garden->promises, ...array_values(array_filter($promises,
            static fn (Promise $p): bool => $p->quantity > 0.0))]);
    }

    /** What stands there stays to its end; nothing more is planted, and what was planned there is given up. */
    private function withoutPlace(Garden $garden): Garden
    {
        $gone = [];
        $beds = [];
        foreach ($garden->beds as $bed) {
            $isIt = $bed->place === $this->place && null === $bed->retired;
            $isIt ? $gone[$bed->name] = true : null;
            $beds[] = $isIt ? new Bed($bed->name, $bed->block, $bed->position, $bed->length, $bed->width, $bed->path, $bed->place,
                $bed->temper, $bed->quarantine, $garden->today) : $bed;
        }
        $stays = $garden->plantings->where(static fn (Planting $p): bool => Standing::Planned !== $p->standing
            || [] === array_filter($p->pieces, static fn ($piece): bool => isset($gone[$piece->bed])));

        return $garden->onBeds($beds)->with($stays);
    }

    /** Halves of what is small stay halves. */
    private static function whole(float $quantity): float
    {
        return $quantity < 10.0 ? round(2 * $quantity) / 2 : round($quantity);
    }
}
