<?php

declare(strict_types=1);

namespace JollyFurrow\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261125130000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Varieties of plantings, a garden\'s own crop values, covers over beds and plantings';
    }

    public function isTransactional(): bool
    {
        return false;
    }

    public function up(Schema $schema): void
    {
        $this->addSql('BEGIN IMMEDIATE');
        $this->addSql("ALTER TABLE planting ADD COLUMN variety VARCHAR(60) NOT NULL DEFAULT ''");
        $this->addSql('UPDATE planting SET variety = item');
        $this->addSql('CREATE TABLE own_value (id VARCHAR(36) NOT NULL PRIMARY KEY, garden_id VARCHAR(36) NOT NULL REFERENCES garden (id) ON DELETE CASCADE, version INTEGER NOT NULL DEFAULT 1, crop VARCHAR(60) NOT NULL, name VARCHAR(40) NOT NULL, amount VARCHAR(400) NOT NULL, note VARCHAR(400) NOT NULL, UNIQUE (garden_id, id), UNIQUE (garden_id, crop, name))');
        $this->addSql("CREATE TABLE protection (id VARCHAR(36) NOT NULL PRIMARY KEY, garden_id VARCHAR(36) NOT NULL REFERENCES garden (id) ON DELETE CASCADE, version INTEGER NOT NULL DEFAULT 1, bed_id VARCHAR(36) DEFAULT NULL, planting VARCHAR(100) NOT NULL DEFAULT '', cover VARCHAR(20) NOT NULL, purpose VARCHAR(10) NOT NULL CHECK (purpose IN ('frost', 'growth', 'insects')), from_day INTEGER NOT NULL, to_day INTEGER NOT NULL CHECK (to_day >= from_day), UNIQUE (garden_id, id), CHECK ((bed_id IS NULL) <> (planting = '')), FOREIGN KEY (garden_id, bed_id) REFERENCES bed (garden_id, id) ON DELETE CASCADE)");
        $this->addSql('CREATE INDEX idx_protection_bed_id ON protection (garden_id, bed_id)');
        $this->addSql('COMMIT');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('BEGIN IMMEDIATE');
        $this->addSql('DROP TABLE protection');
        $this->addSql('DROP TABLE own_value');
        $this->addSql('ALTER TABLE planting DROP COLUMN variety');
        $this->addSql('COMMIT');
    }
}
