<?php

declare(strict_types=1);

namespace App\Log;

use Doctrine\DBAL\Connection;

/** Rows as they stand in the database, and the way back to an earlier image of them. */
final readonly class RowImages
{
    /** Tables whose rows are logged. */
    private const TABLES = ['garden', 'block', 'bed', 'past_crop', 'outlet', 'product', 'product_part', 'promise', 'planting', 'piece',
        'field_note', 'climate', 'reading', 'own_value', 'own_recipe', 'protection', 'practice', 'worker', 'own_job',
        'own_care', 'job_mark', 'seed_lot', 'soil_test', 'shed_product', 'spread', 'valve', 'valve_bed', 'feed_rules',
        'store_place', 'harvest_lot', 'handling', 'place_day', 'spray', 'spray_bed', 'market_entry'];

    public function __construct(private Connection $connection)
    {
    }

    /**
     * @param array{table: string, id: string} $row
     *
     * @return array<string, mixed>|null
     */
    public function of(array $row): ?array
    {
        $found = $this->connection->fetchAssociative('SELECT * FROM '.self::table($row['table']).' WHERE id = ?', [$row['id']]);

        return false === $found ? null : $found;
    }

    /**
     * Whether a row still is what an image says; the version does not count, for taking back raises it,
     * nor does a column that came after the image.
     *
     * @param array<string, mixed>|null $now
     * @param array<string, mixed>|null $image
     */
    public static function same(?array $now, ?array $image): bool
    {
        if (null === $now || null === $image) {
            return $now === $image;
        }
        unset($image['version']);

        return array_intersect_key($now, $image) == $image;
    }

    /**
     * Puts an image back in place of what is there now.
     *
     * @param array<string, mixed>|null $now
     * @param array<string, mixed>|null $image
     */
    public function restore(string $table, string $id, ?array $now, ?array $image): void
    {
        $table = self::table($table);
        if (null === $image) {
            $this->connection->delete($table, ['id' => $id]);

            return;
        }
        $version = $now['version'] ?? $image['version'] ?? 0;
        $image['version'] = (is_numeric($version) ? (int) $version : 0) + 1;
        null === $now ? $this->connection->insert($table, $image) : $this->connection->update($table, $image, ['id' => $id]);
    }

    private static function table(string $name): string
    {
        return \in_array($name, self::TABLES, true) ? $name : throw new \LogicException(\sprintf('Rows of "%s" are not logged.', $name));
    }
}
