<?php

declare(strict_types=1);

namespace JollyFurrow\Practice;

use JollyFurrow\Diary\Mark;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Planting\FieldNote;

/** A day the crew has worked: the garden in its evening, and what was done. */
final readonly class CrewDay
{
    /**
     * @param list<FieldNote> $notes of this day
     * @param list<Mark>      $marks of this day
     */
    public function __construct(public Garden $garden, public array $notes, public array $marks)
    {
    }
}
