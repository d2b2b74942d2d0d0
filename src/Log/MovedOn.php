<?php

declare(strict_types=1);

namespace App\Log;

use JollyFurrow\Exception\BadInput;

final class MovedOn extends \RuntimeException implements BadInput
{
    public static function rows(int $number, int $rows): self
    {
        return new self(\sprintf('Change %d cannot be taken back as it is: %d of its rows were changed again later. Take the later changes back first.', $number, $rows));
    }

    public static function inUse(int $number): self
    {
        return new self(\sprintf('Change %d cannot be taken back as it is: something made later stands on what it added. Take the later changes back first.', $number));
    }

    public static function alreadyTakenBack(int $number): self
    {
        return new self(\sprintf('Change %d has been taken back already.', $number));
    }
}
