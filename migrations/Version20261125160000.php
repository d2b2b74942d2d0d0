<?php

declare(strict_types=1);

namespace JollyFurrow\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261125160000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'A garden\'s own preparation recipes';
    }

    public function isTransactional(): bool
    {
        return false;
    }

    public function up(Schema $schema): void
    {
        $this->addSql('BEGIN IMMEDIATE');
        $this->addSql('CREATE TABLE own_recipe (id VARCHAR(36) NOT NULL PRIMARY KEY, garden_id VARCHAR(36) NOT NULL REFERENCES garden (id) ON DELETE CASCADE, version INTEGER NOT NULL DEFAULT 1, key_name VARCHAR(60) NOT NULL, body CLOB NOT NULL, UNIQUE (garden_id, id), UNIQUE (garden_id, key_name))');
        $this->addSql('COMMIT');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('BEGIN IMMEDIATE');
        $this->addSql('DROP TABLE own_recipe');
        $this->addSql('COMMIT');
    }
}
