<?php

declare(strict_types=1);

namespace App\Water\Command;

use App\Books\GardenBooks;
use App\Books\SoilTables;
use App\File\GardenFileArgument;
use JollyFurrow\Climate\DailyRecord;
use JollyFurrow\Irrigation\BedWater;
use JollyFurrow\Irrigation\ValveWeek;
use JollyFurrow\Irrigation\WaterPlan;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Time\Day;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;

#[AsCommand('water', 'Prints the water a garden file wants by week and valve as JSON. '
    .'Exit code 0: done; 1: the source gives too little in some week; 2: the file cannot be used.')]
final class WaterCommand extends Command
{
    public function __construct(private readonly GardenFileArgument $file, private readonly GardenBooks $books,
        private readonly RecipeBook $recipes, private readonly SoilTables $tables)
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
        $plan = WaterPlan::of($garden, $this->books->with($garden->own), $this->recipes->with($garden->recipes), $this->tables->water(),
            DailyRecord::fromRows([]));
        $short = 0;
        $weeks = [];
        foreach (array_keys($plan->weeks) as $number) {
            $monday = Day::of($number);
            $short += (int) ($plan->short($monday) > 0.0);
            $weeks[] = ['monday' => $monday->iso(), 'litres' => round($plan->litres($monday)), 'short' => round($plan->short($monday)),
                'valves' => array_map(self::valve(...), $plan->week($monday)), 'let_go_first' => array_map(self::bed(...),
                    $plan->letGo($monday))];
        }
        $this->file->answer($output, ['garden' => $garden->name, 'today' => $garden->today->iso(), 'source_litres_a_week' => $plan->source,
            'weeks' => $weeks]);
        $this->file->complain($output, \sprintf('%d weeks, %d with too little water.', \count($weeks), $short));

        return 0 === $short ? Command::SUCCESS : Command::FAILURE;
    }

    /** @return array<string, mixed> */
    private static function valve(ValveWeek $week): array
    {
        $minutes = $week->minutes();

        return ['valve' => $week->valve?->name, 'litres' => round($week->litres), 'minutes' => null === $minutes ? null : round($minutes),
            'times' => $week->openings(), 'beds' => array_map(self::bed(...), $week->beds)];
    }

    /** @return array<string, mixed> */
    private static function bed(BedWater $bed): array
    {
        return ['bed' => $bed->bed, 'planting' => $bed->planting, 'mm' => round($bed->mm, 1), 'litres' => round($bed->litres)];
    }
}
