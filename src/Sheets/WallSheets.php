<?php

declare(strict_types=1);

namespace App\Sheets;

use App\Wall\Family;
use App\Wall\Scale;
use App\Wall\Strip;
use App\Wall\WallDrawing;
use App\Wall\WallView;
use App\Wording\Sayer;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Land\Bed;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Plan\Expected;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Time\Day;

/** The season wall on sheets a crew reads in black and white: beds down, weeks across, block after block. */
final readonly class WallSheets
{
    private const MARGIN = 24.0;
    private const NAMES = 40.0;
    private const HEAD = 40.0;
    private const FOOT = 16.0;
    private const BLOCK = 13.0;
    private const ROW = 15.5;
    private const LABEL = 6.6;
    /** Points a letter of a label takes in the mean, by its size. */
    private const LETTER = 0.56;

    public function __construct(private CropBook $book, private Sayer $sayer)
    {
    }

    /** @return non-empty-list<Sheet> */
    public function of(Garden $garden, Expected $expected, WallView $view, PaperSize $size): array
    {
        [$width, $height] = $size->points();
        $weeks = $view->scale()->weeks;
        $scale = Scale::from($view->span->first, $weeks, ($width - 2 * self::MARGIN - self::NAMES) / $weeks);
        $sheets = [];
        $sheet = null;
        $y = 0.0;
        $block = null;
        foreach (array_filter($garden->bedsInUse(), static fn (Bed $b): bool => '' === $view->block
            || $b->block === $view->block) as $bed) {
            $isNew = $bed->block !== $block;
            $asks = self::ROW + ($isNew ? self::BLOCK + self::ROW : 0.0);
            if (null === $sheet || $y + $asks > $height - self::MARGIN - self::FOOT) {
                $sheet = new Sheet($width, $height);
                $sheets[] = $sheet;
                $this->head($sheet, $garden, $view, $scale, \count($sheets));
                $y = self::MARGIN + self::HEAD;
                $isNew = true;
            }
            if ($isNew) {
                $sheet->box(self::MARGIN, $y, $width - 2 * self::MARGIN, self::BLOCK - 2, 0.9, 0.0);
                $sheet->words(self::MARGIN + 3, $y + 8.5, $bed->block, 8, true);
                $y += self::BLOCK;
            }
            $block = $bed->block;
            $this->bed($sheet, $garden, $expected, $bed, $scale, $y);
            $y += self::ROW;
        }
        if ([] === $sheets) {
            $sheet = new Sheet($width, $height);
            $this->head($sheet, $garden, $view, $scale, 1);
            $sheets = [$sheet];
        }

        return $sheets;
    }

    private static function x(Scale $scale, int $day): float
    {
        return self::MARGIN + self::NAMES + $scale->x($day);
    }

    private function head(Sheet $sheet, Garden $garden, WallView $view, Scale $scale, int $number): void
    {
        $sheet->words(self::MARGIN, self::MARGIN + 8, \sprintf('%s, season %s', $garden->name, $view->span->season->name()), 11, true);
        $sheet->words($sheet->width - self::MARGIN, self::MARGIN + 8, \sprintf('as of %s · sheet %d',
            $this->sayer->formatter()->date($garden->today)->text,
            $number), 8, false, 'end');
        $top = self::MARGIN + 16;
        foreach ($scale->months() as $month) {
            $x = self::MARGIN + self::NAMES + $month->at;
            $sheet->line([[$x, $top], [$x, $sheet->height - self::MARGIN - self::FOOT]], 0.3, [], 0.6);
            $sheet->words($x + 2, $top + 8, $month->label, 8, true);
        }
        for ($week = 0; $week < $scale->weeks; ++$week) {
            $day = $scale->day($week);
            $x = self::x($scale, $day->number);
            $sheet->line([[$x, $top + 12], [$x, $top + 22]], 0.3, [], 0.4);
            $sheet->words($x + 1.5, $top + 19, $scale->week > 40 ? $this->sayer->shortDay($day) : (string) $day->week()->number, 6);
        }
        if ($scale->shows($garden->today->number, $garden->today->number)) {
            $x = self::x($scale, $garden->today->number);
            $sheet->line([[$x, $top + 12], [$x, $sheet->height - self::MARGIN - self::FOOT]], 0.9, [3, 2]);
        }
        $this->foot($sheet);
    }

    /** How it is read, in signs. */
    private function foot(Sheet $sheet): void
    {
        $y = $sheet->height - self::MARGIN - 3;
        $x = self::MARGIN;
        $sheet->hatch($x, $y - 6, 14, 6);
        $sheet->words($x + 18, $y, 'bed made ready', self::LABEL);
        $sheet->line([[$x + 92, $y - 3], [$x + 108, $y - 3]], 0.8, [1, 1.6]);
        $sheet->words($x + 112, $y, 'in the nursery', self::LABEL);
        $sheet->shape([[$x + 184, $y], [$x + 200, $y - 7], [$x + 200, $y]], 0.85);
        $sheet->words($x + 204, $y, 'growing', self::LABEL);
        $sheet->box($x + 256, $y - 7, 5, 7, 0.25, 0.0);
        $sheet->words($x + 265, $y, 'harvest, week by week', self::LABEL);
        $sheet->line([[$x + 366, $y], [$x + 370, $y - 7]], 0.9);
        $sheet->words($x + 374, $y, 'cleared', self::LABEL);
        $sheet->line([[$x + 422, $y + 1], [$x + 422, $y - 7]], 0.9, [3, 2]);
        $sheet->words($x + 426, $y, 'today', self::LABEL);
        $sheet->words($sheet->width - self::MARGIN, $y, 'Jolly Furrow', self::LABEL, false, 'end');
    }

    private function bed(Sheet $sheet, Garden $garden, Expected $expected, Bed $bed, Scale $scale, float $y): void
    {
        $base = $y + self::ROW - 1.5;
        $sheet->line([[self::MARGIN, $base], [$sheet->width - self::MARGIN, $base]], 0.4, [], 0.45);
        $sheet->words(self::MARGIN + 2, $base - 3, $bed->name, 8.5, true);
        $labels = [];
        $plantings = $garden->plantings->on($bed->name)->all();
        usort($plantings, static fn (Planting $a, Planting $b): int => [$a->bedStart->number, $a->key] <=> [$b->bedStart->number, $b->key]);
        foreach ($plantings as $planting) {
            foreach ($scale->shows(min($planting->sow->number, $planting->bedStart->number), $planting->clear->number)
                ? $planting->pieces : [] as $piece) {
                if ($piece->bed === $bed->name) {
                    $labels[] = $this->piece($sheet, $garden, $expected, $bed, $planting, $piece, $scale, $y + 2.5);
                }
            }
        }
        $placed = [];
        foreach ($labels as [$x, $line, $text]) {
            $until = $x + self::LETTER * self::LABEL * mb_strlen($text);
            $isFree = [] === array_filter($placed, static fn (array $p): bool => abs($p[2] - $line) < self::LABEL && $x < $p[1]
                && $p[0] < $until);
            if ($isFree && $x < $sheet->width - self::MARGIN - 12) {
                $placed[] = [$x, $until, $line];
                $sheet->box($x - 0.8, $line - self::LABEL + 0.9, $until - $x, self::LABEL, 1.0, 0.0);
                $sheet->words($x, $line, $text, self::LABEL);
            }
        }
    }

    /** @return array{float, float, string} where its label stands, and what it says */
    private function piece(Sheet $sheet, Garden $garden, Expected $expected, Bed $bed, Planting $planting, Stretch $piece, Scale $scale,
        float $y): array
    {
        $crop = $this->book->grown($planting->item, $planting->variety);
        $room = self::ROW - 4.0;
        $whole = $room * ($piece->to - $piece->from) / $bed->length->micrometres;
        $base = $y + $room * (1 - $piece->from / $bed->length->micrometres) - $whole * WallDrawing::below($garden, $planting, $piece);
        $high = max(1.6, $whole * $piece->widthShare - 0.6);
        [$start, $ground, $ready, $clear] = [self::x($scale, $planting->bedStart->number), self::x($scale, $planting->ground->number),
            self::x($scale, $planting->ready->number), self::x($scale, $planting->clear->number + 1)];
        $ground - $start > 0.5 ? $sheet->hatch($start, $base - min(4.0, $high), $ground - $start, min(4.0, $high)) : null;
        if ($planting->sow->isBefore($planting->ground)) {
            $thread = max($y - 1.2, $base - $high - 1.2);
            $sheet->line([[self::x($scale, $planting->sow->number), $thread], [$ground, $thread], [$ground, $base]], 0.7, [1, 1.6]);
        }
        $ripening = $garden->timing()?->of($crop, $garden->coversOf($planting));
        $sheet->shape([...array_map(static fn (array $p): array => [self::x($scale, $p[0]), $base - $high * $p[1]],
            Strip::rise($planting, $ripening)), [$ready, $base], [$ground, $base]], 0.86);
        $sheet->shape([[$ready, $base - $high], [$clear, $base - $high * ($crop->pattern->isStock() ? 0.55 : 0.25)], [$clear, $base],
            [$ready, $base]], 0.94, 0.3);
        $weeks = $expected->weeks[$planting->key] ?? [];
        $most = [] === $weeks ? 1 : max(1, ...array_values($weeks));
        foreach ($weeks as $monday => $units) {
            $from = self::x($scale, max($monday, $planting->ready->number));
            $to = self::x($scale, min($monday + 7, $planting->clear->number + 1));
            $units > 0 && $to - $from > 0.5 ? $sheet->box($from + 0.4, $base - $high * $units / $most, $to - $from - 0.8,
                $high * $units / $most, 0.25, 0.0) : null;
        }
        $sheet->line([[$clear, $base], [$clear + 2.4, $base - min(4.5, $high)]], 0.8);

        return [max($ground, self::MARGIN + self::NAMES) + 1.5, $base - 1.0, Family::glyph($crop->family).' '.$crop->name
            .($planting->ready->isBefore(Day::of($scale->first)) ? '' : ', '.$this->sayer->long($piece->length()))];
    }
}
