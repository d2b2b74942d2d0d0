<?php

declare(strict_types=1);

namespace App\Job;

use App\Wording\Sayer;
use JollyFurrow\Job\PlacedTask;
use JollyFurrow\Task\CareTasks;
use JollyFurrow\Task\Site;
use JollyFurrow\Task\TaskKind;
use JollyFurrow\Work\StandAdvice;
use JollyFurrow\Work\StandCheck;

/** What a count means that was typed with a tick. */
final readonly class CountWords
{
    public function __construct(private Sayer $sayer)
    {
    }

    /** A sentence with a blank before it; empty: nothing was counted that says more. */
    public function of(Site $site, Doing $doing, PlacedTask $placed): string
    {
        $task = $placed->task;
        if (null === $doing->count) {
            return '';
        }
        if (null !== $task->threshold) {
            return $doing->count > $task->threshold
                ? \sprintf(' %s is above your %s: cut it away, cover, or record what you do; look again on %s.',
                    self::number($doing->count), self::number($task->threshold),
                    $this->sayer->shortDay($doing->day->plus(CareTasks::LOOK_AGAIN))) : \sprintf(' %s: not above your %s.',
                        self::number($doing->count), self::number($task->threshold));
        }
        if (TaskKind::CountStand !== $task->kind || null === $task->planting) {
            return '';
        }
        $check = StandCheck::of($site->garden, $task->planting, $site->crop($task->planting), $doing->count, []);

        return \sprintf(' That is %d %% of a full stand: %s.', (int) round(100 * $check->share), match ($check->advice) {
            StandAdvice::Keep => 'keep it',
            StandAdvice::Patch => 'patch the gaps',
            default => 'too thin; the stand check of the bed says until when sowing again serves',
        });
    }

    private static function number(float $count): string
    {
        return rtrim(rtrim(number_format($count, 2, '.', ''), '0'), '.');
    }
}
