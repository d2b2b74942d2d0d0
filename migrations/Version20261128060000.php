<?php

declare(strict_types=1);

namespace JollyFurrow\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261128060000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Gardens to practise in, with a day of their own; time zones; several market days a week, and weeks an outlet is closed; retired beds';
    }

    public function isTransactional(): bool
    {
        return false;
    }

    public function up(Schema $schema): void
    {
        $this->addSql('CREATE TABLE practice (id VARCHAR(36) NOT NULL PRIMARY KEY, garden_id VARCHAR(36) NOT NULL UNIQUE '
            .'REFERENCES garden (id) ON DELETE CASCADE, version INTEGER NOT NULL DEFAULT 1, day INTEGER NOT NULL, seed INTEGER NOT NULL CHECK (seed >= 0), '
            .'since INTEGER NOT NULL, UNIQUE (garden_id, id))');
        $this->addSql("ALTER TABLE garden ADD COLUMN time_zone VARCHAR(64) DEFAULT '' NOT NULL");
        $this->addSql('ALTER TABLE bed ADD COLUMN retired INTEGER DEFAULT NULL');
        $this->addSql("ALTER TABLE outlet ADD COLUMN weekdays CLOB DEFAULT '[]' NOT NULL");
        $this->addSql("ALTER TABLE outlet ADD COLUMN closed CLOB DEFAULT '[]' NOT NULL");
    }

    public function down(Schema $schema): void
    {
        $this->addSql('DROP TABLE practice');
        $this->addSql('ALTER TABLE garden DROP COLUMN time_zone');
        $this->addSql('ALTER TABLE outlet DROP COLUMN weekdays');
        $this->addSql('ALTER TABLE outlet DROP COLUMN closed');
        $this->addSql('ALTER TABLE bed DROP COLUMN retired');
    }
}
