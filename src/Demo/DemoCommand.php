<?php

declare(strict_types=1);

namespace App\Demo;

use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;

#[AsCommand('demo:load', 'Loads the demo garden and its account, unless they are there already.')]
final class DemoCommand extends Command
{
    public function __construct(private readonly Demo $demo)
    {
        parent::__construct();
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        if ($this->demo->isLoaded()) {
            $output->writeln('The demo garden is there already.');

            return Command::SUCCESS;
        }
        $this->demo->load();
        $output->writeln('The demo garden is loaded.');

        return Command::SUCCESS;
    }
}
