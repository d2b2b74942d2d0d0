<?php

declare(strict_types=1);

namespace App\Plan\Command;

use App\Books\GardenBooks;
use App\Codec\Node;
use App\Codec\RecipeReader;
use App\Shared\Faults;
use JollyFurrow\Book\BookFault;
use JollyFurrow\Book\OwnValue;
use JollyFurrow\Check\Fault;
use JollyFurrow\Check\PlanChecker;
use JollyFurrow\Check\Sheet;
use JollyFurrow\Recipe\Recipe;
use JollyFurrow\Recipe\RecipeBook;
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

    public function __construct(private readonly GardenBooks $books, private readonly RecipeBook $recipes)
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
                $errors->writeln(\sprintf('The %s file %s; give the path of a JSON file.', $which, false === $text ? 'cannot be read'
                    : 'is no JSON object'));

                return Command::INVALID;
            }
            $files[] = $values;
        }
        try {
            $book = $this->books->with(self::own($files[0]));
        } catch (BookFault $fault) {
            $errors->writeln($fault->getMessage(), OutputInterface::OUTPUT_RAW);

            return Command::INVALID;
        }
        $faults = (new PlanChecker($book, $this->recipes->with(self::recipes($files[0]))))->check($files[0], $files[1]);
        array_map(static fn (Fault $f) => $output->writeln(\sprintf('%s  %s: %s', $f->kind->value, $f->where, $f->words),
            OutputInterface::OUTPUT_RAW), $faults);
        $errors->writeln([] === $faults ? 'Nothing wrong.' : \sprintf('%d faults.', \count($faults)));

        return [] === $faults ? Command::SUCCESS : Command::FAILURE;
    }

    /**
     * @param array<mixed> $garden
     *
     * @return list<Recipe> those that hang together
     */
    private static function recipes(array $garden): array
    {
        $root = new Node($garden, '', new Faults());

        return array_values(array_filter(array_map(static fn (Node $node): ?Recipe => RecipeReader::recipe($node->key('key'), $node),
            $root->has('own_recipes') ? $root->objects('own_recipes', 200) : [])));
    }

    /**
     * @param array<mixed> $garden
     *
     * @return list<OwnValue>
     */
    private static function own(array $garden): array
    {
        return array_map(static fn (Sheet $row): OwnValue => new OwnValue($row->text('crop'), $row->text('value'), $row->text('is'),
            $row->text('note')), (new Sheet($garden))->parts('own_values'));
    }
}
