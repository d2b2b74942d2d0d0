<?php

declare(strict_types=1);

namespace JollyFurrow\Beds;

use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Planting\Standing;

/** Which family stood, stands and is to stand on each bed, year by year, and where it comes back too soon. */
final readonly class FamilyYears
{
    public const BACK = 3;
    public const AHEAD = 1;

    /**
     * @param list<int>                                            $years
     * @param array<string, array<int, array<string, FamilyStay>>> $stays by bed in walking order, year and family: the longest first
     */
    private function __construct(public array $years, public array $stays)
    {
    }

    public static function of(Garden $garden, CropBook $book): self
    {
        $years = range($garden->today->year() - self::BACK, $garden->today->year() + self::AHEAD);
        $found = [];
        $add = static function (Stretch $piece, string $item, int $year, bool $isPlanned = false,
            bool $isTooSoon = false) use (&$found, $book): void {
            $crop = $book->has($item) ? $book->get($item) : null;
            $family = $crop->family ?? '';
            $found[$piece->bed][$year][$family] = FamilyStay::more($found[$piece->bed][$year][$family] ?? null, $family, $crop->name
                ?? $item,
                $piece->length()->metres() * $piece->widthShare, $isPlanned, $isTooSoon);
        };
        foreach ($garden->history as $past) {
            $add($past->stretch, $past->crop, $past->cleared->year());
        }
        foreach ($garden->plantings as $planting) {
            $isTooSoon = [] !== array_filter($planting->remarks, static fn ($m): bool => \in_array($m->code, [Rule::FamilyTooSoon,
                Rule::OutOfTurn], true));
            foreach ($planting->pieces as $piece) {
                $add($piece, $planting->item, $planting->ground->year(), Standing::Planned === $planting->standing, $isTooSoon);
            }
        }
        $stays = [];
        foreach ($garden->bedsInUse() as $bed) {
            foreach ($years as $year) {
                $there = $found[$bed->name][$year] ?? [];
                uasort($there, static fn (FamilyStay $a, FamilyStay $b): int => [$b->metres, $a->family] <=> [$a->metres, $b->family]);
                $stays[$bed->name][$year] = $there;
            }
        }

        return new self($years, $stays);
    }

    /**
     * A bed planted twice counts twice.
     *
     * @return array<string, array<int, float>> metres of bed by family and year, the largest first
     */
    public function metres(): array
    {
        $sums = [];
        foreach ($this->stays as $years) {
            foreach ($years as $year => $stays) {
                foreach ($stays as $family => $stay) {
                    $sums[$family][$year] = ($sums[$family][$year] ?? 0.0) + $stay->metres;
                }
            }
        }
        uasort($sums, static fn (array $a, array $b): int => array_sum($b) <=> array_sum($a));

        return $sums;
    }
}
