<?php

declare(strict_types=1);

namespace App\Job;

use JollyFurrow\Exception\BadInput;

/** All of it was done or left by somebody else meanwhile. */
final class SomebodyWasFaster extends \RuntimeException implements BadInput
{
    public static function than(string $who, string $day, bool $isDone): self
    {
        return new self(\sprintf('%s %s this already, on %s.', '' === $who ? 'Somebody' : $who, $isDone ? 'did' : 'left out', $day));
    }

    public static function gone(): self
    {
        return new self('This job is no longer on the list: its planting was changed or taken away.');
    }
}
