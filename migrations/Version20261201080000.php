<?php

declare(strict_types=1);

namespace JollyFurrow\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261201080000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Orders, terms of outlets, prices, market days, sizes of boxes and what was in them';
    }

    public function isTransactional(): bool
    {
        return false;
    }

    public function up(Schema $schema): void
    {
        $this->addSql('CREATE TABLE market_entry (id VARCHAR(36) NOT NULL PRIMARY KEY, '
            .'garden_id VARCHAR(36) NOT NULL REFERENCES garden (id) ON DELETE CASCADE, version INTEGER NOT NULL DEFAULT 1, '
            ."kind VARCHAR(10) NOT NULL CHECK (kind IN ('order', 'terms', 'price', 'day', 'size', 'box')), "
            .'key_name VARCHAR(80) NOT NULL, day INTEGER NOT NULL, data CLOB NOT NULL, UNIQUE (garden_id, id), '
            .'UNIQUE (garden_id, kind, key_name))');
        $this->addSql('CREATE INDEX market_entry_day ON market_entry (garden_id, kind, day)');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('DROP TABLE market_entry');
    }
}
