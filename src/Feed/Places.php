<?php

declare(strict_types=1);

namespace App\Feed;

use JollyFurrow\Garden\Garden;

/** Blocks and beds to choose from, in walking order; a block that is called as a bed is left to the bed. */
final class Places
{
    /** @return array<string, array<string, string>> label => name, by what they are */
    public static function of(Garden $garden): array
    {
        $beds = $blocks = [];
        foreach ($garden->bedsInUse() as $bed) {
            $beds[$bed->name] = $bed->name;
        }
        foreach ($garden->blocks as $block) {
            $blocks += isset($beds[$block]) ? [] : ['Block '.$block => $block];
        }

        return ['Blocks' => $blocks, 'Beds' => $beds];
    }

    /** @return array<string, string> label => name */
    public static function flat(Garden $garden): array
    {
        return array_merge(...array_values(self::of($garden)));
    }
}
