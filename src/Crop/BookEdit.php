<?php

declare(strict_types=1);

namespace App\Crop;

use App\Books\GardenBooks;
use App\Books\OwnValues;
use App\Change\PlantingChanges;
use App\Log\ChangeLog;
use App\Log\Meanwhile;
use App\Store\PlantingKeeper;
use App\Store\Snapshot;
use Doctrine\DBAL\Connection;
use JollyFurrow\Beds\Conflicts;
use JollyFurrow\Book\OwnValue;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Hand\BookChange;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Recipe\RecipeBook;

/** Keeps a change of a garden's own values as one entry of the log, its plantings following or not. */
final readonly class BookEdit
{
    public function __construct(private GardenBooks $books, private OwnValues $values, private Snapshot $snapshot,
        private PlantingKeeper $plantings, private ChangeLog $log, private RecipeBook $recipes, private Connection $connection)
    {
    }

    /** What the garden's own values are to a person who looks at them; another one when they change. */
    public static function mark(Garden $garden): string
    {
        return md5(serialize($garden->own));
    }

    /** @param list<OwnValue> $own all own values as they would be */
    public function wouldDo(Garden $garden, array $own): BookChange
    {
        return BookChange::of($garden, $this->books->with($garden->own), $this->books->built($own), $this->recipes);
    }

    /**
     * Crops that plantings stand in or products are made of, and that would no longer be in the book.
     *
     * @param list<OwnValue> $own
     *
     * @return list<string> names
     */
    public function wouldBeMissed(Garden $garden, array $own): array
    {
        $before = $this->books->with($garden->own);
        $after = $this->books->built($own);
        $missed = [];
        foreach ($garden->plantings as $planting) {
            if ($after->has($planting->variety) && $after->get($planting->variety)->item() !== $planting->item) {
                $missed[$planting->variety] = $after->get($planting->variety)->name.' ‘'.$after->get($planting->variety)->variety.'’';
            }
        }
        foreach (self::used($garden) as $key) {
            if ($before->has($key) && !$after->has($key)) {
                $missed[$key] = $before->get($key)->name.' ‘'.$before->get($key)->variety.'’';
            }
        }

        return array_values($missed);
    }

    /**
     * @param list<OwnValue> $own     all own values as they shall be
     * @param bool           $follows plantings take their new dates and yields, as far as their beds allow
     *
     * @return int how many plantings followed
     *
     * @throws Meanwhile when somebody else changed own values since they were looked at
     */
    public function keep(string $gardenId, string $accountId, string $seen, array $own, bool $follows, string $words): int
    {
        return $this->log->record($gardenId, $accountId, static fn (int $moved): string => $words.($follows
            ? \sprintf('; %d plantings follow', $moved) : ''), function () use ($gardenId, $seen, $own, $follows): int {
                $garden = $this->snapshot->of($gardenId);
                if (self::mark($garden) !== $seen) {
                    throw Meanwhile::changed('The garden\'s own crop values');
                }
                if ([] !== ($missed = $this->wouldBeMissed($garden, $own))) {
                    throw Meanwhile::notPossible(\sprintf('%s is still planted or sold; it stays in the book.', $missed[0]));
                }
                $crops = array_values(array_unique(array_map(static fn (OwnValue $v): string => $v->crop, [...$garden->own, ...$own])));
                $moved = $follows ? self::possible($garden, $this->books->built($own), $this->wouldDo($garden, $own)->moved) : [];
                $this->values->replace($gardenId, $crops, $own);
                $this->plantings->replace($gardenId, array_column($moved, 'was'), array_column($moved, 'is'),
                    PlantingChanges::beds($this->connection, $gardenId));

                return \count($moved);
            });
    }

    /**
     * Those that can take their new dates beside everything else on their beds, in turn.
     *
     * @param list<array{was: Planting, is: Planting, lost: bool}> $moved
     *
     * @return list<array{was: Planting, is: Planting, lost: bool}>
     */
    private static function possible(Garden $garden, CropBook $book, array $moved): array
    {
        $taken = [];
        foreach ($moved as $one) {
            if ($one['lost']) {
                continue;
            }
            $after = $garden->with($garden->plantings->with($one['is']));
            if ([] === (new Conflicts($book))->hard($after, $one['is']->key)) {
                $taken[] = $one;
                $garden = $after;
            }
        }

        return $taken;
    }

    /** @return list<string> */
    private static function used(Garden $garden): array
    {
        $keys = [];
        foreach ($garden->plantings as $planting) {
            $keys[] = $planting->item;
            $keys[] = $planting->variety;
        }
        foreach ($garden->products as $product) {
            foreach ($product->parts as $part) {
                $keys[] = $part->item;
            }
        }

        return array_values(array_unique($keys));
    }
}
