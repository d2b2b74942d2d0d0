<?php

declare(strict_types=1);

namespace App\Lists;

use Symfony\Component\String\Slugger\AsciiSlugger;

/** A key for a name that is new in a list. */
final class ListKey
{
    /** @param list<string> $taken */
    public static function for(string $name, array $taken): string
    {
        $key = substr((new AsciiSlugger())->slug($name)->lower()->toString(), 0, 50);
        for ($n = 2, $free = '' === $key ? 'no-name' : $key; \in_array($free, $taken, true); ++$n) {
            $free = $key.'-'.$n;
        }

        return $free;
    }
}
