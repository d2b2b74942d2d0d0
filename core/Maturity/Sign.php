<?php

declare(strict_types=1);

namespace JollyFurrow\Maturity;

use JollyFurrow\Crop\Crop;
use JollyFurrow\Crop\Pattern;

/** A stage one can check with one's own eyes or hands; it beats the model. Shares still to come: common practice, no source. */
enum Sign: string
{
    case Halfway = 'halfway';
    case Roots = 'roots';
    case Hearts = 'hearts';
    case Flowers = 'flowers';
    case Silk = 'silk';
    case Tubers = 'tubers';
    case TopsDown = 'tops-down';
    case FitNow = 'fit';

    /** Share of the development, from the plant in the ground to the harvest, that is still to come. */
    public function left(): float
    {
        return match ($this) {
            self::Halfway => 0.5,
            self::Roots => 0.25,
            self::Hearts => 0.2,
            self::Flowers => 0.3,
            self::Silk => 0.27,
            self::Tubers => 0.25,
            self::TopsDown => 0.08,
            self::FitNow => 0.0,
        };
    }

    /** @return list<self> what can be seen on this crop, the earliest first */
    public static function of(Crop $crop): array
    {
        $middle = match (true) {
            'corn' === $crop->key => [self::Silk],
            str_starts_with($crop->key, 'potato') => [self::Flowers, self::Tubers],
            \in_array($crop->key, ['onion', 'garlic'], true) => [self::TopsDown],
            \in_array($crop->family, ['Parsley', 'Goosefoot'], true) && $crop->pattern->isStock(),
            \in_array($crop->key, ['radish', 'turnip', 'kohlrabi', 'leek'], true) => [self::Roots],
            Pattern::Picking === $crop->pattern && $crop->tender => [self::Flowers],
            $crop->pattern->isStock() => [self::Hearts],
            default => [],
        };

        return [self::Halfway, ...$middle, self::FitNow];
    }
}
