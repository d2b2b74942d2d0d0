<?php

declare(strict_types=1);

namespace JollyFurrow\Ways;

use JollyFurrow\Crop\Method;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Message\Message;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Standing;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Time\Day;

/** One way to grow an item: method, place and sowing day, with all that follows from them. Days are day numbers. */
final readonly class Candidate
{
    /** Key of its crop and variety in the book. */
    public string $variety;

    /**
     * @param int               $ground    sown in the bed or planted out
     * @param int               $bedStart  first day the bed is taken, preparation included
     * @param int               $ready     first harvest
     * @param int               $lastField last day it stands fit in the bed
     * @param float             $perMetre  units per bed metre over the whole harvest
     * @param float             $setUp     cents, whatever the length
     * @param float             $cost      cents per bed metre
     * @param int|null          $tray      micrometres of bed one full tray fills, where only full trays are wanted
     * @param array<int, float> $curve     units per metre by day, for cuts and picking
     */
    public function __construct(
        public string $item,
        public Method $method,
        public PlaceType $place,
        public string $recipe,
        public int $sow,
        public int $ground,
        public int $bedStart,
        public int $ready,
        public int $lastField,
        public float $perMetre,
        public float $setUp,
        public float $cost,
        public array $curve,
        ?string $variety = null,
        public ?int $tray = null,
    ) {
        $this->variety = $variety ?? $item;
    }

    /** Orders candidates that cost the same: earlier sowing day, then this. */
    public function key(): string
    {
        return $this->variety.'@'.$this->sow.'/'.$this->place->value.'/'.$this->method->value;
    }

    /** @return array<int, float> share of the yield by days after ready; none for a stock */
    public function harvest(): array
    {
        $harvest = [];
        foreach ($this->curve as $day => $units) {
            $harvest[$day - $this->ready] = round($units / max(1e-9, $this->perMetre), 5);
        }

        return $harvest;
    }

    /**
     * The planting it becomes: only planned yet.
     *
     * @param list<Stretch> $pieces
     * @param string|null   $recipe  how its beds are made ready, where it is not the usual way
     * @param int|null      $start   day number they are taken from then
     * @param int|null      $last    day number they are cleared; null: as long as it stands fit
     * @param list<Message> $remarks
     */
    public function planting(string $key, array $pieces, ?string $recipe = null, ?int $start = null, ?int $last = null,
        array $remarks = [], bool $locked = false): Planting
    {
        return new Planting(
            $key, $this->item, $this->method, $this->place, $recipe ?? $this->recipe,
            Day::of($this->sow), Day::of($this->ground), Day::of($start ?? $this->bedStart), Day::of($this->ready),
            Day::of($last ?? $this->lastField),
            $this->perMetre, $pieces, Standing::Planned, $locked, $remarks, variety: $this->variety, harvest: $this->harvest(),
        );
    }
}
