<?php

declare(strict_types=1);

namespace JollyFurrow\Exception;

/**
 * What a person typed or a file held cannot be used. The message is fit for the screen:
 * it names the value, the limit and the mend.
 */
interface BadInput extends \Throwable
{
}
