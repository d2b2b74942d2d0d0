<?php

declare(strict_types=1);

namespace JollyFurrow\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;
use JollyFurrow\Exception\Limits;
use JollyFurrow\Land\BedName;

final class Version20261127233000 extends AbstractMigration
{
    /** What stands for a number that is none: the usual value, or nothing. */
    private const USUAL = [
        'garden' => ['shortage_factor' => '1.5', 'keeping_share' => '0.002', 'nitrogen_rate' => '10', 'fertiliser_nitrogen' => '10'],
        'product_part' => ['units' => '1'],
        'promise' => ['quantity' => '0'],
        'planting' => ['per_metre' => '0'],
        'field_note' => ['units' => 'NULL'],
        'reading' => ['rain' => 'NULL'],
    ];

    public function getDescription(): string
    {
        return 'Numbers without an end become the usual ones; beds whose names part an address get other names';
    }

    public function isTransactional(): bool
    {
        return false;
    }

    public function up(Schema $schema): void
    {
        $this->addSql('BEGIN IMMEDIATE');
        foreach (self::USUAL as $table => $columns) {
            foreach ($columns as $column => $usual) {
                $this->addSql(\sprintf('UPDATE %1$s SET %2$s = %3$s WHERE abs(%2$s) > 1e15', $table, $column, $usual));
            }
        }
        $this->addSql('DELETE FROM reading WHERE abs(min) > 100 OR abs(max) > 100');
        $this->addSql("DELETE FROM own_value WHERE lower(amount) GLOB '*[0-9]e[0-9][0-9][0-9]*' OR lower(amount) IN ('inf', '-inf', 'nan')");
        $taken = [];
        $beds = $this->connection->fetchAllAssociative('SELECT id, garden_id, name FROM bed ORDER BY garden_id, position, name');
        foreach ($beds as $bed) {
            $taken[self::text($bed['garden_id'])][self::text($bed['name'])] = true;
        }
        foreach ($beds as $bed) {
            [$garden, $name] = [self::text($bed['garden_id']), self::text($bed['name'])];
            if (!BedName::isGood($name)) {
                $good = self::good($name, $taken[$garden]);
                $taken[$garden][$good] = true;
                $this->addSql('UPDATE bed SET name = ? WHERE id = ?', [$good, $bed['id']]);
                foreach ([0, \JSON_UNESCAPED_SLASHES | \JSON_UNESCAPED_UNICODE] as $flags) {
                    $this->addSql('UPDATE garden SET plan_rules = replace(plan_rules, ?, ?) WHERE garden_id = ?', [json_encode($name,
                        $flags | \JSON_INVALID_UTF8_SUBSTITUTE), json_encode($good, $flags), $garden]);
                }
                // A proposal names its beds: it is drawn up anew.
                $this->addSql('DELETE FROM proposal WHERE garden_id = ?', [$garden]);
            }
        }
        $this->addSql('COMMIT');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('SELECT 1');
    }

    /** @param array<string, true> $taken */
    private static function good(string $name, array $taken): string
    {
        $plain = trim((string) preg_replace('~[\p{C}\p{Zl}\p{Zp}/\\\\]+~u', '-', mb_scrub($name)));
        $plain = mb_substr(\in_array($plain, ['', '.', '..'], true) ? 'bed' : $plain, 0, Limits::BED_NAME - 4);
        for ($good = $plain, $n = 2; isset($taken[$good]) || !BedName::isGood($good); ++$n) {
            $good = trim($plain).' '.$n;
        }

        return $good;
    }

    private static function text(mixed $value): string
    {
        return \is_string($value) ? $value : '';
    }
}
