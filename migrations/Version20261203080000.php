<?php

declare(strict_types=1);

namespace JollyFurrow\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261203080000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'How the blocks of a garden lie: the map.';
    }

    public function isTransactional(): bool
    {
        return false;
    }

    public function up(Schema $schema): void
    {
        $this->addSql('BEGIN IMMEDIATE');
        $this->addSql("ALTER TABLE garden ADD COLUMN ground_map CLOB NOT NULL DEFAULT '{}'");
        $this->addSql('COMMIT');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('BEGIN IMMEDIATE');
        $this->addSql('ALTER TABLE garden DROP COLUMN ground_map');
        $this->addSql('COMMIT');
    }
}
