<?php

declare(strict_types=1);

namespace JollyFurrow\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261127230000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Secret links of every kind in one table; staying signed in by stored tokens; a drawing-up tells that it lives';
    }

    public function isTransactional(): bool
    {
        return false;
    }

    public function up(Schema $schema): void
    {
        $this->addSql('BEGIN IMMEDIATE');
        $this->addSql("CREATE TABLE secret_link (id VARCHAR(36) NOT NULL PRIMARY KEY, kind VARCHAR(12) NOT NULL, secret VARCHAR(64) NOT NULL UNIQUE, garden_id VARCHAR(36) DEFAULT NULL REFERENCES garden (id) ON DELETE CASCADE, account_id VARCHAR(36) DEFAULT NULL REFERENCES account (id) ON DELETE CASCADE, made_by VARCHAR(36) DEFAULT NULL REFERENCES account (id) ON DELETE CASCADE, role VARCHAR(10) DEFAULT NULL CHECK (role IS NULL OR role IN ('owner', 'grower', 'hand', 'reader')), note VARCHAR(120) NOT NULL DEFAULT '', made_at INTEGER NOT NULL, ends_at INTEGER NOT NULL, most_uses INTEGER NOT NULL CHECK (most_uses > 0), uses INTEGER NOT NULL DEFAULT 0 CHECK (uses BETWEEN 0 AND most_uses), revoked_at INTEGER DEFAULT NULL)");
        $this->addSql('CREATE INDEX secret_link_garden ON secret_link (garden_id, kind)');
        $this->addSql('CREATE INDEX secret_link_account ON secret_link (account_id, kind)');
        $this->addSql("INSERT INTO secret_link (id, kind, secret, garden_id, made_by, role, note, made_at, ends_at, most_uses, uses) SELECT id, 'join', secret, garden_id, invited_by, role, note, ends_at - 1209600, ends_at, 1, used_by IS NOT NULL FROM invitation WHERE EXISTS (SELECT 1 FROM account a WHERE a.id = invited_by)");
        // Who made a link to a new password was not kept: open ones end here, and are asked for anew.
        $this->addSql('DROP TABLE invitation');
        $this->addSql('DROP TABLE password_link');
        $this->addSql("CREATE TABLE rememberme_token (series CHAR(88) NOT NULL PRIMARY KEY, value CHAR(88) NOT NULL, lastUsed DATETIME NOT NULL, class VARCHAR(100) NOT NULL DEFAULT '', username VARCHAR(200) NOT NULL)");
        $this->addSql('CREATE INDEX rememberme_token_username ON rememberme_token (username)');
        $this->addSql('ALTER TABLE plan_run ADD COLUMN beat_at INTEGER NOT NULL DEFAULT 0');
        $this->addSql('COMMIT');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('BEGIN IMMEDIATE');
        $this->addSql('ALTER TABLE plan_run DROP COLUMN beat_at');
        $this->addSql('DROP TABLE rememberme_token');
        $this->addSql("CREATE TABLE invitation (id VARCHAR(36) NOT NULL PRIMARY KEY, garden_id VARCHAR(36) NOT NULL REFERENCES garden (id) ON DELETE CASCADE, role VARCHAR(10) NOT NULL CHECK (role IN ('owner', 'grower', 'hand', 'reader')), note VARCHAR(120) NOT NULL, secret VARCHAR(64) NOT NULL UNIQUE, invited_by VARCHAR(36) NOT NULL, ends_at INTEGER NOT NULL, used_by VARCHAR(36) DEFAULT NULL)");
        $this->addSql("INSERT INTO invitation (id, garden_id, role, note, secret, invited_by, ends_at) SELECT id, garden_id, role, note, secret, made_by, ends_at FROM secret_link WHERE kind = 'join' AND uses = 0 AND revoked_at IS NULL");
        $this->addSql('CREATE TABLE password_link (id VARCHAR(36) NOT NULL PRIMARY KEY, account_id VARCHAR(36) NOT NULL REFERENCES account (id) ON DELETE CASCADE, secret VARCHAR(64) NOT NULL UNIQUE, ends_at INTEGER NOT NULL, used BOOLEAN NOT NULL)');
        $this->addSql('DROP TABLE secret_link');
        $this->addSql('COMMIT');
    }
}
