<?php

declare(strict_types=1);

namespace JollyFurrow\Migrations;

use App\Codec\Millimetres;
use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261128030000 extends AbstractMigration
{
    /** @var array<string, array<string, string>> columns of whole millimetres by table, and what they are called from now on */
    private const COLUMNS = [
        'bed' => ['length' => 'length', 'width' => 'width', 'path' => 'path'],
        'piece' => ['from_mm' => 'from_um', 'to_mm' => 'to_um'],
        'past_crop' => ['from_mm' => 'from_um', 'to_mm' => 'to_um'],
        'field_note' => ['length_mm' => 'length_um'],
        'garden' => ['compost_depth' => 'compost_depth'],
    ];
    /** @var array<string, string> columns of JSON by table; a garden's kit holds nothing but lengths */
    private const JSON = ['bed' => 'temper', 'garden' => 'kit'];

    public function getDescription(): string
    {
        return 'Lengths in whole micrometres: what was typed in inches and rounded to millimetres is exact again, in the log too; care a planting does without';
    }

    public function isTransactional(): bool
    {
        return false;
    }

    public function up(Schema $schema): void
    {
        $this->addSql('BEGIN IMMEDIATE');
        $isInch = [];
        foreach ($this->connection->fetchAllKeyValue('SELECT garden_id, units FROM garden') as $garden => $units) {
            $isInch[$garden] = 'us' === $units;
        }
        foreach (self::COLUMNS as $table => $columns) {
            foreach ($columns as $old => $new) {
                if ($old !== $new) {
                    $this->addSql(\sprintf('ALTER TABLE %s RENAME COLUMN %s TO %s', $table, $old, $new));
                }
            }
            foreach ($this->connection->fetchAllAssociative('SELECT * FROM '.$table) as $row) {
                $is = self::row($table, $row, $isInch[self::text($row['garden_id'])] ?? false);
                $changed = array_intersect_key($is, array_flip([...array_values($columns), self::JSON[$table] ?? '']));
                $this->addSql(\sprintf('UPDATE %s SET %s WHERE id = ?', $table, implode(', ', array_map(
                    static fn (string $column): string => $column.' = ?', array_keys($changed)))), [...array_values($changed), $row['id']]);
            }
        }
        foreach ($this->connection->iterateAssociative('SELECT id, garden_id, images FROM log_entry') as $entry) {
            $images = json_decode(self::text($entry['images']), true);
            if (\is_array($images)) {
                $images = array_map(static fn (mixed $image): mixed => \is_array($image)
                    ? self::image($image, $isInch[self::text($entry['garden_id'])] ?? false) : $image, $images);
                $this->addSql('UPDATE log_entry SET images = ? WHERE id = ?', [json_encode($images, \JSON_PRESERVE_ZERO_FRACTION
                    | \JSON_THROW_ON_ERROR), $entry['id']]);
            }
        }
        // A proposal holds stretches of the beds as they were: it is drawn up anew.
        $this->addSql("DELETE FROM proposal WHERE garden_id IN (SELECT garden_id FROM garden WHERE units = 'us')");
        $this->addSql('ALTER TABLE planting ADD COLUMN care_left_out CLOB DEFAULT NULL');
        $this->addSql('COMMIT');
    }

    public function down(Schema $schema): void
    {
        $this->throwIrreversibleMigrationException('Whole millimetres cannot hold lengths in inches.');
    }

    /**
     * @param array<mixed> $image
     *
     * @return array<mixed>
     */
    private static function image(array $image, bool $isInch): array
    {
        foreach (['before', 'after'] as $when) {
            if (\is_array($image[$when] ?? null)) {
                $image[$when] = self::row(self::text($image['table'] ?? ''), $image[$when], $isInch);
            }
        }

        return $image;
    }

    /**
     * @param array<mixed> $row
     *
     * @return array<string, mixed>
     */
    private static function row(string $table, array $row, bool $isInch): array
    {
        $columns = self::COLUMNS[$table] ?? [];
        $now = [];
        foreach ($row as $column => $value) {
            $column = (string) $column;
            $now[$columns[$column] ?? $column] = match (true) {
                isset($columns[$column]) && is_numeric($value) => Millimetres::ofWhole((int) $value, $isInch),
                isset(self::JSON[$table]) && self::JSON[$table] === $column && \is_string($value) => self::json($column, $value, $isInch),
                default => $value,
            };
        }

        return $now;
    }

    private static function json(string $column, string $json, bool $isInch): string
    {
        $values = json_decode($json, true);
        if (!\is_array($values) || [] === $values) {
            return $json;
        }
        $now = 'kit' === $column
            ? array_map(static fn (mixed $length): mixed => \is_int($length) ? Millimetres::ofWhole($length, $isInch) : $length, $values)
            : ($isInch ? Millimetres::inInches($values) : $values);

        return json_encode($now, \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE);
    }

    private static function text(mixed $value): string
    {
        return \is_string($value) ? $value : '';
    }
}
