<?php

declare(strict_types=1);

namespace JollyFurrow\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261128130000 extends AbstractMigration
{
    private const ROW = 'id VARCHAR(36) NOT NULL PRIMARY KEY, garden_id VARCHAR(36) NOT NULL REFERENCES garden (id) ON DELETE CASCADE, '
        .'version INTEGER NOT NULL DEFAULT 1, ';
    private const BED = 'FOREIGN KEY (garden_id, bed_id) REFERENCES bed (garden_id, id) DEFERRABLE INITIALLY DEFERRED';

    public function getDescription(): string
    {
        return 'The soil: tests, the shed, what was spread, valves, how the garden feeds';
    }

    public function isTransactional(): bool
    {
        return false;
    }

    public function up(Schema $schema): void
    {
        $this->addSql('CREATE TABLE soil_test ('.self::ROW.'key_name VARCHAR(36) NOT NULL, bed_id VARCHAR(36) DEFAULT NULL, '
            .'block_id VARCHAR(36) DEFAULT NULL, day INTEGER NOT NULL, data CLOB NOT NULL, UNIQUE (garden_id, id), UNIQUE (garden_id, key_name), '
            .'CHECK ((bed_id IS NULL) <> (block_id IS NULL)), '.self::BED.', '
            .'FOREIGN KEY (garden_id, block_id) REFERENCES block (garden_id, id) DEFERRABLE INITIALLY DEFERRED)');
        $this->addSql('CREATE TABLE shed_product ('.self::ROW.'key_name VARCHAR(36) NOT NULL, name VARCHAR(80) NOT NULL, data CLOB NOT NULL, '
            .'UNIQUE (garden_id, id), UNIQUE (garden_id, key_name))');
        $this->addSql('CREATE TABLE spread ('.self::ROW.'key_name VARCHAR(120) NOT NULL, bed_id VARCHAR(36) NOT NULL, day INTEGER NOT NULL, '
            .'data CLOB NOT NULL, UNIQUE (garden_id, id), UNIQUE (garden_id, key_name), '.self::BED.')');
        $this->addSql('CREATE TABLE valve ('.self::ROW.'key_name VARCHAR(36) NOT NULL, name VARCHAR(60) NOT NULL, data CLOB NOT NULL, '
            .'UNIQUE (garden_id, id), UNIQUE (garden_id, key_name))');
        $this->addSql('CREATE TABLE valve_bed ('.self::ROW.'valve_id VARCHAR(36) NOT NULL, bed_id VARCHAR(36) NOT NULL, UNIQUE (garden_id, id), '
            .'FOREIGN KEY (garden_id, valve_id) REFERENCES valve (garden_id, id) DEFERRABLE INITIALLY DEFERRED, '.self::BED.')');
        $this->addSql('CREATE INDEX valve_bed_bed ON valve_bed (garden_id, bed_id)');
        $this->addSql('CREATE TABLE feed_rules ('.self::ROW.'data CLOB NOT NULL, UNIQUE (garden_id, id), UNIQUE (garden_id))');
    }

    public function down(Schema $schema): void
    {
        foreach (['feed_rules', 'valve_bed', 'valve', 'spread', 'shed_product', 'soil_test'] as $table) {
            $this->addSql('DROP TABLE '.$table);
        }
    }
}
