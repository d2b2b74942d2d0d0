<?php

declare(strict_types=1);

namespace App\Hand;

use App\Change\PlantingChanges;
use App\Log\ChangeLog;
use App\Log\Meanwhile;
use App\Rows\ProtectionRecord;
use App\Store\PlantingKeeper;
use App\Store\Snapshot;
use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use JollyFurrow\Beds\Conflicts;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Hand\Covering;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Shelter\Protection;

/** Puts covers on and takes them off, the plantings under them with their new dates, each as one entry of the log. */
final readonly class Covers
{
    private Covering $covering;

    public function __construct(private Snapshot $snapshot, private ChangeLog $log, private PlantingKeeper $plantings,
        private EntityManagerInterface $entities, private Connection $connection, private CropBook $book, RecipeBook $recipes)
    {
        $this->covering = new Covering($book, $recipes);
    }

    /** @return list<array{was: Planting, is: Planting}> what the cover would make of the plantings */
    public function wouldDo(Garden $garden, Protection $protection): array
    {
        return $this->covering->of($garden, [...$garden->protections, $protection]);
    }

    /** @throws Meanwhile when the new dates do not fit the beds */
    public function putOn(string $gardenId, string $accountId, Protection $protection, string $words): void
    {
        $this->log->record($gardenId, $accountId, $words, function () use ($gardenId, $protection): void {
            $garden = $this->snapshot->of($gardenId);
            $beds = PlantingChanges::beds($this->connection, $gardenId);
            $this->follow($gardenId, $garden, [...$garden->protections, $protection], $beds);
            $this->entities->persist(new ProtectionRecord($gardenId, '' === $protection->bed ? null : $beds[$protection->bed],
                $protection));
        });
    }

    /**
     * @return bool false: there is no such cover
     *
     * @throws Meanwhile when the new dates do not fit the beds
     */
    public function takeOff(string $gardenId, string $accountId, string $id): bool
    {
        $record = $this->entities->getRepository(ProtectionRecord::class)->findOneBy(['gardenId' => $gardenId, 'id' => $id]);
        if (null === $record) {
            return false;
        }
        $this->log->record($gardenId, $accountId, 'A cover taken out of the plan', function () use ($gardenId, $record): void {
            $garden = $this->snapshot->of($gardenId);
            $at = (int) array_search($record->id, self::ids($this->connection, $gardenId), true);
            $left = $garden->protections;
            unset($left[$at]);
            $this->follow($gardenId, $garden, array_values($left), PlantingChanges::beds($this->connection, $gardenId));
            $this->entities->remove($record);
        });

        return true;
    }

    /** @return list<string> in the order of a garden's protections */
    public static function ids(Connection $connection, string $gardenId): array
    {
        /** @var list<string> $ids */
        $ids = $connection->fetchFirstColumn('SELECT id FROM protection WHERE garden_id = ? ORDER BY from_day, id', [$gardenId]);

        return $ids;
    }

    /**
     * @param list<Protection>      $protections
     * @param array<string, string> $beds
     */
    private function follow(string $gardenId, Garden $garden, array $protections, array $beds): void
    {
        $moved = $this->covering->of($garden, $protections);
        $new = array_combine(array_map(static fn (array $m): string => $m['is']->key, $moved), array_column($moved, 'is'));
        $after = $garden->covered($protections)->with(array_map(static fn (Planting $p): Planting => $new[$p->key] ?? $p,
            $garden->plantings->all()));
        $hard = (new Conflicts($this->book))->hard($after, ...array_keys($new));
        if ([] !== $hard) {
            throw Meanwhile::notPossible($hard[0]->message);
        }
        $this->plantings->replace($gardenId, array_column($moved, 'was'), array_column($moved, 'is'), $beds);
    }
}
