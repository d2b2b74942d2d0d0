<?php

declare(strict_types=1);

namespace JollyFurrow\Boxes;

use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Market\ComingLine;
use JollyFurrow\Sale\BoxSize;
use JollyFurrow\Sale\BoxWeek;
use JollyFurrow\Time\Day;

/** This week's boxes of an outlet as a problem: what there is, for whom, and who has had what how often. */
final readonly class BoxNeeds
{
    private const WEEK = 7;
    /** Kinds a box of a money unit's worth should hold: one for each so many cents (own model). */
    private const CENTS_A_KIND = 250;
    private const STORED = 0.25;
    private const KEEPS = 0.6;

    /**
     * @param list<BoxItem>  $items
     * @param list<BoxClass> $classes
     */
    private function __construct(public array $items, public array $classes)
    {
    }

    /**
     * @param list<ComingLine>   $coming for the day
     * @param list<BoxWeek>|null $packed null: those of the garden
     * @param array<string, int> $used   units of what keeps that go into boxes before
     */
    public static function of(Garden $garden, CropBook $crops, string $outlet, Day $day, array $coming, ?array $packed = null,
        array $used = []): self
    {
        $packed ??= $garden->market->boxes;
        $sizes = $garden->market->sizesOf($outlet);
        $smallest = min([\PHP_INT_MAX, ...array_map(static fn ($s): int => max(1, $s->price->cents), $sizes)]);
        $items = [];
        foreach ($coming as $line) {
            $units = $line->likely - ($used[$line->product->key] ?? 0);
            if ($units > 0 && $line->price->each->cents > 0) {
                // A box that costs twice as much has twice as much of what is cheap.
                $each = [];
                foreach ($sizes as $size) {
                    $each[$size->key] = max(1, (int) floor($size->price->cents / $smallest + 0.25));
                }
                $items[] = new BoxItem($line->product->key, $units, (float) $line->price->each->cents, self::use($crops, $line),
                    $line->price->each->cents < $smallest / 4 ? $each : []);
            }
        }
        $classes = [];
        foreach ($sizes as $size) {
            foreach ($size->groups as $group => $shares) {
                $had = $weeks = [];
                foreach ($packed as $week) {
                    $in = $week->outlet === $outlet && $week->day->isBefore($day) && self::isThisSeason($week, $day)
                        ? $week->contents[$size->key.'/'.$group] ?? [] : [];
                    foreach ($in as $product => $units) {
                        $had[$product] = ($had[$product] ?? 0) + (int) ($units > 0);
                        $weeks[$product] = max(1, intdiv($day->since($week->day), self::WEEK));
                    }
                }
                $shares < 1 ?: $classes[] = new BoxClass($size->key, $group, $shares, (float) $size->price->cents, max(3, intdiv(
                    $size->price->cents, self::CENTS_A_KIND)), $had, $weeks, self::resting($size, $weeks));
            }
        }

        return new self($items, $classes);
    }

    /**
     * Not again so soon.
     *
     * @param array<string, int> $weeks since it was last given
     *
     * @return list<string>
     */
    private static function resting(BoxSize $size, array $weeks): array
    {
        return array_map('strval', array_keys(array_filter($size->rests, static fn (int $rest,
            string|int $product): bool => ($weeks[$product]
            ?? \PHP_INT_MAX) < $rest, \ARRAY_FILTER_USE_BOTH)));
    }

    /** A season of boxes begins with the year. */
    private static function isThisSeason(BoxWeek $week, Day $day): bool
    {
        return $week->day->year() === $day->year();
    }

    private static function use(CropBook $crops, ComingLine $line): float
    {
        $use = 1.0;
        foreach ($line->product->parts as $part) {
            $produce = $crops->get($part->item)->produce;
            $use = min($use, $produce->stored ? self::STORED : ($produce->keepingDays > self::WEEK ? self::KEEPS : 1.0));
        }

        return $use;
    }
}
