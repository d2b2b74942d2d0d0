<?php

declare(strict_types=1);

namespace JollyFurrow\Joint;

final class NoProgress implements Progress
{
    public function at(int $done, int $of, string $item): bool
    {
        return true;
    }
}
