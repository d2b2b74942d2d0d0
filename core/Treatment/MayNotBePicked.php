<?php

declare(strict_types=1);

namespace JollyFurrow\Treatment;

use JollyFurrow\Message\Message;
use JollyFurrow\Message\Refusal;

/** A harvest inside a waiting time. */
final class MayNotBePicked extends \RuntimeException implements Refusal
{
    public function __construct(private readonly Message $said)
    {
        parent::__construct($said->logged());
    }

    public function said(): Message
    {
        return $this->said;
    }
}
