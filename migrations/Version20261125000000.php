<?php

declare(strict_types=1);

namespace JollyFurrow\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/** What really stands and happened, proposals, and how people come in: invitations, one-time links, failed sign-ins. */
final class Version20261125000000 extends AbstractMigration
{
    public function isTransactional(): bool
    {
        return false;
    }

    public function up(Schema $schema): void
    {
        $this->addSql('BEGIN IMMEDIATE');
        $this->addSql('ALTER TABLE planting ADD COLUMN stand DOUBLE PRECISION NOT NULL DEFAULT 1 CHECK (stand >= 0 AND stand <= 1)');
        $this->addSql('ALTER TABLE planting ADD COLUMN left_share DOUBLE PRECISION DEFAULT NULL CHECK (left_share IS NULL OR left_share BETWEEN 0 AND 1)');
        $this->addSql('ALTER TABLE planting ADD COLUMN left_since INTEGER DEFAULT NULL');
        $this->addSql("CREATE TABLE field_note (id VARCHAR(36) NOT NULL PRIMARY KEY, garden_id VARCHAR(36) NOT NULL REFERENCES garden (id) ON DELETE CASCADE, version INTEGER NOT NULL DEFAULT 1, planting_id VARCHAR(36) NOT NULL, what VARCHAR(10) NOT NULL CHECK (what IN ('sown', 'planted', 'emerged', 'picked', 'finished', 'lost')), day INTEGER NOT NULL, length_mm INTEGER DEFAULT NULL CHECK (length_mm IS NULL OR length_mm > 0), share DOUBLE PRECISION DEFAULT NULL CHECK (share IS NULL OR share BETWEEN 0 AND 1), units DOUBLE PRECISION DEFAULT NULL CHECK (units IS NULL OR units >= 0), words VARCHAR(400) NOT NULL, UNIQUE (garden_id, id), FOREIGN KEY (garden_id, planting_id) REFERENCES planting (garden_id, id) DEFERRABLE INITIALLY DEFERRED)");
        $this->addSql('CREATE INDEX idx_field_note_planting_id ON field_note (garden_id, planting_id)');
        $this->addSql('CREATE TABLE proposal (id VARCHAR(36) NOT NULL PRIMARY KEY, garden_id VARCHAR(36) NOT NULL UNIQUE REFERENCES garden (id) ON DELETE CASCADE, drawn_at INTEGER NOT NULL, drawn_by VARCHAR(36) NOT NULL, scope VARCHAR(200) NOT NULL, changes CLOB NOT NULL)');
        $this->addSql('ALTER TABLE plan_run ADD COLUMN scope VARCHAR(200) NOT NULL DEFAULT \'\'');
        $this->addSql("CREATE TABLE invitation (id VARCHAR(36) NOT NULL PRIMARY KEY, garden_id VARCHAR(36) NOT NULL REFERENCES garden (id) ON DELETE CASCADE, role VARCHAR(10) NOT NULL CHECK (role IN ('owner', 'grower', 'hand', 'reader')), note VARCHAR(120) NOT NULL, secret VARCHAR(64) NOT NULL UNIQUE, invited_by VARCHAR(36) NOT NULL, ends_at INTEGER NOT NULL, used_by VARCHAR(36) DEFAULT NULL)");
        $this->addSql('CREATE TABLE password_link (id VARCHAR(36) NOT NULL PRIMARY KEY, account_id VARCHAR(36) NOT NULL REFERENCES account (id) ON DELETE CASCADE, secret VARCHAR(64) NOT NULL UNIQUE, ends_at INTEGER NOT NULL, used BOOLEAN NOT NULL)');
        $this->addSql('CREATE TABLE failed_sign_in (id INTEGER PRIMARY KEY AUTOINCREMENT, who VARCHAR(64) NOT NULL, address VARCHAR(64) NOT NULL, at INTEGER NOT NULL)');
        $this->addSql('CREATE INDEX idx_failed_sign_in_at ON failed_sign_in (at)');
        $this->addSql('COMMIT');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('BEGIN IMMEDIATE');
        foreach (['failed_sign_in', 'password_link', 'invitation', 'proposal', 'field_note'] as $table) {
            $this->addSql('DROP TABLE '.$table);
        }
        foreach (['planting' => ['left_since', 'left_share', 'stand'], 'plan_run' => ['scope']] as $table => $columns) {
            foreach ($columns as $column) {
                $this->addSql(\sprintf('ALTER TABLE %s DROP COLUMN %s', $table, $column));
            }
        }
        $this->addSql('COMMIT');
    }
}
