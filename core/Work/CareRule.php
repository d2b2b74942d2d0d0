<?php

declare(strict_types=1);

namespace JollyFurrow\Work;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\Method;
use JollyFurrow\Crop\Stock;
use JollyFurrow\Recipe\Kit;
use JollyFurrow\Time\MonthDay;
use JollyFurrow\Working\Source;

/** One kind of care: whom it is for, from when, how often, how long it takes. */
final readonly class CareRule
{
    /**
     * @param int|null      $after            days after the point it is counted from; null: a share of the way to the first harvest
     * @param int|null      $every            again every so many days; null: once
     * @param float         $until            share of the way to the first harvest after which it is not done again
     * @param list<string>  $crops            items; none: all
     * @param list<string>  $patterns         none: all
     * @param list<string>  $methods          none: both
     * @param list<string>  $not              patterns it is not for
     * @param Kit|null      $lays             kit that stands from then on until the bed is cleared
     * @param MonthDay|null $on               on that day of every year instead; of the northern half of the world
     * @param int           $slow             only where it takes so many days to come up
     * @param list<Stock>   $notStocks        what it is not for: no raking over slips
     * @param bool          $isOnBareSoil     it works the soil, so not where film, fabric or straw lies on it
     * @param bool          $isOfGrowingWeeds only in weeks warm enough for weeds to grow
     * @param bool          $isChoice         growers do it or leave it, planting by planting
     * @param float|null    $threshold        a count above it is acted on; null: nothing is counted
     */
    public function __construct(
        public string $key,
        public string $name,
        public CarePoint $from,
        public ?int $after,
        public float $share,
        public ?int $every,
        public float $until,
        public array $crops,
        public array $patterns,
        public array $methods,
        public array $not,
        public int $slow,
        public float $hoursPer100Metres,
        public string $tool,
        public Source $source,
        public ?MonthDay $on = null,
        public ?Kit $lays = null,
        public array $notStocks = [],
        public bool $isOnBareSoil = false,
        public bool $isOfGrowingWeeds = false,
        public bool $isChoice = false,
        public ?float $threshold = null,
    ) {
    }

    public function isFor(Crop $crop, Method $method): bool
    {
        return ([] === $this->crops || \in_array($crop->item(), $this->crops, true))
            && ([] === $this->patterns || \in_array($crop->pattern->value, $this->patterns, true))
            && ([] === $this->methods || \in_array($method->value, $this->methods, true))
            && !\in_array($crop->pattern->value, $this->not, true) && !\in_array($crop->habits->stock, $this->notStocks, true);
    }
}
