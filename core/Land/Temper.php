<?php

declare(strict_types=1);

namespace JollyFurrow\Land;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\Pattern;
use JollyFurrow\Measure\Length;
use JollyFurrow\Measure\Quantity;
use JollyFurrow\Measure\Unit;
use JollyFurrow\Message\Message;
use JollyFurrow\Time\Day;

/** How a bed is by nature, as its grower knows it: what speaks against a crop there is told, never forbidden. */
final readonly class Temper
{
    public const WETNESS = ['fair', 'wet', 'dry'];
    public const WARMTH = ['fair', 'early', 'late'];
    public const WEEDS = ['few', 'many', 'tough'];
    public const SHADE = ['none', 'part', 'deep'];
    /** Nothing is sown on a wet or late bed before, month and day in the north (common practice, no source). */
    private const EARLY = 420;
    /** Roots fork on a pan less deep than this, cm (common practice, no source). */
    private const SHALLOW_PAN = 30;

    /** @param Length|null $pan down to a pan, by the probe; null: none found */
    public function __construct(
        public string $wetness = 'fair',
        public string $warmth = 'fair',
        public string $weeds = 'few',
        public string $shade = 'none',
        public ?Length $pan = null,
        public bool $hasWater = true,
    ) {
        foreach ([[$wetness, self::WETNESS], [$warmth, self::WARMTH], [$weeds, self::WEEDS], [$shade, self::SHADE]] as [$is, $allowed]) {
            if (!\in_array($is, $allowed, true)) {
                throw new \DomainException(\sprintf('A bed is one of %s, not "%s".', implode(', ', $allowed), $is));
            }
        }
    }

    public function isUsual(): bool
    {
        return $this == new self();
    }

    /** @return list<Message> what is not as usual */
    public function told(): array
    {
        return array_values(array_filter([
            match ($this->wetness) {
                'wet' => Message::of(BedIs::Wet), 'dry' => Message::of(BedIs::Dry), default => null,
            },
            match ($this->warmth) {
                'early' => Message::of(BedIs::Early), 'late' => Message::of(BedIs::Late), default => null,
            },
            match ($this->weeds) {
                'many' => Message::of(BedIs::ManyWeedSeeds), 'tough' => Message::of(BedIs::ToughWeeds), default => null,
            },
            match ($this->shade) {
                'part' => Message::of(BedIs::PartShade), 'deep' => Message::of(BedIs::DeepShade), default => null,
            },
            null === $this->pan ? null : Message::of(BedIs::Pan, depth: Quantity::of($this->pan->centimetres(), Unit::Centimetre)),
            $this->hasWater ? null : Message::of(BedIs::NoWater),
        ]));
    }

    /** @return list<Message> what speaks against a crop that goes into the ground there on a day */
    public function against(Crop $crop, Day $ground, float $latitude): array
    {
        $month = $latitude < 0 ? ($ground->month() + 5) % 12 + 1 : $ground->month();
        $isEarly = 100 * $month + $ground->dayOfMonth() < self::EARLY;
        $isFruit = Pattern::Picking === $crop->pattern || 'cucurbit' === $crop->habits->rotation;
        $found = [];
        if ('wet' === $this->wetness && $isEarly) {
            $found[] = Message::of(Unsuited::TooWetSoEarly);
        }
        if ('late' === $this->warmth && ($isEarly || $crop->tender && $month < 6)) {
            $found[] = Message::of(Unsuited::LateToWarm);
        }
        if ('dry' === $this->wetness && !$this->hasWater && $crop->stand->depth->centimetres() <= 1.0) {
            $found[] = Message::of(Unsuited::DriesOut);
        }
        if ('tough' === $this->weeds) {
            $found[] = Message::of(Unsuited::ToughWeeds);
        }
        if (null !== $this->pan && $this->pan->centimetres() < self::SHALLOW_PAN && 'root' === $crop->habits->rotation) {
            $found[] = Message::of(Unsuited::RootsForkOnPan, depth: Quantity::of($this->pan->centimetres(), Unit::Centimetre));
        }
        if ('deep' === $this->shade || ('part' === $this->shade && $isFruit)) {
            $found[] = Message::of(Unsuited::InShade);
        }

        return $found;
    }
}
