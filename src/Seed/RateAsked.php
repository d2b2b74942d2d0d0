<?php

declare(strict_types=1);

namespace App\Seed;

use App\Shared\Entry;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Crop\Method;
use JollyFurrow\Crop\Spacing;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Measure\Length;
use JollyFurrow\Nursery\SeedNeed;
use JollyFurrow\Seed\SeedRate;

/** A rate of seed as it was typed, and both things it can mean. */
final readonly class RateAsked
{
    private function __construct(public Entry $entry, public ?SeedRate $rate, public float $each, public ?Length $bed, public int $rows,
        public ?float $wanted = null)
    {
    }

    /** Seeds of one of the two meanings, as a multiple of what the stand of the crop needs; null: no crop was chosen. */
    public function times(float $seeds): ?float
    {
        return null === $this->wanted || $this->wanted <= 0.0 ? null : $seeds / $this->wanted;
    }

    public static function of(Entry $entry, Garden $garden, CropBook $crops): self
    {
        if ('' === $entry->raw('each')) {
            return new self(Entry::fresh(), null, 0.0, null, 0);
        }
        $unit = $garden->settings->units->longUnit();
        $each = $entry->float('each', 0.01, 100_000);
        $bed = $entry->length('bed', $unit, 0.1, 500);
        $rows = $entry->int('rows', 1, 50);

        return new self($entry, $entry->isGood() ? SeedRate::of($each, Length::fromMetres($unit->millimetres() / 1000), $bed, $rows)
            : null, $each, $bed, $rows, $entry->isGood() ? self::wanted($entry->raw('crop'), $crops, $bed) : null);
    }

    /** Seeds the book's stand needs on that length of the usual bed. */
    private static function wanted(string $crop, CropBook $crops, Length $bed): ?float
    {
        if (!$crops->has($crop)) {
            return null;
        }
        $crop = $crops->get($crop);

        return SeedNeed::of($crop, Method::Sown, Spacing::inBed($crop->standFor(Method::Sown),
            Length::fromMicrometres(Spacing::STANDARD_WIDTH), $bed))->seeds->value;
    }
}
