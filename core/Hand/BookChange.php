<?php

declare(strict_types=1);

namespace JollyFurrow\Hand;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Season\Here;

/**
 * What a change of the crop book would do to the plantings there are. A planting keeps the values it was planned with
 * until it is told to follow the book.
 */
final readonly class BookChange
{
    /** @param list<array{was: Planting, is: Planting, lost: bool}> $moved the soonest first; lost: it would come to nothing, so it cannot follow */
    private function __construct(public array $moved, public int $grown)
    {
    }

    /** Only what the change itself moves is told: not what following the book would have moved anyway. */
    public static function of(Garden $garden, CropBook $before, CropBook $after, RecipeBook $recipes): self
    {
        $was = new ByHand($before, $recipes);
        $is = new ByHand($after, $recipes);
        $here = new Here($garden);
        $moved = [];
        $grown = 0;
        foreach ($garden->plantings as $planting) {
            $old = $before->grown($planting->item, $planting->variety);
            if ($planting->isOver($garden->today) || !$after->has($planting->item) || $old == $after->grown($planting->item,
                $planting->variety)) {
                continue;
            }
            ++$grown;
            $then = $is->follow($garden, $planting);
            if ($was->follow($garden, $planting) != $then && $then != $planting) {
                $lost = self::comesToNothing($here, $after->grown($planting->item, $planting->variety), $then)
                    && !self::comesToNothing($here, $old, $planting);
                $moved[] = ['was' => $planting, 'is' => $then, 'lost' => $lost];
            }
        }
        usort($moved, static fn (array $a, array $b): int => [$a['was']->ready->number, $a['was']->key] <=> [$b['was']->ready->number,
            $b['was']->key]);

        return new self($moved, $grown);
    }

    private static function comesToNothing(Here $here, Crop $crop, Planting $planting): bool
    {
        return null !== $here->never($crop, $planting->method, $planting->place, $planting->sow, $planting->ground);
    }
}
