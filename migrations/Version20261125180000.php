<?php

declare(strict_types=1);

namespace JollyFurrow\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261125180000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Rules and weights a plan is drawn up by';
    }

    public function isTransactional(): bool
    {
        return false;
    }

    public function up(Schema $schema): void
    {
        $this->addSql('BEGIN IMMEDIATE');
        $this->addSql("ALTER TABLE garden ADD COLUMN plan_rules CLOB NOT NULL DEFAULT '{}'");
        $this->addSql('COMMIT');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('BEGIN IMMEDIATE');
        $this->addSql('ALTER TABLE garden DROP COLUMN plan_rules');
        $this->addSql('COMMIT');
    }
}
