<?php

declare(strict_types=1);

namespace App\Harvest\Command;

use App\Books\GardenBooks;
use App\Books\StoreTables;
use App\File\GardenFileArgument;
use JollyFurrow\Diary\Worker;
use JollyFurrow\Pick\PickLine;
use JollyFurrow\Pick\PickList;
use JollyFurrow\Pick\PickShort;
use JollyFurrow\Pick\StoreLine;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;

#[AsCommand('pick', 'Prints what to pick for the market days ahead of a garden file, from which bed and on which day, as JSON. '
    .'All hours of those who work are for picking. Exit code 0: done; 1: something is short; 2: the file cannot be used.')]
final class PickCommand extends Command
{
    public function __construct(private readonly GardenFileArgument $file, private readonly GardenBooks $books,
        private readonly StoreTables $tables)
    {
        parent::__construct();
    }

    protected function configure(): void
    {
        GardenFileArgument::on($this);
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $garden = $this->file->read($input, $output);
        if (null === $garden) {
            return Command::INVALID;
        }
        $workers = $garden->diary->workers;
        $hours = array_map(static fn (int $n): ?float => [] === $workers ? null : array_sum(array_map(
            static fn (Worker $w): float => $w->hoursOn($garden->today->plus($n)), $workers)), range(0, PickList::AHEAD));
        $list = PickList::of($garden, $this->books->with($garden->own), $this->tables->picking(), $hours);
        $this->file->answer($output, ['garden' => $garden->name, 'today' => $garden->today->iso(),
            'pick' => array_map(static fn (PickLine $l): array => ['day' => $l->day->iso(), 'market' => $l->market->iso(),
                'beds' => $l->beds(), 'planting' => $l->planting->key, 'units' => $l->units, 'outlets' => $l->outlets,
                'hours' => round($l->hours(), 2), 'crates' => $l->crates(), 'cooling' => $l->traits->cooling->value], $list->lines),
            'store' => array_map(static fn (StoreLine $l): array => ['market' => $l->market->iso(), 'lot' => $l->holding->lot->key,
                'place' => $l->holding->place->key, 'outlet' => $l->outlet, 'units' => $l->units], $list->stored),
            'short' => array_map(static fn (PickShort $s): array => ['market' => $s->market->iso(), 'item' => $s->crop->item(),
                'outlet' => $s->outlet, 'units' => $s->units, 'why' => $s->why->code->value], $list->short)]);
        $this->file->complain($output, \sprintf('%d to pick, %d short.', \count($list->lines), \count($list->short)));

        return [] === $list->short ? Command::SUCCESS : Command::FAILURE;
    }
}
