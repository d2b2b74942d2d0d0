<?php

declare(strict_types=1);

namespace JollyFurrow\Ladder;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Crop\Method;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Maturity\Against;
use JollyFurrow\Message\Message;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Season\Here;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Time\Day;
use JollyFurrow\Ways\Candidates;

/** Several varieties of one crop put into the ground on one day: their harvests, the gaps between them, and what would fill those. */
final readonly class VarietyLadder
{
    /** Fills offered for one gap. */
    private const FILLS = 3;
    /** How far back a sowing for a gap is looked for, days. */
    private const BACK = 330;

    /**
     * @param list<LadderRung> $rungs the earliest first, those that come to nothing last
     * @param list<LadderGap>  $gaps
     */
    private function __construct(public array $rungs, public array $gaps)
    {
    }

    /** @param Day $ground the day all are planted out or sown in the bed */
    public static function of(Garden $garden, CropBook $book, RecipeBook $recipes, string $item, Day $ground, PlaceType $place): self
    {
        $candidates = new Candidates($garden, $recipes);
        $rungs = array_map(static fn (Crop $crop): LadderRung => self::rung($garden, $candidates, $crop, $ground, $place),
            $book->varietiesOf($item));
        usort($rungs, static fn (LadderRung $a, LadderRung $b): int => [$a->from->number ?? \PHP_INT_MAX,
            $a->crop->key] <=> [$b->from->number ?? \PHP_INT_MAX, $b->crop->key]);

        return new self($rungs, array_map(static fn (array $gap): LadderGap => new LadderGap(Day::of($gap[0]), Day::of($gap[1]),
            self::fills($garden, $candidates, $book->varietiesOf($item), $place, $gap[0], $gap[1])), self::between($rungs)));
    }

    private static function rung(Garden $garden, Candidates $candidates, Crop $crop, Day $ground, PlaceType $place): LadderRung
    {
        $method = self::method($crop);
        $sow = $ground->plus(Method::Transplanted === $method ? -$crop->timing->nurseryDays : 0);
        $against = (new Here($garden))->against($crop, $method, $place, $sow, $ground);
        if (null !== $against) {
            return new LadderRung($crop, null, null, $against);
        }
        $grown = $candidates->inTheGround($crop, $sow, $ground, $place, $method);

        return $grown->lastField < $grown->ready ? new LadderRung($crop, null, null, Message::of(Against::NotReadyInTime))
            : new LadderRung($crop, Day::of($grown->ready), Day::of($grown->lastField), null);
    }

    /** Planted out where it can be: that is how ladders are planted. */
    public static function method(Crop $crop): Method
    {
        return \in_array(Method::Transplanted, $crop->methods(), true) ? Method::Transplanted : Method::Sown;
    }

    /**
     * @param list<LadderRung> $rungs
     *
     * @return list<array{int, int}> first and last day with nothing ready, between the first harvest and the last
     */
    private static function between(array $rungs): array
    {
        $gaps = [];
        $covered = null;
        foreach ($rungs as $rung) {
            if (null === $rung->from || null === $rung->until) {
                continue;
            }
            if (null !== $covered && $rung->from->number > $covered + 1) {
                $gaps[] = [$covered + 1, $rung->from->number - 1];
            }
            $covered = max($covered ?? 0, $rung->until->number);
        }

        return $gaps;
    }

    /**
     * @param list<Crop> $varieties
     *
     * @return list<LadderFill>
     */
    private static function fills(Garden $garden, Candidates $candidates, array $varieties, PlaceType $place, int $from, int $until): array
    {
        $fills = [];
        foreach ($varieties as $crop) {
            $best = null;
            for ($sow = $until; $sow >= max($garden->today->number, $from - self::BACK); --$sow) {
                $way = $candidates->sownOn($crop, Day::of($sow), $place, self::method($crop));
                $covers = null === $way ? 0 : min($until, $way->lastField) - max($from, $way->ready) + 1;
                if (null !== $way && $covers > ($best->covers ?? 0)) {
                    $best = new LadderFill($crop, Day::of($sow), Day::of($way->ready), Day::of($way->lastField), $covers);
                }
            }
            $fills = null === $best ? $fills : [...$fills, $best];
        }
        usort($fills, static fn (LadderFill $a, LadderFill $b): int => [$b->covers, $b->sow->number, $a->crop->key] <=> [$a->covers,
            $a->sow->number, $b->crop->key]);

        return \array_slice($fills, 0, self::FILLS);
    }
}
