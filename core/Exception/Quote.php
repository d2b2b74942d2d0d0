<?php

declare(strict_types=1);

namespace JollyFurrow\Exception;

/** Foreign text inside a message: cut short, control characters taken out, in quotation marks. */
final class Quote
{
    private const LONGEST = 40;

    public static function of(string $text): string
    {
        $clean = preg_replace('/[\x00-\x1F\x7F]+/u', ' ', mb_scrub($text)) ?? '';
        $short = mb_strlen($clean) > self::LONGEST ? mb_substr($clean, 0, self::LONGEST).'...' : $clean;

        return '"'.$short.'"';
    }
}
