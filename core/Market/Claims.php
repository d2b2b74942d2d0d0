<?php

declare(strict_types=1);

namespace JollyFurrow\Market;

use JollyFurrow\Garden\Garden;
use JollyFurrow\Need\Need;
use JollyFurrow\Promise\Outlet;

/** Who may claim what of an item on a market day, in the order the garden serves its outlets. */
final readonly class Claims
{
    /** @var array<string, int> by outlet, 1 is served first */
    private array $priorities;

    public function __construct(Garden $garden)
    {
        $this->priorities = array_combine(array_map(static fn (Outlet $o): string => $o->key, $garden->outlets),
            array_map(static fn (Outlet $o): int => $o->priority, $garden->outlets));
    }

    /** @return list<Claim> */
    public function of(string $item, Need $need): array
    {
        $claims = [];
        foreach ($need->byOutlet as $outlet => $units) {
            [$firm, $standing] = $need->ordered[$outlet] ?? [0, 0];
            $parts = [[ClaimKind::Firm, $firm], [ClaimKind::Standing, $standing], [ClaimKind::Promise, $units - $firm - $standing]];
            foreach ($parts as [$kind, $part]) {
                $part <= 0 ?: $claims[] = new Claim((string) $outlet, $part, $kind, $this->priorities[$outlet] ?? \PHP_INT_MAX);
            }
        }

        return $claims;
    }
}
