<?php

declare(strict_types=1);

namespace JollyFurrow\Land;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\Pattern;
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

    /** @param int|null $pan millimetres down to a pan, by the probe; null: none found */
    public function __construct(
        public string $wetness = 'fair',
        public string $warmth = 'fair',
        public string $weeds = 'few',
        public string $shade = 'none',
        public ?int $pan = null,
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

    /** @return list<string> */
    public function words(): array
    {
        return array_values(array_filter([
            'fair' === $this->wetness ? '' : 'lies '.$this->wetness,
            'fair' === $this->warmth ? '' : $this->warmth.' to warm',
            match ($this->weeds) {
                'many' => 'many weed seeds', 'tough' => 'tough-rooted weeds', default => '',
            },
            match ($this->shade) {
                'part' => 'shaded part of the day', 'deep' => 'deep shade', default => '',
            },
            null === $this->pan ? '' : 'a pan at '.intdiv($this->pan, 10).' cm',
            $this->hasWater ? '' : 'no water reaches it',
        ]));
    }

    /** @return list<string> what speaks against a crop that goes into the ground there on a day */
    public function against(Crop $crop, Day $ground, float $latitude): array
    {
        $month = $latitude < 0 ? ($ground->month() + 5) % 12 + 1 : $ground->month();
        $isEarly = 100 * $month + $ground->dayOfMonth() < self::EARLY;
        $isFruit = Pattern::Picking === $crop->pattern || 'cucurbit' === $crop->habits->rotation;

        return array_values(array_filter([
            'wet' === $this->wetness && $isEarly ? 'it lies wet: so early it is often not fit to work' : '',
            'late' === $this->warmth && ($isEarly || $crop->tender && $month < 6) ? 'it is late to warm' : '',
            'dry' === $this->wetness && !$this->hasWater && $crop->stand->depth->millimetres <= 10 ? 'it dries out and no water reaches it: small seed comes up badly' : '',
            'tough' === $this->weeds ? 'it has tough-rooted weeds: its preparation begins two weeks sooner' : '',
            null !== $this->pan && $this->pan < 300 && 'root' === $crop->habits->rotation ? \sprintf('roots fork on a pan at %d cm: loosen it first', intdiv($this->pan, 10)) : '',
            'deep' === $this->shade || ('part' === $this->shade && $isFruit) ? 'it lies in shade' : '',
        ]));
    }
}
