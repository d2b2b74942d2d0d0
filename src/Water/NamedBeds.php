<?php

declare(strict_types=1);

namespace App\Water;

use JollyFurrow\Garden\Garden;
use JollyFurrow\Land\Bed;

/** Beds as they are typed: "A1 to A8, B3", or a block. */
final readonly class NamedBeds
{
    /**
     * @param list<string> $beds    in walking order
     * @param list<string> $unknown what names none
     */
    private function __construct(public array $beds, public array $unknown)
    {
    }

    public static function of(string $text, Garden $garden): self
    {
        $names = array_map(static fn (Bed $b): string => $b->name, $garden->bedsInUse());
        $at = array_flip(array_map(mb_strtolower(...), $names));
        $found = $unknown = [];
        foreach (array_filter(array_map(trim(...), explode(',', $text)), static fn (string $t): bool => '' !== $t) as $part) {
            [$from, $to] = [...array_map(static fn (string $t): string => mb_strtolower(trim($t)), preg_split('/\s+to\s+|–/u',
                $part) ?: []), '', ''];
            $block = array_keys(array_filter($garden->bedsInUse(),
                static fn (Bed $b): bool => mb_strtolower($b->block) === preg_replace('/^block\s+/',
                    '', $from)));
            if (isset($at[$from]) && ('' === $to || isset($at[$to]))) {
                $found = [...$found, ...range($at[$from], '' === $to ? $at[$from] : $at[$to])];
            } elseif ('' === $to && [] !== $block) {
                $found = [...$found, ...$block];
            } else {
                $unknown[] = $part;
            }
        }
        $found = array_values(array_unique($found));
        sort($found);

        return new self(array_map(static fn (int $i): string => $names[$i], $found), $unknown);
    }
}
