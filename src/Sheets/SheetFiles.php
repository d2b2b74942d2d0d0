<?php

declare(strict_types=1);

namespace App\Sheets;

use Dompdf\Adapter\CPDF;
use Dompdf\Dompdf;
use Dompdf\Options;

/** Sheets written as SVG, one drawing each, and together as one PDF. */
final class SheetFiles
{
    private const FONT = 'DejaVu Sans';

    public static function svg(Sheet $sheet, string $title): string
    {
        $body = '';
        foreach ($sheet->marks() as $mark) {
            $body .= match ($mark['kind']) {
                'line' => \sprintf('<polyline points="%s" fill="none" stroke="%s" stroke-width="%s"%s/>', self::points($mark['points']),
                    self::grey($mark['grey']), $mark['width'], [] === $mark['dash'] ? '' : ' stroke-dasharray="'.implode(' ',
                        $mark['dash']).'"'),
                'shape' => \sprintf('<polygon points="%s" fill="%s"%s/>', self::points($mark['points']), null === $mark['fill'] ? 'none'
                    : self::grey($mark['fill']), $mark['width'] > 0.0 ? ' stroke="#000" stroke-width="'.$mark['width'].'"' : ''),
                'words' => self::text($mark),
            }."\n";
        }
        [$w, $h] = [$sheet->width, $sheet->height];

        return \sprintf('<svg xmlns="http://www.w3.org/2000/svg" width="%spt" height="%spt" viewBox="0 0 %s %s" role="img" ', $w, $h,
            $w, $h)
            .\sprintf("font-family=\"'%s', sans-serif\">\n<title>%s</title>\n", self::FONT, htmlspecialchars($title, \ENT_XML1))
            .\sprintf("<rect width=\"%s\" height=\"%s\" fill=\"#fff\"/>\n%s</svg>\n", $w, $h, $body);
    }

    /** @param array{x: float, y: float, text: string, size: float, bold: bool, anchor: string, turn: float, ...} $mark */
    private static function text(array $mark): string
    {
        [$x, $y] = [round($mark['x'], 2), round($mark['y'], 2)];

        return \sprintf('<text x="%s" y="%s" font-size="%s"%s%s%s>%s</text>', $x, $y, round($mark['size'], 2), $mark['bold']
            ? ' font-weight="700"' : '', 'start' === $mark['anchor'] ? '' : ' text-anchor="'.$mark['anchor'].'"', 0.0 === $mark['turn'] ? ''
            : \sprintf(' dy=".34em" transform="rotate(%s %s %s)"', round($mark['turn'], 1), $x, $y), htmlspecialchars($mark['text'],
                \ENT_XML1));
    }

    /** @param non-empty-list<Sheet> $sheets all of one size */
    public static function pdf(array $sheets, string $title): string
    {
        $dompdf = new Dompdf(new Options(['isRemoteEnabled' => false, 'isPhpEnabled' => false]));
        $pdf = new CPDF([0, 0, $sheets[0]->width, $sheets[0]->height], 'portrait', $dompdf);
        $pdf->add_info('Title', $title);
        $fonts = [false => $dompdf->getFontMetrics()->getFont(self::FONT), true => $dompdf->getFontMetrics()->getFont(self::FONT, 'bold')];
        foreach ($sheets as $n => $sheet) {
            if ($n > 0) {
                $pdf->new_page();
            }
            foreach ($sheet->marks() as $mark) {
                match ($mark['kind']) {
                    'line' => self::drawLine($pdf, $mark['points'], $mark['width'], $mark['dash'], $mark['grey']),
                    'shape' => self::drawShape($pdf, $mark['points'], $mark['fill'], $mark['width']),
                    'words' => self::drawWords($pdf, $mark, (string) $fonts[$mark['bold']]),
                };
            }
        }

        return (string) $pdf->output();
    }

    /**
     * @param list<array{float, float}> $points
     * @param list<float>               $dash
     */
    private static function drawLine(CPDF $pdf, array $points, float $width, array $dash, float $grey): void
    {
        for ($n = 1; $n < \count($points); ++$n) {
            $pdf->line($points[$n - 1][0], $points[$n - 1][1], $points[$n][0], $points[$n][1], [$grey, $grey, $grey], $width, $dash);
        }
    }

    /** @param list<array{float, float}> $points */
    private static function drawShape(CPDF $pdf, array $points, ?float $fill, float $width): void
    {
        $flat = array_merge(...$points);
        null === $fill || $pdf->polygon($flat, [$fill, $fill, $fill], null, [], true);
        $width > 0.0 && $pdf->polygon($flat, [0.0, 0.0, 0.0], $width);
    }

    /** @param array{x: float, y: float, text: string, size: float, anchor: string, turn: float, ...} $mark */
    private static function drawWords(CPDF $pdf, array $mark, string $font): void
    {
        $long = 'start' === $mark['anchor'] ? 0.0 : $pdf->get_text_width($mark['text'], $font, $mark['size']);
        $x = $mark['x'] - ('end' === $mark['anchor'] ? $long : $long / 2);
        if (0.0 !== $mark['turn']) {
            $pdf->save();
            $pdf->rotate($mark['turn'], $mark['x'], $mark['y']);
            $pdf->text($x, $mark['y'] + 0.34 * $mark['size'] - $pdf->get_font_baseline($font, $mark['size']), $mark['text'], $font,
                $mark['size']);
            $pdf->restore();

            return;
        }
        // The canvas sets text by its upper edge; ours stands on its base line.
        $pdf->text('start' === $mark['anchor'] ? $mark['x'] : $x, $mark['y'] - $pdf->get_font_baseline($font, $mark['size']), $mark['text'],
            $font, $mark['size']);
    }

    /** @param list<array{float, float}> $points */
    private static function points(array $points): string
    {
        return implode(' ', array_map(static fn (array $p): string => round($p[0], 2).','.round($p[1], 2), $points));
    }

    private static function grey(float $grey): string
    {
        $hex = \sprintf('%02x', (int) round(255 * $grey));

        return '#'.$hex.$hex.$hex;
    }
}
