<?php

declare(strict_types=1);

namespace App\Climate\Command;

use App\File\GardenFileArgument;
use JollyFurrow\Climate\ClimateTable;
use JollyFurrow\Climate\DayLength;
use JollyFurrow\Climate\FrostDates;
use JollyFurrow\Climate\FrostGrade;
use JollyFurrow\Time\Day;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;

#[AsCommand(name: 'place',
    description: 'Prints the frost table, day lengths by date and heat units by month of a garden file as JSON. Exit code 0: done; 2: the file cannot be used or knows no climate.')]
final class PlaceCommand extends Command
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
        $year = $garden->today->year();
        $frost = [];
        $odds = $garden->climate->frost;
        foreach (FrostGrade::cases() as $grade) {
            foreach (['last', 'first'] as $which) {
                foreach (FrostDates::ODDS as $share) {
                    $frost[$grade->value][$which][(string) $share] = $odds->day($grade, $which, $share, $year,
                        $garden->place->latitude < 0)?->iso();
                }
            }
        }
        $days = [];
        for ($day = Day::fromDate($year, 1, 1); $day->year() === $year; $day = $day->plus(1)) {
            $days[$day->iso()] = round(DayLength::hours($garden->place->latitude, $day), 3);
        }
        $months = array_map(static fn (array $row): array => ['month' => $row['month'],
            'above_4' => round($row['heat4'], 1), 'above_10' => round($row['heat10'], 1)], ClimateTable::of($garden->climate->climate,
                $garden->place->latitude, $year, $garden->climate->record)->rows);
        $this->file->answer($output, ['latitude' => $garden->place->latitude, 'seasons' => $garden->climate->frost->years,
            'guess' => $garden->climate->isGuess(),
            'frost' => $frost, 'day_length_hours' => $days, 'heat_units' => $months]);
        if ($garden->climate->isGuess()) {
            $this->file->complain($output, 'The file knows no climate: this is a guess from latitude and altitude.');
        }

        return Command::SUCCESS;
    }
}
