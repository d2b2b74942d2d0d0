<?php

declare(strict_types=1);

namespace JollyFurrow\Job;

/** How a task stands. */
enum TaskState: string
{
    case Open = 'open';
    case Done = 'done';
    /** Given up by choice. */
    case Left = 'left';
    /** Its time went by, or the next of its kind took it over. */
    case Lapsed = 'lapsed';
}
