<?php

declare(strict_types=1);

namespace JollyFurrow\Beds;

use JollyFurrow\Message\Message;

/** One rule a stay would be at odds with on a bed. */
final readonly class Breach
{
    public function __construct(public Rule $rule, public Message $message)
    {
    }
}
