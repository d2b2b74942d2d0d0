<?php

declare(strict_types=1);

namespace App\Shared;

/** What is wrong with a file, place by place. Collected, so that all can be shown at once. */
final class Faults
{
    private const MOST = 200;

    /** @var list<array{path: string, message: string}> */
    private array $list = [];

    public function add(string $path, string $message): void
    {
        if (\count($this->list) < self::MOST) {
            $this->list[] = ['path' => $path, 'message' => $message];
        }
    }

    /** @return list<array{path: string, message: string}> */
    public function all(): array
    {
        return $this->list;
    }

    public function areThere(): bool
    {
        return [] !== $this->list;
    }
}
