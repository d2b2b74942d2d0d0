<?php

declare(strict_types=1);

namespace JollyFurrow\Maturity;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\Method;
use JollyFurrow\Measure\Quantity;
use JollyFurrow\Measure\Unit;
use JollyFurrow\Message\Message;
use JollyFurrow\Shelter\Cover;

/**
 * What growers at this place would plan, of all that is possible: soon enough, cool enough, worth the picking. Beside the
 * best sowing of the year there.
 */
final class Usual
{
    private const YEAR = 365;
    /** The year is tried in steps of so many days. */
    private const STEP = 5;
    /** Bulbs below this share of the best of the year are small; below that share of full size nobody plants for them. */
    private const SMALL = 0.9;
    private const TOO_SMALL = 0.7;
    /** Peas that flower from so long after the longest day, in two weeks warmer than this, get mildew (own proxy). */
    private const MILDEW_AFTER = 30;
    private const MILDEW_ABOVE = 11.0;
    private const FLOWERS = 0.7;
    private const SEASONS_OF_LIGHT = 2.0;
    private const HALF_YEAR = 183;
    /** @var array<string, array{hot: float, pickings: float, size: float}> by method */
    private array $best = [];

    public function __construct(private readonly Crop $crop, private readonly Ripening $ripening, private readonly LocalTiming $timing)
    {
    }

    public function against(Ripeness $ripe, Method $method): ?Message
    {
        if ($this->crop->growth->anchored) {
            return null;
        }
        $best = $this->best[$method->value] ??= $this->best($method);
        $limits = $this->crop->limits;
        $heat = $limits->heat;
        $takes = $ripe->ready - $ripe->ground;
        $catalogue = $this->crop->timing->daysNearest($method);

        return match (true) {
            $takes > $limits->slow * $catalogue, null !== $limits->longest && $takes > $limits->longest => Message::of(Against::Slow,
                days: $takes, usual: (int) round(min($limits->longest ?? \PHP_INT_MAX, $limits->slow * $catalogue))),
            null !== $heat && $heat->rules && ($heat->isTooMuch($best['hot'])
                || $ripe->hot > $heat->atMost($best['hot'])) => Message::of(Against::HotDays,
                    share: Quantity::of($ripe->hot, Unit::Share), loss: Quantity::of($heat->loss($ripe->hot), Unit::Share)),
            $ripe->pickings < $limits->pick * $best['pickings'] => Message::of(Against::FewPickings,
                share: Quantity::of($ripe->pickings / max(1e-9, $best['pickings']), Unit::Share)),
            $limits->mildews && $this->getsMildew($ripe, $method) => Message::of(Against::Mildew),
            $ripe->size < max(self::TOO_SMALL, self::SMALL * $best['size']) => Message::of(Against::SmallBulbs,
                share: Quantity::of($ripe->size, Unit::Share)),
            default => null,
        };
    }

    private function getsMildew(Ripeness $ripe, Method $method): bool
    {
        $sun = $this->timing->sun;
        $flowers = $this->ripening->after(Method::Sown === $method ? $ripe->emerges : $ripe->ground,
            self::FLOWERS * $this->ripening->toCome($method)) ?? $ripe->ready;
        $since = $sun->sinceLongest($flowers);
        $weeks = $this->timing->twoWeeks(Cover::None)[$flowers - $this->timing->weather->first] ?? 0.0;

        return $sun->longest - $sun->shortest > self::SEASONS_OF_LIGHT && $since >= self::MILDEW_AFTER && $since <= self::HALF_YEAR
            && $weeks > self::MILDEW_ABOVE;
    }

    /** @return array{hot: float, pickings: float, size: float} */
    private function best(Method $method): array
    {
        $best = ['hot' => 1.0, 'pickings' => 0.0, 'size' => 0.0];
        $from = $this->timing->yearFrom();
        for ($day = $from; $day < $from + self::YEAR; $day += self::STEP) {
            $ripe = $this->ripening->fromGround($day, $day, $method);
            if (null !== $ripe && $ripe->isPossible()) {
                $best = ['hot' => min($best['hot'], $ripe->hot), 'pickings' => max($best['pickings'], $ripe->pickings),
                    'size' => max($best['size'], $ripe->size)];
            }
        }

        return $best;
    }
}
