<?php

declare(strict_types=1);

namespace App\Shared;

use Dompdf\Dompdf;
use Dompdf\Options;
use Symfony\Component\HttpFoundation\Response;

/** What is sent to be filed or printed. Nothing is fetched for it. */
final class Paper
{
    /**
     * @param string                 $html  a whole page with its own styles
     * @param 'a3'|'a4'|'letter'     $paper
     * @param 'landscape'|'portrait' $way
     */
    public static function pdf(string $html, string $name, string $paper = 'a4', string $way = 'portrait'): Response
    {
        $pdf = new Dompdf(new Options(['isRemoteEnabled' => false, 'isPhpEnabled' => false, 'isJavascriptEnabled' => false,
            'chroot' => [sys_get_temp_dir()]]));
        $pdf->setPaper($paper, $way);
        $pdf->loadHtml($html, 'UTF-8');
        $pdf->render();

        return self::file((string) $pdf->output(), 'application/pdf', $name.'.pdf');
    }

    public static function csv(string $csv, string $name): Response
    {
        return self::file($csv, 'text/csv; charset=UTF-8', $name.'.csv');
    }

    public static function svg(string $svg, string $name): Response
    {
        return self::file($svg, 'image/svg+xml', $name.'.svg');
    }

    public static function file(string $content, string $type, string $name): Response
    {
        return new Response($content, headers: ['Content-Type' => $type, 'Content-Disposition' => 'attachment; filename="'.$name.'"',
            'Cache-Control' => 'no-store']);
    }
}
