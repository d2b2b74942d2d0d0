<?php

declare(strict_types=1);

namespace JollyFurrow\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;
use JollyFurrow\Climate\InvalidClimate;
use JollyFurrow\Climate\MonthlyMeans;
use JollyFurrow\Maturity\PlaceClimate;

final class Version20261127200000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Harvest days of a planting; what was reckoned from monthly means is reckoned anew, with nights that spread by the place';
    }

    public function isTransactional(): bool
    {
        return false;
    }

    public function up(Schema $schema): void
    {
        $this->addSql('BEGIN IMMEDIATE');
        $this->addSql('ALTER TABLE planting ADD COLUMN harvest CLOB DEFAULT NULL');
        $rows = $this->connection->fetchAllAssociative('SELECT c.id, c.months, g.latitude FROM climate c JOIN garden g ON g.garden_id = c.garden_id WHERE c.months IS NOT NULL');
        foreach ($rows as $row) {
            $climate = \is_string($row['months']) && is_numeric($row['latitude'])
                ? self::reckoned($row['months'], (float) $row['latitude']) : null;
            if (null !== $climate) {
                $this->addSql('UPDATE climate SET normals = ?, frost = ? WHERE id = ?', [
                    json_encode($climate->climate->values(), \JSON_THROW_ON_ERROR),
                    json_encode(['dates' => $climate->frost->dates, 'years' => $climate->frost->years], \JSON_THROW_ON_ERROR),
                    $row['id']]);
            }
        }
        $this->addSql('COMMIT');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('BEGIN IMMEDIATE');
        $this->addSql('ALTER TABLE planting DROP COLUMN harvest');
        $this->addSql('COMMIT');
    }

    /** Null: what is stored is no year, and stays as it is. */
    private static function reckoned(string $months, float $latitude): ?PlaceClimate
    {
        $stored = json_decode($months, true);
        $line = static fn (string $what): array => \is_array($stored) && \is_array($stored[$what] ?? null)
            ? array_map(static fn (mixed $value): float => is_numeric($value) ? (float) $value : 0.0, array_values($stored[$what])) : [];
        try {
            return PlaceClimate::fromMonths(MonthlyMeans::of($line('min'), $line('max'), [] === $line('rain') ? null : $line('rain')),
                $latitude);
        } catch (InvalidClimate) {
            return null;
        }
    }
}
