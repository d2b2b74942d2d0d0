<?php

declare(strict_types=1);

namespace App\Garden;

use Doctrine\DBAL\Connection;

/** An address with the name a bed had once leads to the bed. */
final readonly class OldBedName
{
    public function __construct(private Connection $connection)
    {
    }

    /** Null: no bed there is was ever called so. */
    public function nowCalled(string $gardenId, string $name): ?string
    {
        $now = $this->connection->fetchOne('SELECT b.name FROM log_entry c, json_each(c.images) i JOIN bed b ON b.garden_id = c.garden_id '
            ."AND b.id = json_extract(i.value, '$.id') WHERE c.garden_id = ? AND json_extract(i.value, '$.table') = 'bed' "
            ."AND json_extract(i.value, '$.before.name') = ? ORDER BY c.number DESC LIMIT 1", [$gardenId, $name]);

        return \is_string($now) ? $now : null;
    }
}
