<?php

declare(strict_types=1);

namespace JollyFurrow\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261125090000 extends AbstractMigration
{
    private const NOTE = 'CREATE TABLE field_note (id VARCHAR(36) NOT NULL PRIMARY KEY, garden_id VARCHAR(36) NOT NULL REFERENCES garden (id) ON DELETE CASCADE, version INTEGER NOT NULL DEFAULT 1, planting_id VARCHAR(36) NOT NULL, what VARCHAR(10) NOT NULL CHECK (what IN (%s)), day INTEGER NOT NULL, length_mm INTEGER DEFAULT NULL CHECK (length_mm IS NULL OR length_mm > 0), share DOUBLE PRECISION DEFAULT NULL CHECK (share IS NULL OR share BETWEEN 0 AND 1), units DOUBLE PRECISION DEFAULT NULL CHECK (units IS NULL OR units >= 0), words VARCHAR(400) NOT NULL%s, UNIQUE (garden_id, id), FOREIGN KEY (garden_id, planting_id) REFERENCES planting (garden_id, id) DEFERRABLE INITIALLY DEFERRED)';
    private const OLD = "'sown', 'planted', 'emerged', 'picked', 'finished', 'lost'";

    public function getDescription(): string
    {
        return 'The climate of a place, readings, and signs seen on a crop';
    }

    public function isTransactional(): bool
    {
        return false;
    }

    public function up(Schema $schema): void
    {
        $this->addSql('BEGIN IMMEDIATE');
        $this->addSql('CREATE TABLE climate (id VARCHAR(36) NOT NULL PRIMARY KEY, garden_id VARCHAR(36) NOT NULL UNIQUE REFERENCES garden (id) ON DELETE CASCADE, version INTEGER NOT NULL DEFAULT 1, timed BOOLEAN NOT NULL, months CLOB DEFAULT NULL, record CLOB DEFAULT NULL, normals CLOB NOT NULL, frost CLOB NOT NULL, UNIQUE (garden_id, id))');
        $this->addSql("CREATE TABLE reading (id VARCHAR(36) NOT NULL PRIMARY KEY, garden_id VARCHAR(36) NOT NULL REFERENCES garden (id) ON DELETE CASCADE, version INTEGER NOT NULL DEFAULT 1, day INTEGER NOT NULL, min DOUBLE PRECISION NOT NULL, max DOUBLE PRECISION NOT NULL CHECK (max >= min), rain DOUBLE PRECISION DEFAULT NULL CHECK (rain IS NULL OR rain >= 0), source VARCHAR(10) NOT NULL CHECK (source IN ('station', 'folder', 'typed', 'file')), UNIQUE (garden_id, id), UNIQUE (garden_id, day))");
        $this->notes(self::OLD.", 'seen'", ", sign VARCHAR(20) NOT NULL DEFAULT ''", 'id, garden_id, version, planting_id, what, day, length_mm, share, units, words');
        $this->addSql('COMMIT');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('BEGIN IMMEDIATE');
        $this->addSql("DELETE FROM field_note WHERE what = 'seen'");
        $this->notes(self::OLD, '', 'id, garden_id, version, planting_id, what, day, length_mm, share, units, words');
        $this->addSql('DROP TABLE reading');
        $this->addSql('DROP TABLE climate');
        $this->addSql('COMMIT');
    }

    /** A check of a column is changed by making the table anew. */
    private function notes(string $kinds, string $more, string $columns): void
    {
        $this->addSql('ALTER TABLE field_note RENAME TO field_note_old');
        $this->addSql('DROP INDEX idx_field_note_planting_id');
        $this->addSql(\sprintf(self::NOTE, $kinds, $more));
        $this->addSql(\sprintf('INSERT INTO field_note (%s) SELECT %s FROM field_note_old', $columns, $columns));
        $this->addSql('DROP TABLE field_note_old');
        $this->addSql('CREATE INDEX idx_field_note_planting_id ON field_note (garden_id, planting_id)');
    }
}
