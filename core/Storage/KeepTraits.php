<?php

declare(strict_types=1);

namespace JollyFurrow\Storage;

/** What some crops have in common beyond their best warmth and life. */
final readonly class KeepTraits
{
    /**
     * @param list<string> $crops    keys of varieties or items
     * @param Ethylene     $makes    of the ripening gas
     * @param Ethylene     $suffers  from it
     * @param Curing|null  $curing   null: none
     * @param int          $goodFrom days after the harvest before it is at its best
     * @param bool         $sprouts  most at 10 to 15 degrees C
     * @param float        $crate    units of sale in a crate; 0: as usual for the unit
     */
    public function __construct(public string $key, public array $crops, public Ethylene $makes, public Ethylene $suffers,
        public ?Curing $curing, public int $goodFrom, public bool $sprouts, public float $crate)
    {
    }

    public static function none(): self
    {
        return new self('', [], Ethylene::Little, Ethylene::Little, null, 0, false, 0.0);
    }
}
