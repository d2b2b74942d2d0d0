<?php

declare(strict_types=1);

namespace JollyFurrow\Paste;

/**
 * Keeps a spreadsheet from taking the text of a CSV cell for a formula: such a cell goes out with an apostrophe before it
 * and loses it on the way in. Only what is wholly a number goes without. Out and in again, every text is what it was.
 */
final class FormulaGuard
{
    private const FORMULA = '/^\'*[=+\-@\t\r\n\x{FF1D}\x{FF0B}\x{FF0D}\x{FF20}]/u';
    private const NUMBER = '/^[+-]?(\d+([.,]\d+)?|[.,]\d+)([eE][+-]?\d{1,3})?$/D';

    public static function on(string $cell): string
    {
        return 1 === preg_match(self::FORMULA, $cell) && 1 !== preg_match(self::NUMBER, $cell) ? "'".$cell : $cell;
    }

    public static function off(string $cell): string
    {
        return str_starts_with($cell, "'") && 1 === preg_match(self::FORMULA, $cell) ? substr($cell, 1) : $cell;
    }
}
