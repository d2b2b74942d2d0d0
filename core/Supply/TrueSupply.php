<?php

declare(strict_types=1);

namespace JollyFurrow\Supply;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Crop\Method;
use JollyFurrow\Crop\Pattern;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Harvest\HarvestDays;
use JollyFurrow\Maturity\Ripeness;
use JollyFurrow\Maturity\Ripening;
use JollyFurrow\Planting\Dates;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Time\Day;

/**
 * What plantings give as things are: one whose sowing day went by and that nobody noted as sown gives nothing until it is
 * sown. It is reckoned as if sown today where that still ripens, else it gives nothing at all. What was brought in counts as it is.
 */
final readonly class TrueSupply
{
    private BroughtIn $broughtIn;

    public function __construct(private Garden $garden, private CropBook $book)
    {
        $this->broughtIn = new BroughtIn($garden, $book);
    }

    /** @return array<string, list<Lot>> by item: what lies in store of no planting that stands */
    public function loose(): array
    {
        return $this->broughtIn->loose();
    }

    /** @return array<string, list<Lot>> by item: what lies in store and what all plantings give */
    public function byItem(): array
    {
        $lots = $this->loose();
        foreach ($this->garden->plantings as $planting) {
            if ($this->book->has($planting->item)) {
                $lots[$planting->item] = [...$lots[$planting->item] ?? [], ...$this->lots($planting)];
            }
        }

        return $lots;
    }

    /** @return list<Lot> by day */
    public function lots(Planting $planting): array
    {
        $true = $this->of($planting);

        return $this->broughtIn->of($planting, $this->crop($planting), null === $true ? [] : Lot::of($true, $this->crop($planting)));
    }

    /** The planting with the dates it can still have; null: it comes to nothing any more. */
    public function of(Planting $planting): ?Planting
    {
        $crop = $this->crop($planting);
        if (!$planting->isLate($this->garden->today) || \in_array($crop->pattern, [Pattern::Perennial, Pattern::GreenManure], true)) {
            return $planting;
        }
        $ripening = $this->garden->local()->of($crop, $this->garden->coversOf($planting));
        $today = $this->garden->today;
        $ground = Method::Sown === $planting->method ? $today->number : $ripening->outOfTheNursery($today->number);
        $ripe = null === $ground ? null : $ripening->fromGround($today->number, $ground, $planting->method);

        return null === $ripe || !$ripe->isPossible() ? null : $this->redated($planting, $crop, $ripening, $ripe);
    }

    private function redated(Planting $planting, Crop $crop, Ripening $ripening, Ripeness $ripe): ?Planting
    {
        $isTimed = null !== $this->garden->timing();
        $later = $this->garden->today->since($planting->sow);
        $ready = $isTimed ? Day::of($ripe->ready) : $planting->ready->plus($later);
        $stays = $ready->plus($planting->clear->since($planting->ready));
        $ends = Day::of($isTimed ? $ripe->lastGood : min($ripe->ends, $stays->number));
        $clear = $stays->isBefore($ends) ? $stays : $ends;
        $harvest = [];
        foreach ($isTimed ? HarvestDays::of($crop, $ripening, $ripe) : [] as $day => $share) {
            $harvest[$day - $ripe->ready] = $share;
        }
        if (!$crop->pattern->isStock() && $isTimed) {
            $clear = [] === $harvest ? $ready : $ready->plus(max(array_keys($harvest)));
        }
        $bed = Day::of(max($planting->bedStart->number, min($ripe->ground, $this->garden->today->number)));

        return $clear->isBefore($ready) ? null : $planting->but(dates: new Dates($this->garden->today, Day::of($ripe->ground), $bed,
            $ready, $clear), perMetre: $planting->perMetre * ($isTimed ? $ripe->size : 1.0), harvest: $isTimed ? $harvest : null);
    }

    private function crop(Planting $planting): Crop
    {
        return $this->book->grown($planting->item, $planting->variety);
    }
}
