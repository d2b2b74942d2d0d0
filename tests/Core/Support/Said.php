<?php

declare(strict_types=1);

namespace JollyFurrow\Tests\Support;

use JollyFurrow\Message\Message;

/** A message as a test reads it: "family-too-soon family=Cabbage bed=A1 apart=226 span other=Broccoli years=3". */
final class Said
{
    public static function of(?Message $message): string
    {
        return $message?->logged() ?? '';
    }
}
