<?php

declare(strict_types=1);

namespace App\Shared;

use Doctrine\DBAL\Connection;
use JollyFurrow\Exception\BadInput;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/** What the application is told from outside is looked at before it serves anything. */
#[AsCommand(name: 'start:check', description: 'Says what is wrong with the settings of the start: the pinned day, the address, the data '
    .'folder. Exit code 2: something is.')]
final class StartCommand extends Command
{
    public function __construct(private readonly Today $today, private readonly Connection $connection,
        #[Autowire('%env(trusted_hosts:DEFAULT_URI)%')] private readonly string $hosts)
    {
        parent::__construct();
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        try {
            $this->today->day();
        } catch (BadInput) {
            $output->writeln('JOLLY_FURROW_TODAY is no day. Write it as 2026-07-21, or leave it out: then it is today.');

            return Command::INVALID;
        }
        $this->connection->executeStatement('UPDATE garden SET version = version WHERE 0');

        return '' === $this->hosts ? Command::INVALID : Command::SUCCESS;
    }
}
