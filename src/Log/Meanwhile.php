<?php

declare(strict_types=1);

namespace App\Log;

use JollyFurrow\Exception\BadInput;

/** Somebody else changed what a form was filled in for. The typing is kept, and the question asked again. */
final class Meanwhile extends \RuntimeException implements BadInput
{
    public static function changed(string $what): self
    {
        return new self(\sprintf('%s was changed by somebody else while you wrote. Look at how it stands now; nothing of yours is kept yet. Keep it again if you still want it.', $what));
    }

    public static function notPossible(string $why): self
    {
        return new self($why);
    }
}
