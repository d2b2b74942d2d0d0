<?php

declare(strict_types=1);

namespace App\Change;

use JollyFurrow\Planting\FieldNote;
use JollyFurrow\Planting\Planting;

/** Plantings that go, those that come in their place, and what was noted with it. */
final readonly class Replacement
{
    /**
     * @param list<Planting>  $old
     * @param list<Planting>  $new
     * @param string          $words for the log
     * @param list<FieldNote> $notes
     */
    public function __construct(public array $old, public array $new, public string $words, public array $notes = [])
    {
    }
}
