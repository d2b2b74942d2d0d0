<?php

declare(strict_types=1);

namespace JollyFurrow\Book;

use JollyFurrow\Crop\Cleaning;
use JollyFurrow\Crop\Habits;
use JollyFurrow\Crop\Hardiness;
use JollyFurrow\Crop\PickTime;
use JollyFurrow\Crop\Pollen;
use JollyFurrow\Crop\Stock;
use JollyFurrow\Crop\StoreRoom;

/** Reads what the book says of a crop's habits. */
final readonly class HabitsReader
{
    /** Rotation goes by these groups, not by family alone. */
    public const ROTATION = ['cabbage', 'onion', 'root', 'leaf', 'legume', 'nightshade', 'cucurbit', 'grain', 'perennial'];

    public function read(BookValues $values): Habits
    {
        [$phLeast, $phMost] = $values->range('ph', 4, 9);

        return new Habits(
            $values->choice('frost_class', Hardiness::class),
            $values->text('sign'),
            $values->choice('pick_time', PickTime::class),
            $values->int('cool_hours', 0, 72),
            $values->spacing('spacing_hoe'),
            $values->has('spacing_cover') ? $values->spacing('spacing_cover') : null,
            $values->choice('stock', Stock::class),
            $values->optionalInt('stock_ahead_days', 0, 120) ?? 0,
            $phLeast,
            $phMost,
            $values->oneOf('rotation', self::ROTATION),
            $values->int('isolation_m', 0, 2000),
            $values->optionalInt('isolation_days', 0, 60) ?? 0,
            $values->has('pollen') ? $values->choice('pollen', Pollen::class) : null,
            $values->yes('bees') ? $values->int('flower_days', 1, 120) : null,
            $this->store($values),
            $values->text('toxic'),
        );
    }

    /** None for what is not harvested. */
    private function store(BookValues $values): ?StoreRoom
    {
        if (!$values->has('store_c')) {
            return null;
        }
        [$least, $most] = $values->range('store_days', 1, 400);

        return new StoreRoom($values->float('store_c', -1, 20), $values->int('store_rh', 30, 100), (int) $least, (int) $most,
            $values->has('chill_c') ? $values->float('chill_c', 0, 16) : null, $values->has('cleaning') ? $values->choice('cleaning',
                Cleaning::class) : Cleaning::Washed);
    }
}
