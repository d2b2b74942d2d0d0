<?php

declare(strict_types=1);

namespace App\Problems;

/** A way out that is one press: changes for the draft of the wall. */
final readonly class WayOut
{
    /**
     * @param list<array<string, string>> $changes as the wall makes them; none: it is a page
     * @param string                      $route   that page, about a planting
     */
    public function __construct(public string $words, public array $changes, public ?float $cents = null, public string $route = '')
    {
    }
}
