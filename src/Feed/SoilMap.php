<?php

declare(strict_types=1);

namespace App\Feed;

use JollyFurrow\Garden\Garden;
use JollyFurrow\Land\Bed;
use JollyFurrow\Soil\BedSoil;
use JollyFurrow\Soil\SoilLevel;

/** Blocks below each other, beds side by side: phosphorus and potassium as two ridges on the soil line, pH beneath it. */
final readonly class SoilMap
{
    private const BED = 46;
    private const ROW = 74;
    private const LEFT = 64;
    private const SOIL = 46;
    private const STEP = 8;

    /**
     * @param list<array{block: string, y: int, beds: list<array{bed: Bed, soil: BedSoil, x: int, p: int, k: int}>}> $rows
     */
    private function __construct(public array $rows, public int $width, public int $height, public int $tested)
    {
    }

    public static function of(Garden $garden): self
    {
        $rows = [];
        $most = $tested = 0;
        foreach ($garden->blocks as $block) {
            $beds = [];
            foreach ($garden->bedsInUse() as $bed) {
                if ($bed->block === $block) {
                    $soil = $garden->soil->soilOf($bed, $garden->today);
                    $tested += (int) $soil->isTested;
                    $beds[] = ['bed' => $bed, 'soil' => $soil, 'x' => self::LEFT + self::BED * \count($beds), 'p' => self::height($soil->p),
                        'k' => self::height($soil->k)];
                }
            }
            if ([] !== $beds) {
                $rows[] = ['block' => $block, 'y' => self::ROW * \count($rows), 'beds' => $beds];
                $most = max($most, \count($beds));
            }
        }

        return new self($rows, self::LEFT + self::BED * $most, self::ROW * \count($rows) + 4, $tested);
    }

    /** Where the soil line lies under the top of a row. */
    public function soil(): int
    {
        return self::SOIL;
    }

    private static function height(SoilLevel $level): int
    {
        return self::STEP * ($level->value + 1) - 4;
    }
}
