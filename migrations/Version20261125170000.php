<?php

declare(strict_types=1);

namespace JollyFurrow\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261125170000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Temper and quarantine of beds';
    }

    public function isTransactional(): bool
    {
        return false;
    }

    public function up(Schema $schema): void
    {
        $this->addSql('BEGIN IMMEDIATE');
        $this->addSql("ALTER TABLE bed ADD COLUMN temper CLOB NOT NULL DEFAULT '{}'");
        $this->addSql("ALTER TABLE bed ADD COLUMN quarantine CLOB NOT NULL DEFAULT '[]'");
        $this->addSql('COMMIT');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('BEGIN IMMEDIATE');
        $this->addSql('ALTER TABLE bed DROP COLUMN temper');
        $this->addSql('ALTER TABLE bed DROP COLUMN quarantine');
        $this->addSql('COMMIT');
    }
}
