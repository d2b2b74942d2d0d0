<?php

declare(strict_types=1);

namespace JollyFurrow\Message;

/** What can be said of one topic: an enum with a case for each. The words for them are the application's, in its translation files. */
interface Code extends \BackedEnum
{
}
