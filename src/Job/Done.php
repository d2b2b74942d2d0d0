<?php

declare(strict_types=1);

namespace App\Job;

/** What came of a doing, in words. */
final readonly class Done
{
    /** @param bool $isRepeated it was sent before and is kept already */
    public function __construct(public string $words, public bool $isRepeated = false)
    {
    }
}
