<?php

declare(strict_types=1);

namespace App\Job;

use App\Log\Once;
use App\Shared\Entry;
use JollyFurrow\Diary\MarkKind;
use JollyFurrow\Diary\TaskId;
use JollyFurrow\Exception\Limits;
use JollyFurrow\Garden\Garden;
use JollyFurrow\Measure\Length;
use JollyFurrow\Time\Day;

/** What somebody says became of some tasks. */
final readonly class Doing
{
    private const MOST_TASKS = 200;
    private const MOST_HOURS = 200.0;
    private const NAME = 60;
    private const LONGEST = 5000.0;

    /**
     * @param non-empty-list<TaskId> $tasks
     * @param Length|null            $length  in walking order, where only a part was done
     * @param int|null               $minutes of all of them together
     * @param string                 $token   the same for the same doing, however often it is sent; empty: none
     * @param bool                   $again   noted although somebody else did it before
     */
    private function __construct(public array $tasks, public MarkKind $kind, public Day $day, public ?Length $length,
        public ?int $minutes, public string $who, public string $words, public ?Day $until, public ?float $count, public string $token,
        public bool $again)
    {
    }

    /**
     * Null: something is wrong, told at its field.
     *
     * @param string $token of what waited on a device, and may come twice; empty: it comes from a page
     */
    public static function read(Entry $entry, Garden $garden, string $token = ''): ?self
    {
        $tasks = array_values(array_filter(array_map(TaskId::parse(...), \array_slice($entry->several('t'), 0, self::MOST_TASKS))));
        if ([] === $tasks) {
            $entry->fault('t', 'Choose at least one of the beds.');
        }
        $kind = $entry->choice('do', MarkKind::class);
        $day = '' === $entry->raw('day') ? $garden->today : $entry->day('day');
        if ($garden->today->isBefore($day)) {
            $entry->fault('day', 'That day is still to come.');
        }
        $length = MarkKind::Part === $kind ? $entry->length('length', $garden->settings->units->longUnit(), 0.1, self::LONGEST) : null;
        $hours = '' === $entry->raw('hours') ? null : $entry->float('hours', 0, self::MOST_HOURS);
        $until = MarkKind::Later === $kind ? ('' === $entry->raw('until') ? $garden->today->plus(1) : $entry->day('until')) : null;
        if (null !== $until && !$garden->today->isBefore($until)) {
            $entry->fault('until', 'Choose a day after today.');
        }
        $count = '' === $entry->raw('count') ? null : $entry->float('count', 0, 100_000);
        foreach (['words' => Limits::NOTE, 'who' => self::NAME, 'token' => Once::TOKEN] as $field => $longest) {
            if (mb_strlen($entry->raw($field)) > $longest) {
                $entry->fault($field, \sprintf('At most %d characters fit here.', $longest));
            }
        }

        return !$entry->isGood() || [] === $tasks ? null : new self($tasks, $kind, $day, $length, null === $hours ? null
            : (int) round(60 * $hours), $entry->raw('who'), $entry->raw('words'), $until, $count, $token,
            '1' === $entry->raw('again'));
    }

    /** @param non-empty-list<TaskId> $tasks */
    public static function putOff(array $tasks, Day $today, Day $until): self
    {
        return new self($tasks, MarkKind::Later, $today, null, null, '', '', $until, null, '', false);
    }
}
