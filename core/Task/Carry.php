<?php

declare(strict_types=1);

namespace JollyFurrow\Task;

use JollyFurrow\Crop\Method;
use JollyFurrow\Crop\Spacing;
use JollyFurrow\Measure\Length;
use JollyFurrow\Nursery\SeedNeed;
use JollyFurrow\Planting\Planting;

/** What to carry to a sowing or planting, and how it is to stand. */
final readonly class Carry
{
    private function __construct(public SeedNeed $need, public Spacing $spacing, public Length $depth, public Length $sowing,
        public int $cellsPerTray)
    {
    }

    public static function of(Site $site, Planting $planting): self
    {
        $crop = $site->crop($planting);
        $stand = $crop->standFor($planting->method);
        $width = $site->beds[$planting->pieces[0]->bed ?? '']->width ?? Length::fromMicrometres(Spacing::STANDARD_WIDTH);
        $spacing = Spacing::inBed($stand, $width, $planting->length());

        return new self(SeedNeed::of($crop, $planting->method, $spacing), $spacing, $stand->depth, Method::Sown === $planting->method
            ? $stand->sowing ?? $stand->inRow : $stand->inRow, $crop->stand->cellsPerTray);
    }
}
