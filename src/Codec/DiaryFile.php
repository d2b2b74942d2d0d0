<?php

declare(strict_types=1);

namespace App\Codec;

use JollyFurrow\Crop\CropBook;
use JollyFurrow\Diary\About;
use JollyFurrow\Diary\Bears;
use JollyFurrow\Diary\Diary;
use JollyFurrow\Diary\Dressing;
use JollyFurrow\Diary\Mark;
use JollyFurrow\Diary\MarkKind;
use JollyFurrow\Diary\OwnCare;
use JollyFurrow\Diary\OwnJob;
use JollyFurrow\Diary\SeedLot;
use JollyFurrow\Diary\TaskId;
use JollyFurrow\Diary\Worker;
use JollyFurrow\Exception\Limits;
use JollyFurrow\Measure\Length;
use JollyFurrow\Time\Period;
use JollyFurrow\Work\CarePoint;

/** The diary of a garden file: ticks, hands, own jobs, own care. */
final class DiaryFile
{
    private const KEY = '/^[a-z0-9-]{1,36}$/';

    /** @return array<string, mixed> empty where there is nothing to write */
    public static function values(Diary $diary): array
    {
        return array_filter([
            'workers' => array_map(static fn (Worker $w): array => ['name' => $w->name,
                'hours' => array_map(static fn (int $day): float => $w->hours[$day] ?? 0.0,
                    range(1, 7)), 'away' => array_map(static fn (Period $p): array => ['from' => $p->start->iso(),
                    'to' => $p->last()->iso()], $w->away)], $diary->workers),
            'own_jobs' => array_map(static fn (OwnJob $j): array => array_filter(['key' => $j->key, 'words' => $j->words,
                    'block' => $j->block, 'bears' => $j->bears->value, 'hours' => $j->hours, 'wait' => $j->wait,
                    'first' => $j->first->iso(), 'every' => $j->every, 'last' => $j->last?->iso()],
                static fn (mixed $v): bool => null !== $v && '' !== $v), $diary->ownJobs),
            'own_care' => array_map(static fn (OwnCare $c): array => array_filter(['key' => $c->key, 'crop' => $c->crop,
                'words' => $c->words, 'from' => $c->from, 'after' => $c->after, 'every' => $c->every, 'goes_on' => $c->goesOn,
                'hours_per_100m' => $c->hours, 'threshold' => $c->threshold], static fn (mixed $v): bool => null !== $v), $diary->ownCare),
            'seed_lots' => array_map(static fn (SeedLot $l): array => array_filter(['key' => $l->key, 'variety' => $l->variety,
                'grams' => $l->grams, 'counted' => $l->counted->iso(), 'year' => $l->year, 'germination' => $l->germination,
                'supplier' => $l->supplier, 'packet_g' => $l->packet, 'cents' => $l->cents, 'setting' => $l->setting,
                'dressing' => Dressing::None === $l->dressing ? null : $l->dressing->value],
                static fn (mixed $v): bool => null !== $v && '' !== $v), $diary->seedLots),
            'marks' => array_map(static fn (Mark $m): array => array_filter([$m->task->about->value => About::Garden === $m->task->about
                ? true : $m->task->of, 'step' => $m->task->step, 'is' => $m->kind->value, 'day' => $m->day->iso(),
                'length_mm' => null === $m->length ? null : Millimetres::of($m->length->micrometres), 'minutes' => $m->minutes,
                'who' => $m->who, 'words' => $m->words, 'until' => $m->until?->iso(), 'count' => $m->count],
                static fn (mixed $v): bool => null !== $v && '' !== $v), $diary->marks),
        ], static fn (array $list): bool => [] !== $list);
    }

    /**
     * @param array<string, list<string>> $known what marks can be of: keys and names, by About
     */
    public static function read(Node $node, CropBook $book, array $known): Diary
    {
        $jobs = array_map(static fn (Node $n): OwnJob => self::job($n, $known[About::Block->value] ?? []), self::objects($node,
            'own_jobs', Limits::OWN_JOBS));
        $known[About::OwnJob->value] = array_map(static fn (OwnJob $j): string => $j->key, $jobs);
        $care = array_map(static fn (Node $n): OwnCare => self::care($n, $book), self::objects($node, 'own_care', Limits::OWN_JOBS));
        $marks = array_map(static fn (Node $n): ?Mark => self::mark($n, $known), self::objects($node, 'marks', Limits::JOB_MARKS));

        return new Diary(array_values(array_filter($marks)), array_map(self::worker(...), self::objects($node, 'workers', Limits::WORKERS)),
            $jobs, $care, array_map(static fn (Node $n): SeedLot => self::lot($n, $book), self::objects($node, 'seed_lots',
                Limits::OWN_JOBS)));
    }

