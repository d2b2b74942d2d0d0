<?php

declare(strict_types=1);

namespace App\Find;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Land\Bed;
use JollyFurrow\Paste\CropNames;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Promise\Outlet;

/** What some words may mean in a garden: by the start of a bed's name, any name of a crop, an outlet's name. */
final readonly class Found
{
    private const MOST = 40;

    /**
     * @param list<Bed>               $beds
     * @param list<Crop>              $crops
     * @param array<string, Planting> $plantings by id: of these crops or on these beds, that are not over
     * @param list<Outlet>            $outlets
     */
    private function __construct(public string $words, public array $beds, public array $crops, public array $plantings,
        public array $outlets)
    {
    }

    /** @param array<string, string> $ids planting key => id */
    public static function of(string $words, Garden $garden, CropBook $book, array $ids): self
    {
        $plain = mb_strtolower($words);
        if ('' === $plain) {
            return new self('', [], [], [], []);
        }
        $beds = array_values(array_filter($garden->beds, static fn (Bed $b): bool => str_starts_with(mb_strtolower($b->name), $plain)));
        $exact = array_values(array_filter($beds, static fn (Bed $b): bool => mb_strtolower($b->name) === $plain));
        $beds = [] === $exact ? $beds : $exact;
        $crops = array_map($book->get(...), (new CropNames($book))->meant($words));
        if ([] === $crops && mb_strlen($plain) > 2) {
            $crops = array_values(array_filter($book->all(), static fn (Crop $c): bool => str_contains(mb_strtolower(implode(' ',
                [$c->name, $c->variety, ...$c->also])), $plain)));
        }
        $items = array_map(static fn (Crop $c): string => $c->item(), $crops);
        $names = array_map(static fn (Bed $b): string => $b->name, $beds);
        $plantings = [];
        foreach ($garden->plantings as $planting) {
            $isOn = [] !== array_filter($planting->pieces, static fn ($piece): bool => \in_array($piece->bed, $names, true));
            if (!$planting->isOver($garden->today) && isset($ids[$planting->key]) && ($isOn || \in_array($planting->item, $items, true))) {
                $plantings[$ids[$planting->key]] = $planting;
            }
        }
        $outlets = array_values(array_filter($garden->outlets, static fn (Outlet $o): bool => str_contains(mb_strtolower($o->name),
            $plain)));

        return new self($words, \array_slice($beds, 0, self::MOST), \array_slice($crops, 0, self::MOST),
            \array_slice($plantings, 0, self::MOST, true), $outlets);
    }

    public function isNothing(): bool
    {
        return [] === $this->beds && [] === $this->crops && [] === $this->plantings && [] === $this->outlets;
    }

    /** @return array{route: string, parameters: array<string, string>}|null the one page that is meant; null: none, or several */
    public function only(): ?array
    {
        return match (true) {
            1 === \count($this->beds) && [] === $this->crops && [] === $this->outlets => ['route' => 'bed',
                'parameters' => ['bed' => $this->beds[0]->name]],
            1 === \count($this->outlets) && [] === $this->crops && [] === $this->beds => ['route' => 'promises',
                'parameters' => ['outlet' => $this->outlets[0]->key]],
            1 === \count($this->crops) && [] === $this->plantings && [] === $this->beds && [] === $this->outlets => ['route' => 'crop',
                'parameters' => ['crop' => $this->crops[0]->key]],
            default => null,
        };
    }
}
