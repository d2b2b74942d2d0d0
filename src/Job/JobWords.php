<?php

declare(strict_types=1);

namespace App\Job;

use App\Wording\Sayer;
use JollyFurrow\Crop\Container;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Diary\MarkKind;
use JollyFurrow\Job\Job;
use JollyFurrow\Job\PlacedTask;
use JollyFurrow\Job\TaskState;
use JollyFurrow\Land\BedRuns;
use JollyFurrow\Planting\Planting;
use JollyFurrow\Task\Site;
use JollyFurrow\Task\Task;
use JollyFurrow\Task\TaskKind;
use Symfony\Contracts\Translation\TranslatorInterface;

/** What a job is called, of what and where, as one says it in the field. */
final readonly class JobWords
{
    /** More crops than these are not named one by one. */
    private const CROPS = 3;

    public function __construct(private Sayer $sayer, private CropBook $crops, private TranslatorInterface $translator)
    {
    }

    /** "Sow in trays", "Spread compost and rake level" */
    public function verb(Task $task): string
    {
        return match ($task->kind) {
            TaskKind::Prepare, TaskKind::Care, TaskKind::Yearly, TaskKind::Own, TaskKind::Paths => $task->name,
            TaskKind::Feed => $this->translator->trans('feed-verb', ['name' => $task->name]),
            TaskKind::Irrigate => $this->translator->trans('irrigate-verb', ['name' => $task->name]),
            TaskKind::Cure => $this->translator->trans('cure-verb.'.explode('/', $task->name, 2)[0],
                ['crop' => mb_strtolower(explode('/', $task->name, 2)[1] ?? '')]),
            TaskKind::LookStore => $this->translator->trans('look-store-verb', ['name' => $task->name]),
            TaskKind::SowTrays => $this->translator->trans('sow-verb.'.('' === $task->name ? Container::Cells->value : $task->name)),
            TaskKind::Weed => null === $task->weeds || !str_starts_with($task->name, 'Weed pass') ? $task->name
                : $this->translator->trans('weed-verb.'.$task->weeds->value, ['tool' => $task->tool]),
            TaskKind::ReadyStock, TaskKind::CoverOn, TaskKind::CoverOff,
            TaskKind::Tonight => $this->translator->trans('task-verb.'.$task->kind->value.'.'.strtr($task->name, '/', '-')),
            default => $this->sayer->word($task->kind),
        };
    }

    /** "head lettuce", "kale · chard · leek and 2 more" */
    public function what(Job $job): string
    {
        $names = array_values(array_unique(array_filter(array_map(fn (PlacedTask $p): string => $this->crop($p->task->planting),
            $job->tasks), static fn (string $name): bool => '' !== $name)));
        $more = \count($names) - self::CROPS;

        return $more <= 0 ? implode(' · ', $names) : implode(' · ', \array_slice($names, 0, self::CROPS)).' and '.$more.' more';
    }

    private function crop(?Planting $planting): string
    {
        return null === $planting ? '' : mb_strtolower($this->crops->grown($planting->item, $planting->variety)->name);
    }

    /** "D1 to D4, D7", "block D, not D5", "nursery" */
    public function where(Job $job, Site $site): string
    {
        if ($job->kind->isInNursery()) {
            return 'nursery';
        }
        $beds = $job->beds();
        $but = '' === $job->block ? null : BedRuns::allBut($beds, $site->garden->bedsInUse(), $job->block);
        if (null !== $but) {
            return 'block '.$job->block.([] === $but ? '' : ', not '.implode(' or ', $but));
        }

        return [] === $beds ? ('' === $job->block ? '' : 'block '.$job->block) : $this->runs($beds, $site);
    }

    /** @param list<string> $beds */
    public function runs(array $beds, Site $site): string
    {
        return implode(', ', array_map(static fn (array $run): string => $run[0] === $run[1] ? $run[0] : $run[0].' to '.$run[1],
            BedRuns::of($beds, $site->garden->beds)));
    }

    /** "Plant out broccoli on B9" */
    public function whole(Job $job, Site $site): string
    {
        $what = $this->what($job);
        $where = $this->where($job, $site);

        return $this->verb($job->first()).('' === $what ? '' : ' '.$what).match (true) {
            '' === $where => '', 'nursery' === $where => ' in the nursery', default => ' on '.$where,
        };
    }

    /**
     * For the log and the page.
     *
     * @param non-empty-list<PlacedTask> $placed
     */
    public function done(Site $site, Doing $doing, array $placed): string
    {
        $job = Job::of(array_map(static fn (PlacedTask $p): PlacedTask => new PlacedTask($p->task, $placed[0]->state, $placed[0]->day,
            $p->last, $p->mark, $p->toDo, $p->hours), $placed), [])[0];
        $others = \count($placed) - \count($job->tasks);
        $how = match ($doing->kind) {
            MarkKind::Done => 'done', MarkKind::Left => 'left out',
            MarkKind::Part => null === $doing->length ? 'part done' : $this->sayer->long($doing->length).' of '
                .$this->sayer->long($job->length()).' done',
            MarkKind::Later => 'put off to '.(null === $doing->until ? 'later' : $this->sayer->shortDay($doing->until)),
        };

        return $this->whole($job, $site).($others > 0 ? ' and '.$others.' more' : '').': '.$how.('' === $doing->who ? ''
            : ' by '.$doing->who);
    }

    public function faster(PlacedTask $placed): SomebodyWasFaster
    {
        return SomebodyWasFaster::than($placed->mark->who ?? '', $this->sayer->shortDay($placed->day), TaskState::Done === $placed->state);
    }
}
