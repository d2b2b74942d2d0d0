<?php

declare(strict_types=1);

namespace App\Books;

use App\Rows\OwnValueRecord;
use App\Shared\Row;
use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use JollyFurrow\Book\OwnValue;

/** Keeps a garden's own values. To be called inside a logged change. */
final readonly class OwnValues
{
    public function __construct(private EntityManagerInterface $entities)
    {
    }

    /** @return list<OwnValue> */
    public static function of(Connection $connection, string $gardenId): array
    {
        $rows = array_map(static fn (array $row): Row => new Row($row),
            $connection->fetchAllAssociative('SELECT crop, name, amount, note FROM own_value WHERE garden_id = ? ORDER BY crop, name',
                [$gardenId]));

        return array_map(static fn (Row $r): OwnValue => new OwnValue($r->text('crop'), $r->text('name'), $r->text('amount'),
            $r->text('note')), $rows);
    }

    /**
     * These and no others of the crops named.
     *
     * @param list<string>   $crops
     * @param list<OwnValue> $values
     */
    public function replace(string $gardenId, array $crops, array $values): void
    {
        $wanted = [];
        foreach ($values as $value) {
            $wanted[$value->crop][$value->name] = $value;
        }
        foreach ($this->entities->getRepository(OwnValueRecord::class)->findBy(['gardenId' => $gardenId, 'crop' => $crops]) as $record) {
            $value = $wanted[$record->crop][$record->name] ?? null;
            null === $value ? $this->entities->remove($record) : $record->become($value);
            unset($wanted[$record->crop][$record->name]);
        }
        foreach (array_merge(...array_map(array_values(...), array_values($wanted))) as $value) {
            $this->entities->persist(new OwnValueRecord($gardenId, $value));
        }
    }
}
