<?php

declare(strict_types=1);

namespace JollyFurrow\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261127170000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'How dates are written, where it is not as usual with the units';
    }

    public function isTransactional(): bool
    {
        return false;
    }

    public function up(Schema $schema): void
    {
        $this->addSql('BEGIN IMMEDIATE');
        $this->addSql("ALTER TABLE garden ADD COLUMN date_form VARCHAR(12) NOT NULL DEFAULT ''");
        $this->addSql('COMMIT');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('BEGIN IMMEDIATE');
        $this->addSql('ALTER TABLE garden DROP COLUMN date_form');
        $this->addSql('COMMIT');
    }
}
