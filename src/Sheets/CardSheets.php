<?php

declare(strict_types=1);

namespace App\Sheets;

use App\Wall\Family;
use App\Wording\Sayer;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Crop\Method;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Land\Bed;
use JollyFurrow\Planting\Planting;

/** A card for each bed, to be cut out and hung at its head: what stands and what comes, with days and spacing. */
final readonly class CardSheets
{
    private const MARGIN = 24.0;
    private const WIDE = 260.0;
    private const HIGH = 178.0;
    /** Plantings that fit on one card. */
    private const LINES = 6;

    public function __construct(private CropBook $book, private Sayer $sayer)
    {
    }

    /**
     * @param string $block '': all
     *
     * @return non-empty-list<Sheet>
     */
    public function of(Garden $garden, string $block, PaperSize $size): array
    {
        [$width, $height] = $size->points();
        $across = max(1, (int) floor(($width - 2 * self::MARGIN) / self::WIDE));
        $down = max(1, (int) floor(($height - 2 * self::MARGIN) / self::HIGH));
        [$w, $h] = [($width - 2 * self::MARGIN) / $across, ($height - 2 * self::MARGIN) / $down];
        $beds = array_values(array_filter($garden->bedsInUse(), static fn (Bed $b): bool => '' === $block || $b->block === $block));
        $sheets = [];
        foreach (array_chunk($beds, $across * $down) as $some) {
            $sheets[] = $sheet = new Sheet($width, $height);
            foreach ($some as $n => $bed) {
                $this->card($sheet, $garden, $bed, self::MARGIN + $w * ($n % $across), self::MARGIN + $h * intdiv($n, $across), $w, $h);
            }
        }

        return [] === $sheets ? [new Sheet($width, $height)] : $sheets;
    }

    private function card(Sheet $sheet, Garden $garden, Bed $bed, float $x, float $y, float $w, float $h): void
    {
        $sheet->box($x + 3, $y + 3, $w - 6, $h - 6, null, 0.8);
        $sheet->words($x + 12, $y + 30, $bed->name, 24, true);
        $sheet->words($x + $w - 12, $y + 18, $bed->block, 9, true, 'end');
        $sheet->words($x + $w - 12, $y + 30, $this->sayer->long($bed->length).' · '.$this->sayer->word($bed->place), 8, false, 'end');
        $sheet->line([[$x + 3, $y + 38], [$x + $w - 3, $y + 38]], 0.8);
        $plantings = $garden->plantings->on($bed->name)->where(static fn (Planting $p): bool => !$p->isOver($garden->today))->all();
        usort($plantings, static fn (Planting $a, Planting $b): int => [$a->bedStart->number, $a->key] <=> [$b->bedStart->number, $b->key]);
        if ([] === $plantings) {
            $sheet->words($x + 12, $y + 56, 'Nothing is planned here.', 9);
        }
        $room = ($h - 46) / self::LINES;
        foreach (\array_slice($plantings, 0, self::LINES) as $n => $planting) {
            $this->planting($sheet, $planting, $bed->name, $x + 12, $y + 42 + $n * $room, $w - 24, $room);
        }
        if (\count($plantings) > self::LINES) {
            $sheet->words($x + $w - 12, $y + $h - 7, \sprintf('%d more', \count($plantings) - self::LINES), 7, false, 'end');
        }
    }

    private function planting(Sheet $sheet, Planting $planting, string $bed, float $x, float $y, float $w, float $h): void
    {
        $crop = $this->book->grown($planting->item, $planting->variety);
        $sheet->box($x, $y + 4, 7, 7, null, 0.7);
        $sheet->words($x + 12, $y + 10.5, Family::glyph($crop->family).' '.$crop->name, 8.5, true);
        $long = implode(' + ', array_map(fn ($s): string => $this->sayer->long($s->length()), array_filter($planting->pieces,
            static fn ($s): bool => $s->bed === $bed)));
        $sheet->words($x + $w, $y + 10.5, $long, 8, false, 'end');
        $days = [($planting->sow->equals($planting->ground) ? 'sow ' : 'trays ').$this->sayer->shortDay($planting->sow)];
        if (Method::Transplanted === $planting->method) {
            $days[] = 'out '.$this->sayer->shortDay($planting->ground);
        }
        $days[] = 'ready '.$this->sayer->shortDay($planting->ready);
        $days[] = 'until '.$this->sayer->shortDay($planting->clear);
        $sheet->words($x + 12, $y + 19.5, implode(' · ', $days), 7);
        $sheet->line([[$x, $y + $h - 0.5], [$x + $w, $y + $h - 0.5]], 0.3, [], 0.6);
    }
}
