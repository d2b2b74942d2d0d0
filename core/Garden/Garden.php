<?php

declare(strict_types=1);

namespace JollyFurrow\Garden;

use JollyFurrow\Book\OwnValue;
use JollyFurrow\Climate\DailyRecord;
use JollyFurrow\Crop\Spacing;
use JollyFurrow\Diary\Diary;
use JollyFurrow\Land\Bed;
use JollyFurrow\Land\PastCrop;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Maturity\LocalTiming;
use JollyFurrow\Maturity\PlaceClimate;
use JollyFurrow\Measure\Length;
use JollyFurrow\Planting\FieldNote;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Planting\Plantings;
use JollyFurrow\Promise\Outlet;
use JollyFurrow\Promise\Product;
use JollyFurrow\Promise\Promise;
use JollyFurrow\Recipe\Recipe;
use JollyFurrow\Sale\MarketBook;
use JollyFurrow\Shelter\Cover;
use JollyFurrow\Shelter\CoverCalendar;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Shelter\Protection;
use JollyFurrow\Soil\SoilBook;
use JollyFurrow\Storage\StoreBook;
use JollyFurrow\Time\Day;
use JollyFurrow\Treatment\SprayBook;

/** A whole garden as it stands on one day: all that a plan is drawn up from. */
final readonly class Garden
{
    public Plantings $plantings;
    public PlaceClimate $climate;

    /**
     * @param list<string>       $blocks      names, in walking order
     * @param list<Bed>          $beds        in walking order
     * @param list<PastCrop>     $history
     * @param list<Outlet>       $outlets
     * @param list<Product>      $products
     * @param list<Promise>      $promises
     * @param iterable<Planting> $plantings
     * @param list<FieldNote>    $notes
     * @param list<Protection>   $protections
     * @param list<OwnValue>     $own         values of crops that are the garden's own
     * @param list<Recipe>       $recipes     of the garden's own
     * @param Practice|null      $practice    null: a real garden
     * @param Diary              $diary       what was ticked, who works, own jobs
     * @param SoilBook           $soil        tests, the shed, what was spread, valves
     * @param StoreBook          $store       where produce lies, what was brought in and became of it
     * @param SprayBook          $sprays      treatments and what they keep off
     * @param MarketBook         $market      what was ordered, what it costs, how market days went
     */
    public function __construct(
        public string $name,
        public Day $today,
        public Place $place,
        public Settings $settings,
        public array $blocks,
        public array $beds,
        public array $history,
        public array $outlets,
        public array $products,
        public array $promises,
        iterable $plantings,
        public array $notes = [],
        ?PlaceClimate $climate = null,
        public array $protections = [],
        public array $own = [],
        public array $recipes = [],
        public ?Practice $practice = null,
        public Diary $diary = new Diary(),
        public SoilBook $soil = new SoilBook(),
        public StoreBook $store = new StoreBook(),
        public SprayBook $sprays = new SprayBook(),
        public MarketBook $market = new MarketBook(),
    ) {
        $this->climate = $climate ?? PlaceClimate::guessed($place->latitude, $place->altitude);
        $this->plantings = $plantings instanceof Plantings ? $plantings : Plantings::of($plantings);
    }

    /** @param iterable<Planting> $plantings */
    public function with(iterable $plantings, ?Day $today = null): self
    {
        return $this->but(plantings: $plantings, today: $today);
    }

    /**
     * The same garden with notes more.
     *
     * @param list<FieldNote> $notes
     */
    public function noting(array $notes): self
    {
        return $this->but(notes: [...$this->notes, ...$notes]);
    }

    /** The same garden with another diary. */
    public function keeping(Diary $diary): self
    {
        return $this->but(diary: $diary);
    }

    /** The same garden with other soil. */
    public function storing(StoreBook $store): self
    {
        return $this->but(store: $store);
    }

    public function treated(SprayBook $sprays): self
    {
        return $this->but(sprays: $sprays);
    }

    public function selling(MarketBook $market): self
    {
        return $this->but(market: $market);
    }

    public function onSoil(SoilBook $soil): self
    {
        return $this->but(soil: $soil);
    }

    /** The same garden to practise in, under another name. */
    public function practised(Practice $practice, string $name): self
    {
        return $this->but(practice: $practice, name: $name);
    }

    /** The same garden on another day, with what was measured up to it. */
    public function on(Day $day, DailyRecord $measured): self
    {
        return $this->but(today: $day, climate: $this->climate->measuring($measured));
    }

    /** The same garden with other settings. */
    public function set(Settings $settings): self
    {
        return $this->but(settings: $settings);
    }

    /** @return array<string, Bed> by name */
    public function bedsByName(): array
    {
        $byName = [];
        foreach ($this->beds as $bed) {
            $byName[$bed->name] = $bed;
        }

        return $byName;
    }

    /** @return list<Bed> that are not retired */
    public function bedsInUse(): array
    {
        return array_values(array_filter($this->beds, fn (Bed $bed): bool => !$bed->isRetiredOn($this->today)));
    }

    /**
     * The same garden with only some of its beds.
     *
     * @param list<Bed> $beds
     */
    public function onBeds(array $beds): self
    {
        return $this->but(beds: $beds);
    }

    /** Heat and light of this place; null: catalogue days hold the year round. */
    public function timing(): ?LocalTiming
    {
        return $this->climate->isTimedByIt ? $this->local() : null;
    }

    /** What grows here and when, whatever the days are counted by: a season follows from the place. */
    public function local(): LocalTiming
    {
        return $this->climate->timing($this->place->latitude, $this->today, $this->settings->rules->odds, $this->settings->rules->benches,
            $this->settings->rules->hollow);
    }

    /**
     * The same garden with other promises.
     *
     * @param list<Promise> $promises
     */
    public function promising(array $promises): self
    {
        return $this->but(promises: $promises);
    }

    /**
     * The same garden selling at other outlets.
     *
     * @param list<Outlet> $outlets
     */
    public function offering(array $outlets): self
    {
        return $this->but(outlets: $outlets);
    }

    public function named(string $name): self
    {
        return $this->but(name: $name);
    }

    /**
     * The same garden with other covers.
     *
     * @param list<Protection> $protections
     */
    public function covered(array $protections): self
    {
        return $this->but(protections: $protections);
    }

    /** What stands over a planting: its place, and the covers put over it or its beds. */
    public function coversOf(Planting $planting): CoverCalendar
    {
        $beds = array_map(static fn (Stretch $piece): string => $piece->bed, $planting->pieces);

        return CoverCalendar::with(Cover::usualOf($planting->place), array_values(array_filter($this->protections,
            static fn (Protection $p): bool => $p->isOver($planting->key, $beds))));
    }

    /** Width that most metres of bed of one place type have. */
    public function usualWidth(PlaceType $place): Length
    {
        $metres = [];
        foreach ($this->beds as $bed) {
            if ($bed->place === $place && null === $bed->retired) {
                $metres[$bed->width->micrometres] = ($metres[$bed->width->micrometres] ?? 0) + $bed->length->micrometres;
            }
        }
        arsort($metres);

        return Length::fromMicrometres((int) (array_key_first($metres) ?? Spacing::STANDARD_WIDTH));
    }

    /** Metres of bed of one place type. */
    public function metresOf(PlaceType $place): float
    {
        $metres = 0.0;
        foreach ($this->beds as $bed) {
            $metres += $bed->place === $place && null === $bed->retired ? $bed->length->metres() : 0.0;
        }

        return $metres;
    }

    /**
     * @param iterable<Planting>|null $plantings
     * @param list<Bed>|null          $beds
     * @param list<Promise>|null      $promises
     * @param list<Protection>|null   $protections
     * @param list<FieldNote>|null    $notes
     * @param list<Outlet>|null       $outlets
     */
    private function but(?iterable $plantings = null, ?Day $today = null, ?Settings $settings = null, ?array $beds = null,
        ?array $promises = null, ?array $protections = null, ?PlaceClimate $climate = null, ?Practice $practice = null,
        ?string $name = null, ?array $notes = null, ?Diary $diary = null, ?SoilBook $soil = null, ?StoreBook $store = null,
        ?SprayBook $sprays = null, ?MarketBook $market = null, ?array $outlets = null): self
    {
        return new self(
            $name ?? $this->name, $today ?? $this->today, $this->place, $settings ?? $this->settings, $this->blocks, $beds ?? $this->beds,
            $this->history,
            $outlets ?? $this->outlets, $this->products, $promises ?? $this->promises, $plantings ?? $this->plantings, $notes
                ?? $this->notes,
            $climate ?? $this->climate,
            $protections ?? $this->protections, $this->own, $this->recipes, $practice ?? $this->practice,
            $diary ?? $this->diary,
            $soil ?? $this->soil, $store ?? $this->store, $sprays ?? $this->sprays,
            $market ?? $this->market,
        );
    }
}
