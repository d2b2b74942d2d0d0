<?php

declare(strict_types=1);

namespace JollyFurrow\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261128100000 extends AbstractMigration
{
    private const ROW = 'id VARCHAR(36) NOT NULL PRIMARY KEY, garden_id VARCHAR(36) NOT NULL REFERENCES garden (id) ON DELETE CASCADE, '
        .'version INTEGER NOT NULL DEFAULT 1, ';

    public function getDescription(): string
    {
        return 'The work of the week: what was ticked, who works when, own jobs, own care; and what was received already';
    }

    public function isTransactional(): bool
    {
        return false;
    }

    public function up(Schema $schema): void
    {
        $this->addSql('CREATE TABLE worker ('.self::ROW.'name VARCHAR(60) NOT NULL, hours CLOB NOT NULL, away CLOB NOT NULL, '
            .'position INTEGER NOT NULL, UNIQUE (garden_id, id), UNIQUE (garden_id, name))');
        $this->addSql('CREATE TABLE own_job ('.self::ROW.'key_name VARCHAR(36) NOT NULL, words VARCHAR(200) NOT NULL, block_id VARCHAR(36) DEFAULT NULL, '
            ."bears VARCHAR(4) NOT NULL CHECK (bears IN ('dry', 'any', 'roof')), hours DOUBLE PRECISION NOT NULL CHECK (hours >= 0), "
            .'wait INTEGER NOT NULL CHECK (wait >= 0), first_day INTEGER NOT NULL, every INTEGER DEFAULT NULL CHECK (every > 0), '
            .'last_day INTEGER DEFAULT NULL, UNIQUE (garden_id, id), UNIQUE (garden_id, key_name), '
            .'FOREIGN KEY (garden_id, block_id) REFERENCES block (garden_id, id) DEFERRABLE INITIALLY DEFERRED)');
        $this->addSql('CREATE TABLE own_care ('.self::ROW.'key_name VARCHAR(36) NOT NULL, crop VARCHAR(60) NOT NULL, words VARCHAR(80) NOT NULL, '
            .'counted_from VARCHAR(10) NOT NULL, after_days INTEGER NOT NULL, every INTEGER DEFAULT NULL CHECK (every > 0), '
            .'goes_on BOOLEAN NOT NULL, hours DOUBLE PRECISION NOT NULL CHECK (hours >= 0), UNIQUE (garden_id, id), UNIQUE (garden_id, key_name))');
        $this->addSql('CREATE TABLE seed_lot ('.self::ROW.'key_name VARCHAR(36) NOT NULL, variety VARCHAR(60) NOT NULL, '
            .'grams DOUBLE PRECISION NOT NULL CHECK (grams >= 0), counted INTEGER NOT NULL, year INTEGER NOT NULL, '
            .'germination DOUBLE PRECISION DEFAULT NULL CHECK (germination BETWEEN 0 AND 1), supplier VARCHAR(80) NOT NULL, '
            .'packet DOUBLE PRECISION DEFAULT NULL CHECK (packet > 0), cents INTEGER DEFAULT NULL CHECK (cents >= 0), '
            .'setting VARCHAR(120) NOT NULL, UNIQUE (garden_id, id), UNIQUE (garden_id, key_name))');
        $this->addSql('CREATE TABLE job_mark ('.self::ROW.'about VARCHAR(8) NOT NULL, planting_id VARCHAR(36) DEFAULT NULL, '
            .'bed_id VARCHAR(36) DEFAULT NULL, block_id VARCHAR(36) DEFAULT NULL, own_job_id VARCHAR(36) DEFAULT NULL, '
            ."step VARCHAR(60) NOT NULL, kind VARCHAR(5) NOT NULL CHECK (kind IN ('done', 'part', 'left', 'later')), day INTEGER NOT NULL, "
            .'length_um INTEGER DEFAULT NULL, minutes INTEGER DEFAULT NULL, who VARCHAR(60) NOT NULL, words VARCHAR(400) NOT NULL, '
            .'until INTEGER DEFAULT NULL, amount DOUBLE PRECISION DEFAULT NULL, UNIQUE (garden_id, id), '
            .'FOREIGN KEY (garden_id, planting_id) REFERENCES planting (garden_id, id) DEFERRABLE INITIALLY DEFERRED, '
            .'FOREIGN KEY (garden_id, bed_id) REFERENCES bed (garden_id, id) DEFERRABLE INITIALLY DEFERRED, '
            .'FOREIGN KEY (garden_id, block_id) REFERENCES block (garden_id, id) DEFERRABLE INITIALLY DEFERRED, '
            .'FOREIGN KEY (garden_id, own_job_id) REFERENCES own_job (garden_id, id) DEFERRABLE INITIALLY DEFERRED)');
        $this->addSql('CREATE INDEX job_mark_planting ON job_mark (garden_id, planting_id)');
        $this->addSql('CREATE INDEX job_mark_day ON job_mark (garden_id, day)');
        $this->addSql('CREATE TABLE received (garden_id VARCHAR(36) NOT NULL REFERENCES garden (id) ON DELETE CASCADE, '
            .'token VARCHAR(64) NOT NULL, at INTEGER NOT NULL, answer CLOB NOT NULL, PRIMARY KEY (garden_id, token))');
    }

    public function down(Schema $schema): void
    {
        foreach (['received', 'job_mark', 'seed_lot', 'own_care', 'own_job', 'worker'] as $table) {
            $this->addSql('DROP TABLE '.$table);
        }
    }
}
