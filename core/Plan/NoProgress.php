<?php

declare(strict_types=1);

namespace JollyFurrow\Plan;

final class NoProgress implements Progress
{
    public function at(int $done, int $of, string $item): bool
    {
        return true;
    }
}
