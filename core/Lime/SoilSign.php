<?php

declare(strict_types=1);

namespace JollyFurrow\Lime;

use JollyFurrow\Crop\Crop;

/** One thing the soil of some beds asks for. */
final readonly class SoilSign
{
    /**
     * @param non-empty-list<string> $beds
     * @param LimeNeed|null          $lime of the bed that needs most
     * @param float                  $kg   of lime or sulphur for all of them
     * @param float|null             $salt dS/m of the saltiest
     * @param Crop|null              $crop that suffers most of what is planned there
     * @param float                  $loss share of its yield
     */
    public function __construct(public SoilSignKind $kind, public string $block, public array $beds, public ?LimeNeed $lime = null,
        public float $kg = 0.0, public ?float $salt = null, public ?Crop $crop = null, public float $loss = 0.0)
    {
    }
}
