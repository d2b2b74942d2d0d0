<?php

declare(strict_types=1);

namespace App\Rows;

use Doctrine\ORM\Mapping as ORM;
use Symfony\Component\Uid\Uuid;

/** A row that belongs to a garden. Its changes are kept in the log; an edited row carries a version. */
#[ORM\MappedSuperclass]
abstract class GardenRow
{
    #[ORM\Id]
    #[ORM\Column(length: 36)]
    public readonly string $id;

    #[ORM\Version]
    #[ORM\Column(type: 'integer')]
    private int $version = 1;

    public function __construct(
        #[ORM\Column(length: 36)]
        public readonly string $gardenId,
        ?string $id = null,
    ) {
        $this->id = $id ?? self::newId();
    }

    public static function newId(): string
    {
        return Uuid::v7()->toRfc4122();
    }

    public function version(): int
    {
        return $this->version;
    }
}
