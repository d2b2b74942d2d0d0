<?php

declare(strict_types=1);

namespace JollyFurrow\Maturity;

use JollyFurrow\Message\Message;

/** What was reckoned of sowings of one crop at one place under one cover, by sowing day, day into the ground and method. */
final class RipeningAnswers
{
    /** There is more than was remembered. */
    public bool $isGrown = false;

    /**
     * @param array<string, Ripeness|null> $ripe
     * @param array<string, Message|null>  $unusual
     */
    public function __construct(public array $ripe = [], public array $unusual = [])
    {
    }
}
