<?php

declare(strict_types=1);

namespace App\File;

use App\Codec\UnusableFile;
use JollyFurrow\Garden\Garden;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\ConsoleOutputInterface;
use Symfony\Component\Console\Output\OutputInterface;

/** The garden file a command is given; what is wrong with it goes to standard error. */
final readonly class GardenFileArgument
{
    public function __construct(private GardenReader $reader)
    {
    }

    public static function on(Command $command): void
    {
        $command->addArgument('file', InputArgument::REQUIRED, 'A garden file (docs/garden-file.md), or - for standard input');
    }

    public function read(InputInterface $input, OutputInterface $output): ?Garden
    {
        $file = $input->getArgument('file');
        $text = \is_string($file) ? @file_get_contents('-' === $file ? 'php://stdin' : $file) : false;
        if (false === $text) {
            $this->complain($output, \sprintf('The file %s cannot be read. Give the path of a garden file.', \is_string($file) ? $file
                : ''));

            return null;
        }
        try {
            return $this->reader->read($text);
        } catch (UnusableFile $bad) {
            $this->complain($output, $bad->getMessage());
            foreach ($bad->faults as $fault) {
                $this->complain($output, \sprintf('  %s: %s', $fault['path'], $fault['message']));
            }

            return null;
        }
    }

    /** @param array<string, mixed> $answer on standard output, as JSON a person can read too */
    public function answer(OutputInterface $output, array $answer): void
    {
        $output->writeln(json_encode($answer,
            \JSON_PRETTY_PRINT | \JSON_UNESCAPED_SLASHES | \JSON_UNESCAPED_UNICODE | \JSON_THROW_ON_ERROR),
            OutputInterface::OUTPUT_RAW);
    }

    public function complain(OutputInterface $output, string $words): void
    {
        ($output instanceof ConsoleOutputInterface ? $output->getErrorOutput() : $output)->writeln($words, OutputInterface::OUTPUT_RAW);
    }
}
