<?php

declare(strict_types=1);

namespace JollyFurrow\Paste;

use JollyFurrow\Message\Message;
use JollyFurrow\Planting\Planting;

/** One row of a pasted list: the planting it makes, or what is wrong with which of its cells. */
final readonly class StandingRow
{
    /**
     * @param array<string, string|Message> $faults  message by column
     * @param list<string>                  $crops   crops the word may mean, when there are several
     * @param TakenAs|null                  $word    how it was taken, where that is not what was written
     * @param list<string>                  $guesses names of crops it may well be, ready to take
     */
    public function __construct(public ?Planting $planting, public array $faults, public array $crops, public ?TakenAs $word = null,
        public array $guesses = [])
    {
    }
}
