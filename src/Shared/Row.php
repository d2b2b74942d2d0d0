<?php

declare(strict_types=1);

namespace App\Shared;

use JollyFurrow\Time\Day;

/** One row of a query with its columns read by type. */
final readonly class Row
{
    /** @param array<string, mixed> $columns */
    public function __construct(private array $columns)
    {
    }

    public function text(string $column): string
    {
        $value = $this->columns[$column] ?? null;

        return \is_scalar($value) ? (string) $value : throw self::wrong($column);
    }

    public function int(string $column): int
    {
        $value = $this->columns[$column] ?? null;

        return is_numeric($value) ? (int) $value : throw self::wrong($column);
    }

    public function optionalInt(string $column): ?int
    {
        return isset($this->columns[$column]) ? $this->int($column) : null;
    }

    public function float(string $column): float
    {
        $value = $this->columns[$column] ?? null;

        return is_numeric($value) ? (float) $value : throw self::wrong($column);
    }

    public function optionalFloat(string $column): ?float
    {
        return isset($this->columns[$column]) ? $this->float($column) : null;
    }

    public function day(string $column): Day
    {
        return Day::of($this->int($column));
    }

    /** @return array<mixed> */
    public function json(string $column): array
    {
        $value = json_decode($this->text($column), true);

        return \is_array($value) ? $value : throw self::wrong($column);
    }

    /** @return array<mixed> empty where the column holds nothing */
    public function optionalJson(string $column): array
    {
        return isset($this->columns[$column]) ? $this->json($column) : [];
    }

    /** @return array<string, float> */
    public function numbers(string $column): array
    {
        $numbers = [];
        foreach ($this->json($column) as $key => $value) {
            $numbers[(string) $key] = is_numeric($value) ? (float) $value : throw self::wrong($column);
        }

        return $numbers;
    }

    private static function wrong(string $column): \UnexpectedValueException
    {
        return new \UnexpectedValueException(\sprintf('Column %s does not hold what it should.', $column));
    }
}
