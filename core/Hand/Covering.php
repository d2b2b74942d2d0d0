<?php

declare(strict_types=1);

namespace JollyFurrow\Hand;

use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Planting\Dates;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Shelter\Protection;

/**
 * What other covers make of the plantings under them: each is ready so much sooner or later as the model says the covers
 * make it; what was seen with one's own eyes is kept.
 */
final readonly class Covering
{
    public function __construct(private CropBook $book, private RecipeBook $recipes)
    {
    }

    /**
     * @param list<Protection> $protections all covers as they would be
     *
     * @return list<array{was: Planting, is: Planting}> plantings with other dates
     */
    public function of(Garden $garden, array $protections): array
    {
        $byHand = new ByHand($this->book, $this->recipes);
        $after = $garden->covered($protections);
        $moved = [];
        foreach ($garden->plantings as $planting) {
            if ($planting->isOver($garden->today) || $garden->coversOf($planting)->key() === $after->coversOf($planting)->key()) {
                continue;
            }
            $now = $byHand->redate($garden, $planting);
            $then = $byHand->redate($after, $planting);
            $ready = $planting->ready->plus($then->ready->since($now->ready));
            $ready = $ready->isBefore($planting->ground) ? $planting->ground : $ready;
            $clear = $planting->clear->plus($then->clear->since($now->clear));
            $ground = Standing::Planned === $planting->standing ? $planting->ground->plus($then->ground->since($now->ground))
                : $planting->ground;
            $is = $planting->but(dates: new Dates($planting->sow, $ground, $planting->bedStart->plus($ground->since($planting->ground)),
                $ready, $clear->isBefore($ready) ? $ready : $clear));
            if ($is != $planting) {
                $moved[] = ['was' => $planting, 'is' => $is];
            }
        }

        return $moved;
    }
}
