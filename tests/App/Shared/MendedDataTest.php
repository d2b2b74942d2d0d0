<?php

declare(strict_types=1);

namespace App\Tests\Shared;

use PHPUnit\Framework\TestCase;
use Symfony\Component\Filesystem\Filesystem;
use Symfony\Component\Process\Process;

/** A database of an earlier version, with what that version let in, brought up by the migrations. */
final class MendedDataTest extends TestCase
{
    private string $folder;

    protected function setUp(): void
    {
        $this->folder = \dirname(__DIR__, 3).'/var/mended-'.getmypid();
        (new Filesystem())->mkdir($this->folder);
    }

    protected function tearDown(): void
    {
        (new Filesystem())->remove($this->folder);
    }

    public function testNumbersWithoutAnEndAndNamesThatPartAnAddressAreMended(): void
    {
        $this->migrate('JollyFurrow\\Migrations\\Version20261127230000');
        $stored = new \PDO('sqlite:'.$this->folder.'/jolly-furrow.sqlite');
        $stored->setAttribute(\PDO::ATTR_ERRMODE, \PDO::ERRMODE_EXCEPTION);
        foreach (['INSERT INTO garden (id, garden_id, name, place_name, latitude, altitude, last_frost, first_frost, units, currency, '
            .'sowing_days, recipe, rent, shortage_factor, keeping_share, wage, rotation, compost_depth, nitrogen_rate, '
            ."fertiliser_nitrogen, plan_rules) VALUES ('g', 'g', 'Rill', 'Rill', 47, 300, '05-14', '10-06', 'metric', 'EUR', '[2]', "
            ."'compost-mulch', '{}', 9e999, 0.002, 1800, '{}', 20, 10, 10, '{\"reserve_beds\":[\"A\\/1\",\"B2\"]}')",
            "INSERT INTO block (id, garden_id, name, position) VALUES ('k', 'g', 'A', 0)",
            "INSERT INTO own_value (id, garden_id, crop, name, amount, note) VALUES ('o', 'g', 'radish', 'yield_per_m', '1e999', ''), "
                ."('p', 'g', 'radish', 'rows', '5', '')"] as $sql) {
            $stored->exec($sql);
        }
        foreach (['A/1', 'A-1', "B\n2", '..', 'C 3', 'é'] as $i => $name) {
            $stored->prepare("INSERT INTO bed (id, garden_id, block_id, name, position, length, width, path, place) VALUES (?, 'g', 'k', "
                ."?, ?, 25000, 750, 450, 'field')")->execute(['b'.$i, $name, $i]);
        }
        $this->migrate('latest');

        self::assertSame(['A-1 2', 'A-1', 'B-2', 'bed', 'C 3', 'é'], $this->column($stored, 'SELECT name FROM bed ORDER BY position'));
        self::assertSame(['1.5'], $this->column($stored, 'SELECT shortage_factor FROM garden'));
        self::assertSame(['{"reserve_beds":["A-1 2","B2"]}'], $this->column($stored, 'SELECT plan_rules FROM garden'));
        self::assertSame(['5'], $this->column($stored, 'SELECT amount FROM own_value'));
    }

    /** Lengths were whole millimetres: what was typed in inches is exact again in a garden of inches, in the log and its tables alike. */
    public function testLengthsInInchesAreExactAgain(): void
    {
        $this->migrate('JollyFurrow\\Migrations\\Version20261127233000');
        $stored = new \PDO('sqlite:'.$this->folder.'/jolly-furrow.sqlite');
        $stored->setAttribute(\PDO::ATTR_ERRMODE, \PDO::ERRMODE_EXCEPTION);
        foreach (['us', 'metric'] as $g) {
            $stored->exec('INSERT INTO garden (id, garden_id, name, place_name, latitude, altitude, last_frost, first_frost, units, '
                .'currency, sowing_days, recipe, rent, shortage_factor, keeping_share, wage, rotation, compost_depth, nitrogen_rate, '
                ."fertiliser_nitrogen, plan_rules, kit) VALUES ('$g', '$g', 'Rill', 'Rill', 39, 300, '05-14', '10-06', '$g', 'USD', "
                ."'[2]', 'compost-mulch', '{}', 1.5, 0.002, 1800, '{}', 25, 10, 10, '{}', '{\"tarp\":24994}')");
            $stored->exec("INSERT INTO block (id, garden_id, name, position) VALUES ('k$g', '$g', 'A', 0)");
            $stored->exec('INSERT INTO bed (id, garden_id, block_id, name, position, length, width, path, place, temper) VALUES '
                ."('b$g', '$g', 'k$g', 'A1', 0, 24994, 762, 457, 'field', '{\"pan_mm\":203}')");
            $stored->exec('INSERT INTO past_crop (id, garden_id, bed_id, from_mm, to_mm, width_share, crop, cleared) VALUES '
                ."('p$g', '$g', 'b$g', 0, 24994, 1, 'kale', 20000)");
            $stored->exec("INSERT INTO log_entry (id, garden_id, number, account_id, at, words, images) VALUES ('l$g', '$g', 1, 'a', 0, 'x', "
                ."'[{\"table\":\"past_crop\",\"id\":\"p$g\",\"before\":null,\"after\":{\"id\":\"p$g\",\"from_mm\":0,\"to_mm\":24994}}]')");
        }
        $this->migrate('latest');

        self::assertSame(['24994000', '24993600'], $this->column($stored, 'SELECT length FROM bed ORDER BY garden_id'));
        self::assertSame(['457000', '457200'], $this->column($stored, 'SELECT path FROM bed ORDER BY garden_id'));
        self::assertSame(['25000', '25400'], $this->column($stored, 'SELECT compost_depth FROM garden ORDER BY garden_id'));
        self::assertSame(['24994000', '24993600'], $this->column($stored, 'SELECT to_um FROM past_crop ORDER BY garden_id'));
        self::assertSame(['{"tarp":24994000}', '{"tarp":24993600}'], $this->column($stored, 'SELECT kit FROM garden ORDER BY garden_id'));
        self::assertSame(['{"pan_mm":203}', '{"pan_mm":203.2}'], $this->column($stored, 'SELECT temper FROM bed ORDER BY garden_id'));
        self::assertSame(['24994000', '24993600'], $this->column($stored, "SELECT json_extract(images, '$[0].after.to_um') FROM log_entry "
            .'ORDER BY garden_id'));
    }

    private function migrate(string $to): void
    {
        (new Process([\PHP_BINARY, 'bin/furrow', 'doctrine:migrations:migrate', $to, '--no-interaction'], \dirname(__DIR__, 3),
            ['APP_ENV' => 'test', 'APP_DEBUG' => '0', 'JOLLY_FURROW_DATA' => $this->folder, 'APP_SECRET' => 'x']))->mustRun();
    }

    /** @return list<string> */
    private function column(\PDO $stored, string $sql): array
    {
        $query = $stored->query($sql);

        return false === $query ? [] : array_map(static fn (mixed $v): string => \is_scalar($v) ? (string) $v : '',
            array_values($query->fetchAll(\PDO::FETCH_COLUMN)));
    }
}
