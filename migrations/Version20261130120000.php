<?php

declare(strict_types=1);

namespace JollyFurrow\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261130120000 extends AbstractMigration
{
    private const NOTE = 'CREATE TABLE field_note (id VARCHAR(36) NOT NULL PRIMARY KEY, garden_id VARCHAR(36) NOT NULL REFERENCES garden (id) ON DELETE CASCADE, version INTEGER NOT NULL DEFAULT 1, planting_id VARCHAR(36) NOT NULL, what VARCHAR(10) NOT NULL CHECK (what IN (%s)), day INTEGER NOT NULL, length_um INTEGER DEFAULT NULL CHECK (length_um IS NULL OR length_um > 0), share DOUBLE PRECISION DEFAULT NULL CHECK (share IS NULL OR share BETWEEN 0 AND 1), units DOUBLE PRECISION DEFAULT NULL CHECK (units IS NULL OR units >= 0), words VARCHAR(400) NOT NULL, sign VARCHAR(20) NOT NULL DEFAULT \'\', UNIQUE (garden_id, id), FOREIGN KEY (garden_id, planting_id) REFERENCES planting (garden_id, id) DEFERRABLE INITIALLY DEFERRED)';
    private const OLD = "'sown', 'planted', 'emerged', 'picked', 'finished', 'lost', 'seen', 'begun'";
    private const COLUMNS = 'id, garden_id, version, planting_id, what, day, length_um, share, units, words, sign';

    public function getDescription(): string
    {
        return 'A sample is noted: what was found on a metre or so';
    }

    public function isTransactional(): bool
    {
        return false;
    }

    public function up(Schema $schema): void
    {
        $this->addSql('BEGIN IMMEDIATE');
        $this->notes(self::OLD.", 'sampled'");
        $this->addSql('COMMIT');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('BEGIN IMMEDIATE');
        $this->addSql("DELETE FROM field_note WHERE what = 'sampled'");
        $this->notes(self::OLD);
        $this->addSql('COMMIT');
    }

    /** A check of a column is changed by making the table anew. */
    private function notes(string $kinds): void
    {
        $this->addSql('ALTER TABLE field_note RENAME TO field_note_old');
        $this->addSql('DROP INDEX idx_field_note_planting_id');
        $this->addSql(\sprintf(self::NOTE, $kinds));
        $this->addSql(\sprintf('INSERT INTO field_note (%s) SELECT %s FROM field_note_old', self::COLUMNS, self::COLUMNS));
        $this->addSql('DROP TABLE field_note_old');
        $this->addSql('CREATE INDEX idx_field_note_planting_id ON field_note (garden_id, planting_id)');
    }
}
