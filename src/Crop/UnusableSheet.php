<?php

declare(strict_types=1);

namespace App\Crop;

use JollyFurrow\Exception\BadInput;

/** A file that is no sheet of rows. */
final class UnusableSheet extends \RuntimeException implements BadInput
{
    public static function unreadable(\Throwable $why): self
    {
        return new self('The file cannot be read. Save it as CSV (UTF-8), .xlsx or .ods.', 0, $why);
    }
}
