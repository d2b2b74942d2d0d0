<?php

declare(strict_types=1);

namespace App\Wall;

use JollyFurrow\Climate\DayLength;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Land\Bed;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Maturity\SoftEdge;
use JollyFurrow\Plan\Expected;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Preparation\DatedStep;
use JollyFurrow\Preparation\Leads;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Time\Day;

/** The season wall worked out for its template: every path and place in pixels, nothing left to calculate. */
final readonly class WallDrawing
{
    private const AXIS_HEIGHT = 62.0;
    private const CURVE_TOP = 18.0;
    private const CURVE_BOTTOM = 46.0;
    /** Days by which a frost is likely rather than possible, inside the frost band (own model: one date is all that is known yet). */
    private const LIKELY = 30;

    public function __construct(private CropBook $book, private RecipeBook $recipes)
    {
    }

    /**
     * Beds by block in walking order; a folded block is one ridge: how much of it is taken, week by week.
     *
     * @param array<string, string> $ids planting key => id
     *
     * @return list<WallBlock>
     */
    public function blocks(Garden $garden, Expected $expected, array $ids, WallView $view, ?Colouring $colours): array
    {
        $blocks = [];
        $wanted = '' === $view->block ? $garden->blocks : [$view->block];
        $open = array_values(array_diff($wanted, $view->folded));
        $names = array_map(static fn (Bed $bed): string => $bed->name, array_filter($garden->beds,
            static fn (Bed $bed): bool => \in_array($bed->block, $open, true)));
        $rows = $this->rows($garden, $expected, $ids, $view->scale(), $view->block, array_values($names), $colours);
        foreach ($wanted as $block) {
            $mine = array_values(array_filter($rows, static fn (array $row): bool => $row['bed']->block === $block));
            $beds = array_values(array_filter($garden->beds, static fn (Bed $bed): bool => $bed->block === $block
                && !$bed->isRetiredOn($garden->today)));
            if (\in_array($block, $view->folded, true)) {
                $blocks[] = WallBlock::folded($block, $beds, $garden, $view->scale());
            } elseif ([] !== $mine) {
                $blocks[] = WallBlock::open($block, \count($beds), $mine);
            }
        }

        return $blocks;
    }

    /**
     * @param array<string, string> $ids  planting key => id
     * @param list<string>|null     $only names of beds; null: all
     *
     * @return list<array{bed: Bed, strips: list<Strip>, labels: list<Strip>}>
     */
    public function rows(Garden $garden, Expected $expected, array $ids, Scale $scale, string $block, ?array $only = null,
        ?Colouring $colours = null): array
    {
        $byBed = [];
        $leads = new Leads($garden);
        $lengths = array_map(static fn (Bed $bed): int => $bed->length->micrometres, $garden->bedsByName());
        $wanted = null === $only ? null : array_fill_keys($only, true);
        foreach ($garden->plantings as $planting) {
            if (null !== $wanted && [] === array_filter($planting->pieces, static fn (Stretch $s): bool => isset($wanted[$s->bed]))) {
                continue;
            }
            if (!$scale->shows(min($planting->sow->number, $planting->bedStart->number), $planting->clear->number)) {
                continue;
            }
            $late = $planting->isLate($garden->today);
            $crop = $this->book->grown($planting->item, $planting->variety);
            $recipe = $this->recipes->get($planting->recipe);
            $covers = $garden->coversOf($planting);
            $timing = $garden->timing();
            $edge = null === $timing ? null : SoftEdge::of($timing, $crop, $covers, $planting->ground->number, $planting->ready->number,
                $garden->today->number);
            $mark = $colours?->mark($planting, $crop);
            $serves = array_map(static fn (array $s): int => $s['day']->number, $expected->serves[$planting->key] ?? []);
            foreach ($planting->pieces as $piece) {
                $byBed[$piece->bed][] = Strip::of($planting, $piece, $lengths[$piece->bed], $crop, $recipe->hatch,
                    $ids[$planting->key] ?? '', $scale, $expected->weeks[$planting->key] ?? [], $late || [] !== $planting->remarks,
                    $timing?->of($crop, $covers), $covers, $garden->today->isBefore($planting->ground)
                    ? array_map(static fn (DatedStep $s): int => $s->day->number, $leads->dated($recipe, $planting)) : [], $edge,
                    self::below($garden, $planting, $piece), $mark, $serves);
            }
        }
        $rows = [];
        foreach ($garden->beds as $bed) {
            $strips = $byBed[$bed->name] ?? [];
            $isThere = [] !== $strips || !$bed->isRetiredOn($garden->today);
            if ($isThere && ('' === $block || $bed->block === $block) && (null === $wanted || isset($wanted[$bed->name]))) {
                usort($strips, static fn (Strip $a, Strip $b): int => $a->first <=> $b->first);
                $rows[] = ['bed' => $bed, 'strips' => $strips, 'labels' => self::labels($strips)];
            }
        }

        return $rows;
    }

    /** Share of the width that others have at the same time on the same stretch, and are drawn below it: those planted before it. */
    public static function below(Garden $garden, Planting $planting, Stretch $piece): float
    {
        $below = 0.0;
        foreach ($piece->widthShare < 1.0 ? $garden->plantings->on($piece->bed) : [] as $other) {
            $isBefore = [$other->ground->number, $other->key] < [$planting->ground->number, $planting->key];
            $isThere = !$other->clear->isBefore($planting->bedStart) && !$planting->clear->isBefore($other->bedStart);
            foreach ($isBefore && $isThere ? $other->pieces : [] as $their) {
                $below += $their->sharesGroundWith($piece) ? $their->widthShare : 0.0;
            }
        }

        return min($below, 1.0 - $piece->widthShare);
    }

    /**
     * The labels that can stand without covering one another, thick strips first.
     *
     * @param list<Strip> $strips
     *
     * @return list<Strip>
     */
    private static function labels(array $strips): array
    {
        usort($strips, static fn (Strip $a, Strip $b): int => [$b->height, $a->first, $a->id] <=> [$a->height, $b->first, $b->id]);
        $placed = [];
        foreach ($strips as $strip) {
            foreach ($placed as $other) {
                if ($strip->labelMeets($other)) {
                    continue 2;
                }
            }
            $placed[] = $strip;
        }

        return $placed;
    }

    /** @return array<string, mixed> months, weeks, light and frost above the beds */
    public function axis(Garden $garden, Scale $scale): array
    {
        $weeks = [];
        for ($day = Day::of($scale->first); $day->number < $scale->end(); $day = $day->plus(7)) {
            $week = $day->week();
            $weeks[] = ['x' => $scale->x($day->number), 'day' => $day, 'label' => 0 === $week->number % 2 ? (string) $week->number : ''];
        }

        return [
            'height' => self::AXIS_HEIGHT,
            'months' => $scale->months(),
            'weeks' => $weeks,
            'light' => $this->light($garden, $scale),
            'ten' => self::lightY(10.0),
            'frost' => $this->frost($garden, $scale),
            'today' => $scale->shows($garden->today->number, $garden->today->number) ? $scale->x($garden->today->number) : null,
        ];
    }

    private function light(Garden $garden, Scale $scale): string
    {
        $points = [];
        for ($day = $scale->first; $day <= $scale->end(); $day += 7) {
            $points[] = $scale->x($day).','.self::lightY(DayLength::hours($garden->place->latitude, Day::of($day)));
        }

        return implode(' ', $points);
    }

    /** From 7 hours at the bottom to 17 at the top. */
    private static function lightY(float $hours): float
    {
        return round(self::CURVE_BOTTOM - (self::CURVE_BOTTOM - self::CURVE_TOP) * (max(7.0, min(17.0, $hours)) - 7.0) / 10.0, 1);
    }

    /** @return list<array{x: float, w: float, likely: bool}> */
    private function frost(Garden $garden, Scale $scale): array
    {
        $bands = [];
        $from = null;
        $is = '';
        for ($day = $scale->first; $day <= $scale->end(); ++$day) {
            $now = $day === $scale->end() ? '' : self::frostOn($garden, Day::of($day));
            if ($now !== $is) {
                if (null !== $from && '' !== $is) {
                    $bands[] = ['x' => $scale->x($from), 'w' => round($scale->x($day) - $scale->x($from), 1), 'likely' => 'likely' === $is];
                }
                $from = $day;
                $is = $now;
            }
        }

        return $bands;
    }

    private static function frostOn(Garden $garden, Day $day): string
    {
        $last = $garden->place->lastFrost->in($day->year());
        $first = $garden->place->firstFrost->in($day->year());
        $season = $first->since($last);
        $north = $season > 0;
        $inside = $north ? min($day->since($last), $first->since($day)) : max($day->since($last), $first->since($day));
        if ($inside >= 0) {
            return '';
        }

        return $inside > -self::LIKELY ? 'possible' : 'likely';
    }
}
