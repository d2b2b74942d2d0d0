<?php

declare(strict_types=1);

namespace JollyFurrow\Book;

/** What is wrong with one line of a sheet of crop values. */
final readonly class SheetLine
{
    public function __construct(public int $line, public string $crop, public string $value, public string $words)
    {
    }
}
