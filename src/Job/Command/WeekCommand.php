<?php

declare(strict_types=1);

namespace App\Job\Command;

use App\Books\CareFile;
use App\Books\GardenBooks;
use App\Books\JobsFile;
use App\Codec\Millimetres;
use App\File\GardenFileArgument;
use JollyFurrow\Climate\DailyRecord;
use JollyFurrow\Job\Job;
use JollyFurrow\Job\PlacedTask;
use JollyFurrow\Job\Relief;
use JollyFurrow\Job\WorkDay;
use JollyFurrow\Job\WorkWeek;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Task\Site;
use JollyFurrow\Task\SoilDays;
use JollyFurrow\Task\TaskList;
use JollyFurrow\Work\CareCalendar;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

#[AsCommand('week', 'Prints the jobs of a week of a garden file, day by day, as JSON. Exit code 0: done; 1: a day has more work than hands; 2: the file cannot be used.')]
final class WeekCommand extends Command
{
    private const MOST_ON = 52;

    public function __construct(private readonly GardenFileArgument $file, private readonly GardenBooks $books,
        private readonly RecipeBook $recipes, private readonly CareFile $care, private readonly JobsFile $jobs)
    {
        parent::__construct();
    }

    protected function configure(): void
    {
        GardenFileArgument::on($this);
        $this->addOption('on', null, InputOption::VALUE_REQUIRED, 'So many weeks after the one of the file\'s day', '0');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $garden = $this->file->read($input, $output);
        $on = filter_var($input->getOption('on'), \FILTER_VALIDATE_INT, ['options' => ['min_range' => -self::MOST_ON,
            'max_range' => self::MOST_ON]]);
        if (null === $garden || !\is_int($on)) {
            null === $garden ?: $this->file->complain($output, \sprintf('--on takes a whole number from %d to %d.', -self::MOST_ON,
                self::MOST_ON));

            return Command::INVALID;
        }
        $book = $this->books->with($garden->own);
        $recipes = $this->recipes->with($garden->recipes);
        $site = new Site($garden, $book, $recipes, $this->jobs->load(), new CareCalendar($garden, $book, $recipes, $this->care->load()),
            new SoilDays($garden->climate->measured, DailyRecord::fromRows([])));
        $week = WorkWeek::of($site, TaskList::usual(), $garden->today->plus(7 * $on)->week());
        $over = Relief::of($week);
        $this->file->answer($output, ['garden' => $garden->name, 'today' => $garden->today->iso(), 'week' => $week->week->label(),
            'days' => array_map(static fn (WorkDay $day): array => ['day' => $day->day->iso(), 'hours' => round($day->hours(), 2),
                'hands' => $day->hands, 'jobs' => array_map(self::job(...), $day->jobs)], $week->days)]);
        $this->file->complain($output, \sprintf('%d jobs, %.1f hours, %d days with more work than hands.', \count($week->jobs()),
            $week->hours(), \count($over)));

        return [] === $over ? Command::SUCCESS : Command::FAILURE;
    }

    /** @return array<string, mixed> */
    private static function job(Job $job): array
    {
        return ['kind' => $job->kind->value, 'name' => $job->name, 'is' => $job->state->value, 'block' => $job->block,
            'beds' => $job->beds(), 'length_mm' => Millimetres::of($job->length()->micrometres), 'hours' => round($job->hours(), 2),
            'last' => $job->last()->iso(), 'cents' => round($job->cents()), 'group' => $job->group()->value,
            'tasks' => array_map(static fn (PlacedTask $p): string => $p->task->id->text(), $job->tasks)];
    }
}
