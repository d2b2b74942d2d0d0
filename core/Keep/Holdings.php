<?php

declare(strict_types=1);

namespace JollyFurrow\Keep;

use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Measure\Quantity;
use JollyFurrow\Measure\Unit;
use JollyFurrow\Message\Message;
use JollyFurrow\Storage\Flaw;
use JollyFurrow\Storage\HarvestLot;
use JollyFurrow\Storage\Ledger;
use JollyFurrow\Storage\ShelfLife;
use JollyFurrow\Storage\StoreNeeds;
use JollyFurrow\Storage\StorePlace;
use JollyFurrow\Time\Day;

/**
 * What lies in store today, lot by lot and place by place, with its last good days: a lot's remaining life is its life at its
 * place times the share not used up, day by day by how warm and damp it was where it lay.
 */
final readonly class Holdings
{
    /** What is warmer or damper by so much is told. */
    private const DEGREES = 2.0;
    private const POINTS = 10;
    private const LATEST = 3650;

    /** @param list<Holding> $all those first that are lost first */
    private function __construct(public array $all)
    {
    }

    public static function of(Garden $garden, CropBook $crops): self
    {
        $days = new DaysUsed($garden, $crops);
        $ledger = Ledger::on($garden->store, $garden->today);
        $handlings = [];
        foreach ($garden->store->handlings as $handling) {
            $handlings[$handling->lot][] = $handling;
        }
        $all = [];
        foreach ($garden->store->harvests as $lot) {
            foreach ($ledger->there[$lot->key] ?? [] as $key => $hundredths) {
                $place = $garden->store->place((string) $key);
                if (null !== $place && ($crops->has($lot->variety) || $crops->has($lot->item))) {
                    $all[] = self::holding($garden, $crops, $lot, $place, $hundredths, Stay::ofLot($lot, $place->key,
                        $handlings[$lot->key] ?? []), $days);
                }
            }
        }
        usort($all, static fn (Holding $a, Holding $b): int => [$a->likely->number, $a->lot->day->number, $a->lot->key, $a->place->key]
            <=> [$b->likely->number, $b->lot->day->number, $b->lot->key, $b->place->key]);

        return new self(self::besideGas($all));
    }

    /** @return list<Holding> */
    public function at(string $place): array
    {
        return array_values(array_filter($this->all, static fn (Holding $h): bool => $h->place->key === $place));
    }

    /** @return array<string, non-empty-list<Holding>> by item */
    public function byItem(): array
    {
        $items = [];
        foreach ($this->all as $holding) {
            $items[$holding->lot->item][] = $holding;
        }

        return $items;
    }

    /** @param list<Stay> $stays */
    private static function holding(Garden $garden, CropBook $crops, HarvestLot $lot, StorePlace $place, int $hundredths, array $stays,
        DaysUsed $days): Holding
    {
        $crop = $crops->grown($lot->item, $lot->variety);
        $needs = $garden->store->keeping->of($crop);
        $life = new ShelfLife($needs);
        $nights = DaysUsed::nights($garden, $lot);
        $intake = $life->intake($lot->flaws, $nights);
        $spent = $days->at($life, $stays, $garden->today);
        $rate = $life->rate($place->celsius, (float) $place->humidity);
        $last = static fn (int $days): Day => $garden->today->plus((int) min(self::LATEST, floor(max(0.0, $days * $intake - $spent)
            / $rate)));

        return new Holding($lot, $crop, $place, $needs, $hundredths, min(1.0, $spent / max(1e-9, $needs->likely * $intake)), $rate,
            $lot->day->plus($needs->traits->goodFrom), $last($needs->least), $last($needs->likely), $last($needs->most),
            self::reasons($garden, $lot, $place, $needs, $nights));
    }

    /**
     * @param list<float> $nights
     *
     * @return list<Message>
     */
    private static function reasons(Garden $garden, HarvestLot $lot, StorePlace $place, StoreNeeds $needs, array $nights): array
    {
        $cold = $needs->isChilled() ? \count(array_filter($nights, static fn (float $low): bool => ShelfLife::coldNight($low) >= 0.5)) : 0;
        $warmth = static fn (float $celsius): Quantity => Quantity::of($celsius, Unit::Celsius);
        $damp = static fn (int $percent): Quantity => Quantity::of($percent, Unit::Percent);
        $off = $place->humidity - $needs->humidity;

        return array_values(array_filter([
            $cold > 0 ? Message::of(KeepReason::ColdNights, nights: $cold) : null,
            ...array_map(static fn (Flaw $flaw): Message => Message::of(KeepReason::CameIn, flaw: $flaw), $lot->flaws),
            $place->celsius > $needs->celsius + self::DEGREES ? Message::of(KeepReason::TooWarm, is: $warmth($place->celsius),
                best: $warmth($needs->celsius)) : null,
            null !== $needs->chill && $place->celsius < $needs->chill ? Message::of(KeepReason::TooCold, is: $warmth($place->celsius),
                limit: $warmth($needs->chill)) : null,
            $needs->isDry() && $off > self::POINTS ? Message::of(KeepReason::TooDamp, is: $damp($place->humidity),
                best: $damp($needs->humidity)) : null,
            !$needs->isDry() && $off < -self::POINTS ? Message::of(KeepReason::TooDry, is: $damp($place->humidity),
                best: $damp($needs->humidity)) : null,
            $garden->today->isBefore($lot->day->plus($needs->traits->goodFrom)) ? Message::of(KeepReason::NotYet,
                from: $lot->day->plus($needs->traits->goodFrom)) : null,
        ]));
    }

    /**
     * @param list<Holding> $all
     *
     * @return list<Holding> with a word where one ripens or spoils another in its room
     */
    private static function besideGas(array $all): array
    {
        return array_map(static function (Holding $h) use ($all): Holding {
            $beside = array_values(array_filter($all, static fn (Holding $o): bool => $o->place->key === $h->place->key
                && $o->needs->harms($h->needs)))[0] ?? null;

            return null === $beside ? $h : new Holding($h->lot, $h->crop, $h->place, $h->needs, $h->hundredths, $h->spent, $h->rate,
                $h->goodFrom, $h->early, $h->likely, $h->late, [...$h->reasons, Message::of(KeepReason::BesideGas,
                    crop: $beside->crop->name)]);
        }, $all);
    }
}
