<?php

declare(strict_types=1);

namespace App\Plan\Command;

use App\Books\GardenBooks;
use App\File\GardenFileArgument;
use App\Plan\PlanJson;
use App\Wording\Formatter;
use App\Wording\Sayer;
use JollyFurrow\Plan\Planner;
use JollyFurrow\Recipe\RecipeBook;
use JollyFurrow\Why\Contradictions;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;

#[AsCommand('plan', 'Draws up the plan of a garden file and prints it as JSON. Exit code 0: all promises kept; 1: some are short; 2: the file cannot be used.')]
final class PlanCommand extends Command
{
    public const DONE = 0;
    public const SHORT = 1;
    public const BAD_INPUT = 2;

    public function __construct(private readonly GardenFileArgument $file, private readonly GardenBooks $books,
        private readonly RecipeBook $recipes, private readonly Sayer $sayer)
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
            return self::BAD_INPUT;
        }
        $book = $this->books->with($garden->own);
        $recipes = $this->recipes->with($garden->recipes);
        $this->sayer->speakFor(Formatter::forMachines($garden->settings->currency));
        $planner = new Planner($book, $recipes);
        $plan = $planner->draw($garden);
        $this->file->answer($output, (new PlanJson($book, $recipes, $this->sayer))->of($garden, $plan));
        foreach (Contradictions::of($garden, $book) as $contradiction) {
            $this->file->complain($output, $this->sayer->text($contradiction));
        }
        $this->file->complain($output, \sprintf('%d plantings drawn up, %s %% of the promised units kept.', \count($plan->new),
            number_format(100 * $plan->keptShare(), 1)));

        return [] === $plan->shortages ? self::DONE : self::SHORT;
    }
}
