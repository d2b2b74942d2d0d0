<?php

declare(strict_types=1);

namespace App\Harvest\Command;

use App\File\GardenFileArgument;
use JollyFurrow\Storage\HarvestLot;
use JollyFurrow\Storage\Ledger;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;

#[AsCommand('harvest', 'Prints the harvests of a garden file, what of each lies where and what became of it, as JSON. '
    .'Exit code 0: done; 2: the file cannot be used.')]
final class HarvestCommand extends Command
{
    public function __construct(private readonly GardenFileArgument $file)
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
        $ledger = Ledger::on($garden->store, $garden->today);
        $this->file->answer($output, ['garden' => $garden->name, 'today' => $garden->today->iso(), 'unit' => 'hundredths of a unit of sale',
            'lots' => array_map(static fn (HarvestLot $l): array => ['lot' => $l->key, 'day' => $l->day->iso(), 'bed' => $l->bed,
                'item' => $l->item, 'variety' => $l->variety, 'grade' => $l->grade->value, 'lifted' => $l->hundredths,
                'there' => (object) ($ledger->there[$l->key] ?? []), 'gone' => (object) ($ledger->gone[$l->key] ?? [])],
                $garden->store->harvests)]);
        $this->file->complain($output, \sprintf('%d lots.', \count($garden->store->harvests)));

        return Command::SUCCESS;
    }
}
