<?php

declare(strict_types=1);

namespace JollyFurrow\Crop;

use JollyFurrow\Growth\Growth;
use JollyFurrow\Growth\Limits;
use JollyFurrow\Measure\Length;
use JollyFurrow\Shelter\PlaceType;
use JollyFurrow\Time\YearWindow;
use JollyFurrow\Working\Source;

/** A crop of the book with one variety; its sources name where each value comes from. */
final readonly class Crop
{
    /**
     * @param array<string, YearWindow> $sowing  usual at the reference place, by place type: a remark, but that it is worth a roof
     * @param array<string, Source>     $sources by the value's name in the book
     * @param string|null               $of      key of the crop this is a further variety of
     * @param array<string, string>     $notes   the grower's own, by name in the book
     * @param list<string>              $also    other names growers use
     * @param Stand|null                $planted how it stands when planted out of trays; null: as when sown
     */
    public function __construct(
        public string $key,
        public string $name,
        public string $variety,
        public string $family,
        public Feeding $feeding,
        public bool $tender,
        public Pattern $pattern,
        public Timing $timing,
        public Stand $stand,
        public Produce $produce,
        public Rhythm $rhythm,
        public Growth $growth,
        public array $sowing,
        public string $recipe,
        public array $sources,
        public Habits $habits,
        public Limits $limits,
        private ?string $of = null,
        public array $notes = [],
        public array $also = [],
        private ?Stand $planted = null,
    ) {
    }

    /** Units a metre of bed of that width gives: as many more as it holds more plants than the standard bed. */
    public function perMetreOn(Length $width): float
    {
        return $this->produce->perMetre * Spacing::rowsOn($this->stand, $width) / $this->stand->rows;
    }

    public function standFor(Method $method): Stand
    {
        return Method::Transplanted === $method ? $this->planted ?? $this->stand : $this->stand;
    }

    /** An item is a crop in one form of harvest; a further variety of it gives the same item. */
    public function item(): string
    {
        return $this->of ?? $this->key;
    }

    public function isFurtherVariety(): bool
    {
        return null !== $this->of;
    }

    /** The same crop standing otherwise. */
    public function standing(Stand $stand, float $yieldTimes): self
    {
        $p = $this->produce;

        return new self($this->key, $this->name, $this->variety, $this->family, $this->feeding, $this->tender, $this->pattern,
            $this->timing, $stand,
            new Produce($p->form, $p->unit, $p->perMetre * $yieldTimes, $p->packingLoss, $p->keepingDays, $p->weeklyLoss, $p->stored),
            $this->rhythm, $this->growth, $this->sowing, $this->recipe, $this->sources, $this->habits, $this->limits, $this->of,
            $this->notes, $this->also);
    }

    /**
     * Where growers would think of it: in the open anything, where the season lets it; under a roof what is worth one.
     *
     * @return list<PlaceType>
     */
    public function places(): array
    {
        $isWorthARoof = isset($this->sowing[PlaceType::Tunnel->value]) || isset($this->sowing[PlaceType::Heated->value]);

        return $isWorthARoof ? PlaceType::cases() : [PlaceType::Field];
    }

    /** @return list<Method> */
    public function methods(): array
    {
        return array_values(array_filter(Method::cases(), fn (Method $method): bool => null !== $this->timing->daysFor($method)));
    }

    /** Of all its values: two crops of one fingerprint grow alike. */
    public function fingerprint(): string
    {
        return md5(serialize($this));
    }

    /** Where its days to maturity come from, by that method or the nearest the book knows. */
    public function daysSource(Method $method): Source
    {
        return $this->source(Method::Sown === $this->timing->nearest($method) ? 'days_sown' : 'days_transplanted');
    }

    public function source(string $value): Source
    {
        return $this->sources[$value] ?? throw new \LogicException(\sprintf('%s has no value "%s" in the book.', $this->key, $value));
    }
}
