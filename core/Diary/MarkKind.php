<?php

declare(strict_types=1);

namespace JollyFurrow\Diary;

/** What became of a task. */
enum MarkKind: string
{
    case Done = 'done';
    /** So many metres of it; the rest is still to do. */
    case Part = 'part';
    /** It is not done at all. */
    case Left = 'left';
    case Later = 'later';
}
