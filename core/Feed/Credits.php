<?php

declare(strict_types=1);

namespace JollyFurrow\Feed;

use JollyFurrow\Climate\Climate;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Crop\Pattern;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Land\Stretch;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Soil\BedSoil;
use JollyFurrow\Soil\CompostWay;
use JollyFurrow\Soil\Heat;
use JollyFurrow\Soil\Nutrients;
use JollyFurrow\Soil\Release;
use JollyFurrow\Soil\ShedProduct;
use JollyFurrow\Soil\Spread;
use JollyFurrow\Time\Day;

/** What there is in a stretch of bed for a planting, before anything is spread for it. */
final readonly class Credits
{
    public const COMPOST = 'compost';
    /**
     * Kilograms of nitrogen a hectare and year from each percent of organic matter: 20 lb an acre (from memory, a rule of US
     * extension services), by the share of the year's warmth that falls on the crop, at most five percent.
     */
    private const ORGANIC_KG_HA = 22.4;
    private const ORGANIC_MOST = 5.0;
    /** Soil colder than this gives none, degrees C (common practice). */
    private const COLD = 5.0;
    /**
     * Nitrogen in the dry matter of a green manure, and the share of it that comes free for the next crop (from memory,
     * believed to be Managing Cover Crops Profitably, SARE: legumes 3.5 %, others 1.5 to 2 %; half of it).
     */
    private const GREEN_LEGUME = 0.035;
    private const GREEN_OTHER = 0.015;
    private const GREEN_FREE = 0.5;
    /** Grams of dry matter in the book's unit of a green manure, 100 g. */
    private const GREEN_UNIT = 100.0;
    /** Ended at most so long before the planting, days. */
    private const GREEN_DAYS = 150;

    /** @var list<float> warmth of the year up to each day, the last all of it */
    private array $warmth;
    /** @var array<string, list<Spread>> by bed */
    private array $spreads;
    /** @var array<string, list<Planting>> by bed */
    private array $stood;

    public function __construct(private Garden $garden, private CropBook $crops, private RecipeBook $recipes)
    {
        $climate = $garden->climate->climate;
        $warmth = [0.0];
        for ($i = 0; $i < Climate::DAYS; ++$i) {
            $warmth[] = $warmth[$i] + max(0.0, ($climate->min[$i] + $climate->max[$i]) / 2 - self::COLD);
        }
        $this->warmth = $warmth;
        $spreads = $stood = [];
        foreach ($garden->soil->spreads as $spread) {
            $spreads[$spread->bed][] = $spread;
        }
        foreach ([] === $spreads ? [] : $garden->plantings as $planting) {
            foreach (array_unique(array_map(static fn (Stretch $s): string => $s->bed, $planting->pieces)) as $bed) {
                $stood[$bed][] = $planting;
            }
        }
        $this->spreads = $spreads;
        $this->stood = $stood;
    }

    /**
     * @param list<Planting> $before  plantings on that bed that ended before
     * @param Nutrients      $carried grams a square metre, left over by the crop before
     *
     * @return list<Credit>
     */
    public function of(Planting $planting, Stretch $stretch, BedSoil $soil, array $before, Nutrients $carried): array
    {
        $credits = [new Credit(CreditKind::OrganicMatter, Nutrients::of(0.1 * self::ORGANIC_KG_HA * min(self::ORGANIC_MOST,
            $soil->organic) * min(1.0, $this->warmth($planting->ground, $planting->clear)), 0.0, 0.0)),
            ...$this->greenManures($planting, $before), ...$this->spreads($planting, $stretch->bed), ...$this->compost($planting, $before)];
        $credits = $carried->isNone() ? $credits : [...$credits, new Credit(CreditKind::Carried, $carried)];

        return array_values(array_filter($credits, static fn (Credit $c): bool => !$c->gives->isNone()));
    }

    /** Share of the year's warmth above the cold of soil that falls on those days. */
    public function warmth(Day $from, Day $until): float
    {
        $year = $this->warmth[Climate::DAYS];
        $days = $until->since($from);
        if ($year <= 0.0 || $days <= 0) {
            return min(1.0, max(0, $days) / 365);
        }
        $sum = $this->warmth[Climate::index($until)] - $this->warmth[Climate::index($from)];

        return ($sum + $year * ($sum < 0.0 || $days > 365 ? intdiv($days, 365) + ($sum < 0.0 ? 1 : 0) : 0)) / $year;
    }

    /**
     * @param list<Planting> $before
     *
     * @return list<Credit>
     */
    private function greenManures(Planting $planting, array $before): array
    {
        $credits = [];
        foreach ($before as $one) {
            $crop = $this->crops->grown($one->item, $one->variety);
            if (Pattern::GreenManure === $crop->pattern && $planting->ground->since($one->clear) <= self::GREEN_DAYS) {
                $width = $this->garden->bedsByName()[$one->pieces[0]->bed]->width->metres();
                $dry = $one->yieldPerMetre() * self::GREEN_UNIT / $width;
                $credits[] = new Credit(CreditKind::GreenManure, Nutrients::of($dry * self::GREEN_FREE
                    * ('Legume' === $crop->family ? self::GREEN_LEGUME : self::GREEN_OTHER), 0.0, 0.0), $crop->key);
            }
        }

        return $credits;
    }

    /** @return list<Credit> what was spread on the bed before it,
     * but not for itself; the first crop after it in a year has all of that year */
    private function spreads(Planting $planting, string $bed): array
    {
        $credits = [];
        foreach ($this->spreads[$bed] ?? [] as $spread) {
            if (str_starts_with($spread->key, $planting->key.'/')) {
                continue;
            }
            $years = $planting->ground->since($spread->day);
            $year = $years < 0 ? -1 : intdiv($years, 365);
            if ($year >= 0 && $this->isFirstInYear($planting, $spread, $year)) {
                $credits[] = new Credit(CreditKind::Spread, $spread->inYear($year), $spread->product);
            }
        }

        return $credits;
    }

    /** No other planting took that year's release of it before. */
    private function isFirstInYear(Planting $planting, Spread $spread, int $year): bool
    {
        foreach ($this->stood[$spread->bed] ?? [] as $other) {
            $years = $other->ground->since($spread->day);
            if ($other->key !== $planting->key && $other->ground->isBefore($planting->ground) && $years >= 0 && intdiv($years,
                365) === $year) {
                return false;
            }
        }

        return true;
    }

    /**
     * @param list<Planting> $before
     *
     * @return list<Credit>
     */
    private function compost(Planting $planting, array $before): array
    {
        return self::isComposted($this->garden, $this->recipes, $planting, $before) ? [new Credit(CreditKind::Compost,
            self::composted($this->garden))] : [];
    }

    /**
     * The preparation of this planting brings compost: by its recipe, and once a year where the garden wants it so.
     *
     * @param list<Planting> $before on that bed
     */
    public static function isComposted(Garden $garden, RecipeBook $recipes, Planting $planting, array $before): bool
    {
        $way = $garden->soil->rules->compost;
        $has = static fn (Planting $p): bool => $recipes->has($p->recipe) && $recipes->get($p->recipe)->spreadsCompost;
        if (CompostWay::None === $way || !$has($planting)) {
            return false;
        }

        return CompostWay::EachCrop === $way || [] === array_filter($before, static fn (Planting $p): bool => $has($p)
            && $p->ground->year() === $planting->ground->year());
    }

    /** Grams a square metre that come free in the first year of the garden's depth of compost. */
    public static function composted(Garden $garden): Nutrients
    {
        $compost = self::product($garden);

        return $compost->releases()->times($garden->settings->compostDepth->millimetres() * ($compost->litre ?? 0.6) * 1000);
    }

    /** The garden's own compost, or one as is usual: 0.8 - 0.4 - 0.7 % of a kilogram as it lies (own model). */
    public static function product(Garden $garden): ShedProduct
    {
        return $garden->soil->product(self::COMPOST) ?? new ShedProduct(self::COMPOST, 'Compost', Nutrients::of(0.8, 0.4, 0.7), 4.0,
            Release::Compost, Heat::NoManure, 'barrow', 50.0, null, 0.6);
    }
}
