<?php

declare(strict_types=1);

namespace App\Plan\Command;

use JollyFurrow\Check\Fault;
use JollyFurrow\Check\PlanChecker;
use JollyFurrow\Crop\CropBook;
use JollyFurrow\Preparation\RecipeBook;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\ConsoleOutputInterface;
use Symfony\Component\Console\Output\OutputInterface;

#[AsCommand(name: 'check', description: 'Holds a plan file against its garden file by every hard rule, supply and cost. Exit code 0: nothing wrong; 1: faults, one a line; 2: a file cannot be used.')]
final class CheckCommand extends Command
{
    private const MOST_BYTES = 50_000_000;

    public function __construct(private readonly CropBook $book, private readonly RecipeBook $recipes)
    {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument('garden', InputArgument::REQUIRED, 'A garden file (docs/garden-file.md)');
        $this->addArgument('plan', InputArgument::REQUIRED, 'A plan file, as the command "plan" prints it, or - for standard input');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $errors = $output instanceof ConsoleOutputInterface ? $output->getErrorOutput() : $output;
        $files = [];
        foreach (['garden', 'plan'] as $which) {
            $name = $input->getArgument($which);
            $text = \is_string($name) ? @file_get_contents('-' === $name ? 'php://stdin' : $name, length: self::MOST_BYTES) : false;
            $values = false === $text ? null : json_decode($text, true);
            if (!\is_array($values)) {
                $errors->writeln(\sprintf('The %s file %s; give the path of a JSON file.', $which, false === $text ? 'cannot be read' : 'is no JSON object'));

                return Command::INVALID;
            }
            $files[] = $values;
        }
        $faults = (new PlanChecker($this->book, $this->recipes))->check($files[0], $files[1]);
        array_map(static fn (Fault $f) => $output->writeln(\sprintf('%s  %s: %s', $f->kind->value, $f->where, $f->words), OutputInterface::OUTPUT_RAW), $faults);
        $errors->writeln([] === $faults ? 'Nothing wrong.' : \sprintf('%d faults.', \count($faults)));

        return [] === $faults ? Command::SUCCESS : Command::FAILURE;
    }
}
