<?php

declare(strict_types=1);

namespace JollyFurrow\Seed;

use JollyFurrow\Crop\Crop;

/**
 * Years seed keeps in a dry, cool drawer before it wants a test. From memory, believed to be Harrington, in "Knott's
 * Handbook for Vegetable Growers": onion, leek, parsnip, chives 1; corn, okra 2; bean, pea, carrot, leek 3; ...
 */
final class SeedLife
{
    private const BY_ITEM = ['onion' => 1, 'scallion' => 1, 'leek' => 2, 'parsnip' => 1, 'parsley' => 1, 'corn' => 2, 'okra' => 2,
        'bean-bush' => 3, 'bean-runner' => 3, 'bean-broad' => 3, 'pea' => 3, 'carrot' => 3, 'carrot-storage' => 3, 'pepper' => 2,
        'spinach' => 3, 'celery' => 3, 'celeriac' => 3];
    private const BY_FAMILY = ['Cabbage' => 4, 'Cucurbit' => 5, 'Nightshade' => 4, 'Goosefoot' => 4, 'Daisy' => 5, 'Legume' => 3];
    private const ELSE = 3;

    public static function years(Crop $crop): int
    {
        return $crop->habits->stock->isSeed() ? self::BY_ITEM[$crop->item()] ?? self::BY_FAMILY[$crop->family] ?? self::ELSE : 1;
    }
}
