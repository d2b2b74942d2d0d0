<?php

declare(strict_types=1);

namespace JollyFurrow\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/** The first slice. Every table of a garden carries garden_id; references go by (garden_id, id), so that no row can point into another garden, and are checked when a change is complete. */
final class Version20260302000000 extends AbstractMigration
{
    /** Its own BEGIN and COMMIT: the library asks PDO whether it is in a transaction, which does not know of BEGIN IMMEDIATE. */
    public function isTransactional(): bool
    {
        return false;
    }

    public function up(Schema $schema): void
    {
        $this->addSql('BEGIN IMMEDIATE');
        $this->addSql('CREATE TABLE account (id VARCHAR(36) NOT NULL PRIMARY KEY, email VARCHAR(180) NOT NULL UNIQUE, name VARCHAR(120) NOT NULL, password VARCHAR(200) NOT NULL)');
        $this->addSql("CREATE TABLE garden (id VARCHAR(36) NOT NULL PRIMARY KEY, garden_id VARCHAR(36) NOT NULL, version INTEGER NOT NULL DEFAULT 1, name VARCHAR(120) NOT NULL, place_name VARCHAR(120) NOT NULL, latitude DOUBLE PRECISION NOT NULL CHECK (latitude BETWEEN -66 AND 66), altitude INTEGER NOT NULL, last_frost VARCHAR(5) NOT NULL, first_frost VARCHAR(5) NOT NULL, units VARCHAR(10) NOT NULL CHECK (units IN ('metric', 'us')), currency VARCHAR(3) NOT NULL, sowing_days CLOB NOT NULL, recipe VARCHAR(60) NOT NULL, rent CLOB NOT NULL, shortage_factor DOUBLE PRECISION NOT NULL CHECK (shortage_factor > 0), keeping_share DOUBLE PRECISION NOT NULL CHECK (keeping_share >= 0), wage INTEGER NOT NULL CHECK (wage >= 0), rotation CLOB NOT NULL, compost_depth INTEGER NOT NULL CHECK (compost_depth >= 0), nitrogen_rate DOUBLE PRECISION NOT NULL CHECK (nitrogen_rate >= 0), fertiliser_nitrogen DOUBLE PRECISION NOT NULL CHECK (fertiliser_nitrogen > 0), CHECK (id = garden_id))");
        $this->addSql("CREATE TABLE member (garden_id VARCHAR(36) NOT NULL REFERENCES garden (id) ON DELETE CASCADE, account_id VARCHAR(36) NOT NULL REFERENCES account (id) ON DELETE CASCADE, role VARCHAR(10) NOT NULL CHECK (role IN ('owner', 'grower', 'hand', 'reader')), PRIMARY KEY (garden_id, account_id))");
        $this->gardenTable('block', 'name VARCHAR(60) NOT NULL, position INTEGER NOT NULL, UNIQUE (garden_id, name)');
        $this->gardenTable('bed', "block_id VARCHAR(36) NOT NULL, name VARCHAR(20) NOT NULL, position INTEGER NOT NULL, length INTEGER NOT NULL CHECK (length > 0), width INTEGER NOT NULL CHECK (width > 0), path INTEGER NOT NULL CHECK (path >= 0), place VARCHAR(10) NOT NULL CHECK (place IN ('field', 'tunnel', 'heated')), UNIQUE (garden_id, name)", ['block_id' => 'block']);
        $this->gardenTable('past_crop', 'bed_id VARCHAR(36) NOT NULL, from_mm INTEGER NOT NULL CHECK (from_mm >= 0), to_mm INTEGER NOT NULL CHECK (to_mm > from_mm), width_share DOUBLE PRECISION NOT NULL CHECK (width_share > 0 AND width_share <= 1), crop VARCHAR(60) NOT NULL, cleared INTEGER NOT NULL', ['bed_id' => 'bed']);
        $this->gardenTable('outlet', 'position INTEGER NOT NULL, key_name VARCHAR(60) NOT NULL, name VARCHAR(120) NOT NULL, weekday INTEGER NOT NULL CHECK (weekday BETWEEN 1 AND 7), priority INTEGER NOT NULL, pick_window_days INTEGER NOT NULL CHECK (pick_window_days >= 0), pick_to_sale_days INTEGER DEFAULT NULL, UNIQUE (garden_id, key_name)');
        $this->gardenTable('product', 'position INTEGER NOT NULL, key_name VARCHAR(60) NOT NULL, name VARCHAR(120) NOT NULL, unit VARCHAR(40) NOT NULL, price_cents INTEGER NOT NULL CHECK (price_cents >= 0), UNIQUE (garden_id, key_name)');
        $this->gardenTable('product_part', 'product_id VARCHAR(36) NOT NULL, position INTEGER NOT NULL, item VARCHAR(60) NOT NULL, units DOUBLE PRECISION NOT NULL CHECK (units > 0)', ['product_id' => 'product']);
        $this->gardenTable('promise', 'outlet_id VARCHAR(36) NOT NULL, product_id VARCHAR(36) NOT NULL, day INTEGER NOT NULL, quantity DOUBLE PRECISION NOT NULL CHECK (quantity >= 0), UNIQUE (garden_id, outlet_id, product_id, day)', ['outlet_id' => 'outlet', 'product_id' => 'product']);
        $this->gardenTable('planting', "key_name VARCHAR(100) NOT NULL, item VARCHAR(60) NOT NULL, method VARCHAR(12) NOT NULL CHECK (method IN ('sown', 'transplanted')), place VARCHAR(10) NOT NULL CHECK (place IN ('field', 'tunnel', 'heated')), recipe VARCHAR(60) NOT NULL, sow INTEGER NOT NULL, ground INTEGER NOT NULL CHECK (ground >= sow), bed_start INTEGER NOT NULL CHECK (bed_start <= ground), ready INTEGER NOT NULL CHECK (ready >= ground), clear INTEGER NOT NULL CHECK (clear >= ready), per_metre DOUBLE PRECISION NOT NULL CHECK (per_metre >= 0), standing VARCHAR(10) NOT NULL CHECK (standing IN ('planned', 'nursery', 'growing', 'cleared')), locked BOOLEAN NOT NULL, remarks CLOB NOT NULL, UNIQUE (garden_id, key_name)");
        $this->gardenTable('piece', 'planting_id VARCHAR(36) NOT NULL, bed_id VARCHAR(36) NOT NULL, position INTEGER NOT NULL, from_mm INTEGER NOT NULL CHECK (from_mm >= 0), to_mm INTEGER NOT NULL CHECK (to_mm > from_mm), width_share DOUBLE PRECISION NOT NULL CHECK (width_share > 0 AND width_share <= 1)', ['planting_id' => 'planting', 'bed_id' => 'bed']);
        $this->addSql('CREATE TABLE plan_run (id VARCHAR(36) NOT NULL PRIMARY KEY, garden_id VARCHAR(36) NOT NULL REFERENCES garden (id) ON DELETE CASCADE, started_at INTEGER NOT NULL, state VARCHAR(10) NOT NULL, done INTEGER NOT NULL, total INTEGER NOT NULL, at VARCHAR(120) NOT NULL, stop BOOLEAN NOT NULL, outcome VARCHAR(400) NOT NULL)');
        $this->addSql('CREATE TABLE log_entry (id VARCHAR(36) NOT NULL PRIMARY KEY, garden_id VARCHAR(36) NOT NULL REFERENCES garden (id) ON DELETE CASCADE, number INTEGER NOT NULL, account_id VARCHAR(36) NOT NULL, at INTEGER NOT NULL, words VARCHAR(400) NOT NULL, images CLOB NOT NULL, takes_back INTEGER DEFAULT NULL, taken_back_by INTEGER DEFAULT NULL, UNIQUE (garden_id, number))');
        $this->addSql('COMMIT');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('BEGIN IMMEDIATE');
        foreach (['log_entry', 'plan_run', 'piece', 'planting', 'promise', 'product_part', 'product', 'outlet', 'past_crop', 'bed', 'block', 'member', 'garden', 'account'] as $table) {
            $this->addSql('DROP TABLE '.$table);
        }
        $this->addSql('COMMIT');
    }

    /** @param array<string, string> $references column => table */
    private function gardenTable(string $name, string $columns, array $references = []): void
    {
        $foreign = '';
        foreach ($references as $column => $table) {
            $foreign .= \sprintf(', FOREIGN KEY (garden_id, %s) REFERENCES %s (garden_id, id) DEFERRABLE INITIALLY DEFERRED', $column, $table);
        }
        $this->addSql(\sprintf('CREATE TABLE %s (id VARCHAR(36) NOT NULL PRIMARY KEY, garden_id VARCHAR(36) NOT NULL REFERENCES garden (id) ON DELETE CASCADE, version INTEGER NOT NULL DEFAULT 1, %s, UNIQUE (garden_id, id)%s)', $name, $columns, $foreign));
        foreach (array_keys($references) as $column) {
            $this->addSql(\sprintf('CREATE INDEX idx_%1$s_%2$s ON %1$s (garden_id, %2$s)', $name, $column));
        }
    }
}
