<?php

declare(strict_types=1);

namespace JollyFurrow\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261128123000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Own care that counts something, and how seed was sold';
    }

    public function isTransactional(): bool
    {
        return false;
    }

    public function up(Schema $schema): void
    {
        $this->addSql('ALTER TABLE own_care ADD COLUMN threshold DOUBLE PRECISION DEFAULT NULL CHECK (threshold >= 0)');
        $this->addSql("ALTER TABLE seed_lot ADD COLUMN dressing VARCHAR(8) NOT NULL DEFAULT 'plain' "
            ."CHECK (dressing IN ('plain', 'pelleted', 'primed', 'treated'))");
    }

    public function down(Schema $schema): void
    {
        $this->addSql('ALTER TABLE own_care DROP COLUMN threshold');
        $this->addSql('ALTER TABLE seed_lot DROP COLUMN dressing');
    }
}
