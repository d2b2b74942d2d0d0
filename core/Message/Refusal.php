<?php

declare(strict_types=1);

namespace JollyFurrow\Message;

use JollyFurrow\Exception\BadInput;

/**
 * Bad input that says what is wrong as a message, so that it is told in the garden's own units and dates. What
 * getMessage() holds is for the log.
 */
interface Refusal extends BadInput
{
    public function said(): Message;
}
