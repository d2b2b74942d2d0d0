<?php

declare(strict_types=1);

namespace JollyFurrow\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261202080000 extends AbstractMigration
{
    private const OLD = "'order', 'terms', 'price', 'day', 'size', 'box'";
    private const COLUMNS = 'id, garden_id, version, kind, key_name, day, data';

    public function getDescription(): string
    {
        return 'Mixes, where a glut goes, delivery notes; copies of a garden that ask what if';
    }

    public function isTransactional(): bool
    {
        return false;
    }

    public function up(Schema $schema): void
    {
        $this->addSql('BEGIN IMMEDIATE');
        $this->entries(self::OLD.", 'mix', 'glut', 'note'");
        $this->addSql('CREATE TABLE what_if (garden_id VARCHAR(36) NOT NULL PRIMARY KEY REFERENCES garden (id) ON DELETE CASCADE, '
            .'of_garden VARCHAR(36) NOT NULL REFERENCES garden (id) ON DELETE CASCADE, question VARCHAR(120) NOT NULL, made INTEGER NOT NULL)');
        $this->addSql('CREATE INDEX what_if_of ON what_if (of_garden)');
        $this->addSql('COMMIT');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('BEGIN IMMEDIATE');
        $this->addSql('DROP TABLE what_if');
        $this->addSql("DELETE FROM market_entry WHERE kind IN ('mix', 'glut', 'note')");
        $this->entries(self::OLD);
        $this->addSql('COMMIT');
    }

    /** A check of a column is changed by making the table anew. */
    private function entries(string $kinds): void
    {
        $this->addSql('ALTER TABLE market_entry RENAME TO market_entry_old');
        $this->addSql('DROP INDEX market_entry_day');
        $this->addSql('CREATE TABLE market_entry (id VARCHAR(36) NOT NULL PRIMARY KEY, '
            .'garden_id VARCHAR(36) NOT NULL REFERENCES garden (id) ON DELETE CASCADE, version INTEGER NOT NULL DEFAULT 1, '
            .\sprintf('kind VARCHAR(10) NOT NULL CHECK (kind IN (%s)), ', $kinds)
            .'key_name VARCHAR(80) NOT NULL, day INTEGER NOT NULL, data CLOB NOT NULL, UNIQUE (garden_id, id), '
            .'UNIQUE (garden_id, kind, key_name))');
        $this->addSql(\sprintf('INSERT INTO market_entry (%s) SELECT %s FROM market_entry_old', self::COLUMNS, self::COLUMNS));
        $this->addSql('DROP TABLE market_entry_old');
        $this->addSql('CREATE INDEX market_entry_day ON market_entry (garden_id, kind, day)');
    }
}
