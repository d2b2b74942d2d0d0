<?php

declare(strict_types=1);

namespace JollyFurrow\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261130080000 extends AbstractMigration
{
    private const ROW = 'id VARCHAR(36) NOT NULL PRIMARY KEY, garden_id VARCHAR(36) NOT NULL REFERENCES garden (id) ON DELETE CASCADE, '
        .'version INTEGER NOT NULL DEFAULT 1, ';
    private const BED = 'FOREIGN KEY (garden_id, bed_id) REFERENCES bed (garden_id, id) DEFERRABLE INITIALLY DEFERRED';

    public function getDescription(): string
    {
        return 'Harvest and store: places, lots, what became of them, loggers, treatments';
    }

    public function isTransactional(): bool
    {
        return false;
    }

    public function up(Schema $schema): void
    {
        $this->addSql('CREATE TABLE store_place ('.self::ROW.'key_name VARCHAR(36) NOT NULL, name VARCHAR(60) NOT NULL, data CLOB NOT NULL, '
            .'UNIQUE (garden_id, id), UNIQUE (garden_id, key_name))');
        $this->addSql('CREATE TABLE harvest_lot ('.self::ROW.'key_name VARCHAR(80) NOT NULL, day INTEGER NOT NULL, '
            ."bed_id VARCHAR(36) DEFAULT NULL, planting_key VARCHAR(120) NOT NULL DEFAULT '', data CLOB NOT NULL, "
            .'UNIQUE (garden_id, id), UNIQUE (garden_id, key_name), '.self::BED.')');
        $this->addSql('CREATE INDEX harvest_lot_day ON harvest_lot (garden_id, day)');
        $this->addSql('CREATE TABLE handling ('.self::ROW.'key_name VARCHAR(80) NOT NULL, lot_id VARCHAR(36) NOT NULL, day INTEGER NOT NULL, '
            .'data CLOB NOT NULL, UNIQUE (garden_id, id), UNIQUE (garden_id, key_name), '
            .'FOREIGN KEY (garden_id, lot_id) REFERENCES harvest_lot (garden_id, id) DEFERRABLE INITIALLY DEFERRED)');
        $this->addSql('CREATE INDEX handling_lot ON handling (garden_id, lot_id)');
        $this->addSql('CREATE TABLE place_day ('.self::ROW.'place_id VARCHAR(36) NOT NULL, day INTEGER NOT NULL, data CLOB NOT NULL, '
            .'UNIQUE (garden_id, id), UNIQUE (garden_id, place_id, day), '
            .'FOREIGN KEY (garden_id, place_id) REFERENCES store_place (garden_id, id) DEFERRABLE INITIALLY DEFERRED)');
        $this->addSql('CREATE TABLE spray ('.self::ROW.'key_name VARCHAR(36) NOT NULL, day INTEGER NOT NULL, data CLOB NOT NULL, '
            .'UNIQUE (garden_id, id), UNIQUE (garden_id, key_name))');
        $this->addSql('CREATE TABLE spray_bed ('.self::ROW.'spray_id VARCHAR(36) NOT NULL, bed_id VARCHAR(36) NOT NULL, '
            .'UNIQUE (garden_id, id), FOREIGN KEY (garden_id, spray_id) REFERENCES spray (garden_id, id) DEFERRABLE INITIALLY DEFERRED, '
            .self::BED.')');
        $this->addSql('CREATE INDEX spray_bed_bed ON spray_bed (garden_id, bed_id)');
    }

    public function down(Schema $schema): void
    {
        foreach (['spray_bed', 'spray', 'place_day', 'handling', 'harvest_lot', 'store_place'] as $table) {
            $this->addSql('DROP TABLE '.$table);
        }
    }
}
