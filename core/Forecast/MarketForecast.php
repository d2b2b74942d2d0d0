<?php

declare(strict_types=1);

namespace JollyFurrow\Forecast;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Market\Claims;
use JollyFurrow\Market\Sharing;
use JollyFurrow\Need\Need;
use JollyFurrow\Need\Needs;
use JollyFurrow\Planting\Happening;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Supply\Allocation;
use JollyFurrow\Supply\Lot;
use JollyFurrow\Supply\TrueSupply;
use JollyFurrow\Time\Day;

/**
 * What each outlet can have on its market days, of store and field: what is promised and ordered there by who is served first,
 * and what nobody else has a claim on. Three times: with the field late and giving little, as expected, early and giving much.
 */
final readonly class MarketForecast
{
    /** A planting gives a fifth less in one year of ten, and a fifth more in one (own model on common practice, no source). */
    private const YIELD = 0.2;
    /** Half of that is the weather all plantings of a crop share. */
    private const SHARED = 0.5;
    /** A sample pulled halves it. */
    private const SAMPLED = 0.5;

    /** @param list<ForecastLine> $lines by day, outlet and item */
    private function __construct(public array $lines)
    {
    }

    /** From today on for so many days. */
    public static function of(Garden $garden, CropBook $crops, int $days): self
    {
        $end = $garden->today->plus($days);
        $needs = Needs::of($garden, $crops);
        $claims = new Claims($garden);
        $lines = [];
        foreach (self::lots($garden, $crops) as $item => $scenarios) {
            $until = array_values(array_filter($needs->for((string) $item), static fn (Need $n): bool => $n->day < $end->number));
            $there = array_map(static fn (array $lots): array => self::there($garden, $crops->get((string) $item), $until, $lots, $claims,
                $end), $scenarios);
            foreach ($there[1] as $key => [$day, $outlet, $units, $promised]) {
                $amounts = new Amounts($there[0][$key][2], $units, $there[2][$key][2]);
                $amounts->isNothing() && 0 === $promised ?: $lines[] = new ForecastLine(Day::of($day), $outlet, (string) $item,
                    $crops->get((string) $item), $amounts, $promised);
            }
        }
        usort($lines, static fn (ForecastLine $a, ForecastLine $b): int => [$a->day->number, $a->outlet, $a->crop->name, $a->item]
            <=> [$b->day->number, $b->outlet, $b->crop->name, $b->item]);

        return new self($lines);
    }

    /** @return list<ForecastLine> */
    public function forOutlet(string $outlet): array
    {
        return array_values(array_filter($this->lines, static fn (ForecastLine $l): bool => $l->outlet === $outlet));
    }

    /** @return array<string, array{list<Lot>, list<Lot>, list<Lot>}> sure, likely and at best, by item */
    private static function lots(Garden $garden, CropBook $crops): array
    {
        $supply = new TrueSupply($garden, $crops);
        $sampled = [];
        foreach ($garden->notes as $note) {
            Happening::Sampled !== $note->what ?: $sampled[$note->planting] = true;
        }
        $byItem = [];
        foreach ($garden->plantings as $planting) {
            !$crops->has($planting->item) ?: $byItem[$planting->item][] = $planting;
        }
        $lots = array_map(static fn (array $loose): array => [$loose, $loose, $loose], $supply->loose());
        foreach ($byItem as $item => $plantings) {
            $common = self::SHARED + (1 - self::SHARED) / \count($plantings);
            foreach ($plantings as $planting) {
                $spread = self::YIELD * sqrt($common) * (isset($sampled[$planting->key]) ? self::SAMPLED : 1.0);
                $three = self::scenarios($garden, $planting, $crops->grown($item, $planting->variety), $supply->lots($planting), $spread);
                foreach ($three as $n => $some) {
                    $lots[$item][$n] = [...$lots[$item][$n] ?? [], ...$some];
                }
            }
        }

        return $lots;
    }

    /**
     * What lies in store is what it is; the field comes late with little, or early with much.
     *
     * @param list<Lot> $lots
     *
     * @return array{list<Lot>, list<Lot>, list<Lot>}
     */
    private static function scenarios(Garden $garden, Planting $planting, Crop $crop, array $lots, float $spread): array
    {
        $ready = ReadyDays::of($garden, $planting, $crop);
        $moved = static fn (int $days, float $times): array => array_map(static fn (Lot $lot): Lot => null !== $lot->goodUntil ? $lot
            : new Lot($lot->planting, $lot->from + $days, max($lot->to, $lot->from) + ($crop->pattern->isStock() ? max(0, $days) : $days),
                $lot->units * $times, $lot->weeklyLoss), $lots);

        return [$moved($ready->late - $ready->likely, 1 - $spread), $lots, $moved($ready->early - $ready->likely, 1 + $spread)];
    }

    /**
     * @param list<Need> $needs
     * @param list<Lot>  $lots
     *
     * @return array<string, array{int, string, int, int}> day, outlet, units it can have, units it was promised
     */
    private static function there(Garden $garden, Crop $crop, array $needs, array $lots, Claims $claims, Day $end): array
    {
        $allocation = Allocation::of($needs, $lots);
        $given = $promised = $there = [];
        $carry = [];
        foreach ($needs as $n => $need) {
            $shared = Sharing::of($allocation->served[$n], $claims->of($crop->item(), $need), $carry);
            $carry = $shared->carry;
            foreach ($need->byOutlet as $outlet => $units) {
                $given[$need->day][$outlet] = $shared->given[$outlet] ?? 0;
                $promised[$need->day][$outlet] = $units;
            }
        }
        foreach ($garden->outlets as $outlet) {
            foreach ($outlet->days->between($garden->today, $end->plus(-1)) as $day) {
                $free = 0;
                foreach ($allocation->lots as $l => $lot) {
                    $free += !$lot->isGone && $lot->serves($day->number, $outlet->reach($crop->produce))
                        ? (int) floor($allocation->left[$l] + 1e-9) : 0;
                }
                $there[$day->number.' '.$outlet->key] = [$day->number, $outlet->key, $free
                    + ($given[$day->number][$outlet->key] ?? 0), $promised[$day->number][$outlet->key] ?? 0];
            }
        }

        return $there;
    }
}
