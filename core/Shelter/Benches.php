<?php

declare(strict_types=1);

namespace JollyFurrow\Shelter;

/** The nursery: a warm bench and a cool one, and the trays they hold. */
final readonly class Benches
{
    public Bench $warm;
    public Bench $cool;

    public function __construct(?Bench $warm = null, ?Bench $cool = null, public TrayRoom $room = new TrayRoom())
    {
        $this->warm = $warm ?? Bench::warm();
        $this->cool = $cool ?? Bench::cool();
    }
}
