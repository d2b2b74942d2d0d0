<?php

declare(strict_types=1);

namespace JollyFurrow\Market;

/** What one outlet is to get of an item on a market day. */
final readonly class Claim
{
    /**
     * @param int       $units    wanted
     * @param ClaimKind $kind     firm orders first
     * @param int       $priority 1 is served first
     * @param int       $whole    units of a sale unit: it is given none, or whole ones
     */
    public function __construct(public string $outlet, public int $units, public ClaimKind $kind = ClaimKind::Promise,
        public int $priority = 1, public int $whole = 1)
    {
    }
}
