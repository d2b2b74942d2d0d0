<?php

declare(strict_types=1);

namespace App\Shared;

/** A key made of a name, that nothing else has. */
final class FreeKey
{
    private const LONGEST = 28;

    /**
     * @param string                 $else    where the name has no letter for a key
     * @param callable(string): bool $isTaken
     */
    public static function of(string $name, string $else, callable $isTaken): string
    {
        $key = trim((string) preg_replace('/[^a-z0-9]+/', '-', mb_strtolower(mb_substr($name, 0, self::LONGEST))), '-') ?: $else;
        for ($n = 1, $free = $key; $isTaken($free); ++$n, $free = $key.'-'.$n) {
        }

        return $free;
    }
}