    /** @return list<Node> */
    private static function objects(Node $node, string $field, int $most): array
    {
        return $node->has($field) ? array_values($node->objects($field, $most)) : [];
    }

    private static function worker(Node $node): Worker
    {
        $hours = $node->numbers('hours', 7, 0, Worker::MOST_HOURS);
        $away = array_map(static function (Node $days): Period {
            [$from, $to] = [$days->day('from'), $days->day('to')];
            if ($to->isBefore($from)) {
                $days->fault('to', 'is before the first day away.');
                $to = $from;
            }

            return Period::fromFirstToLast($from, $to);
        }, self::objects($node, 'away', 100));

        return new Worker($node->text('name', 60), array_combine(range(1, 7), [...$hours, ...array_fill(0, 7 - \count($hours), 0.0)]),
            $away);
    }

    /** @param list<string> $blocks */
    private static function job(Node $node, array $blocks): OwnJob
    {
        $block = $node->has('block') ? $node->text('block', Limits::BLOCK_NAME) : '';
        if ('' !== $block && !\in_array($block, $blocks, true)) {
            $node->fault('block', 'is not among the blocks of this file.');
        }

        return new OwnJob($node->text('key', 36, self::KEY, 'a key of its own'), $node->text('words', 200), $block,
            $node->choice('bears', Bears::class), $node->float('hours', 0, 100), $node->int('wait', 0, 90), $node->day('first'),
            $node->has('every') ? $node->int('every', 1, 3660) : null, $node->has('last') ? $node->day('last') : null);
    }

    private static function care(Node $node, CropBook $book): OwnCare
    {
        $crop = $node->key('crop');
        if (!$book->has($crop)) {
            $node->fault('crop', 'is no crop of the book.');
        }

        return new OwnCare($node->text('key', 36, self::KEY, 'a key of its own'), $crop, $node->text('words', 80),
            $node->choice('from', CarePoint::class)->value, $node->int('after', -60, 400), $node->has('every') ? $node->int('every', 1,
                120) : null, $node->bool('goes_on'), $node->float('hours_per_100m', 0, 100), $node->has('threshold')
                    ? $node->float('threshold', 0,
                        1_000_000) : null);
    }

    private static function lot(Node $node, CropBook $book): SeedLot
    {
        $variety = $node->key('variety');
        if (!$book->has($variety)) {
            $node->fault('variety', 'is no crop of the book.');
        }

        return new SeedLot($node->text('key', 36, self::KEY, 'a key of its own'), $variety, $node->float('grams', 0, 10_000_000),
            $node->day('counted'), $node->int('year', Limits::FIRST_YEAR, Limits::LAST_YEAR), $node->has('germination')
            ? $node->float('germination', 0, 1) : null, $node->has('supplier') ? $node->text('supplier', 80) : '', $node->has('packet_g')
            ? $node->float('packet_g', 0.001, 1_000_000) : null, $node->has('cents') ? $node->int('cents', 0, 100_000_000) : null,
            $node->has('setting') ? $node->text('setting', 120) : '', $node->has('dressing') ? $node->choice('dressing', Dressing::class)
                : Dressing::None);
    }

    /** @param array<string, list<string>> $known */
    private static function mark(Node $node, array $known): ?Mark
    {
        $task = null;
        $step = $node->text('step', 60, TaskId::STEP, 'the step of a job');
        foreach ('' === $step ? [] : About::cases() as $about) {
            if (!$node->has($about->value)) {
                continue;
            }
            $of = About::Garden === $about ? '' : $node->text($about->value, 200);
            if (About::Garden !== $about && !\in_array($of, $known[$about->value] ?? [], true)) {
                $node->fault($about->value, 'is not in this file.');
                continue;
            }
            $task = 1 === preg_match(TaskId::STEP, $step) ? TaskId::of($about, $of, $step) : null;
        }
        if (null === $task) {
            $node->fault('step', 'must be of a planting, bed, block, own job or the garden.');

            return null;
        }

        return new Mark($task, $node->choice('is', MarkKind::class), $node->day('day'), $node->has('length_mm')
            ? Length::fromMicrometres($node->length('length_mm', 1, 1_000_000)) : null, $node->has('minutes') ? $node->int('minutes', 0,
                100_000) : null, $node->has('who') ? $node->text('who', 60) : '', $node->has('words') ? $node->text('words', 400) : '',
            $node->has('until') ? $node->day('until') : null, $node->has('count') ? $node->float('count', 0, 1_000_000) : null);
    }
}
