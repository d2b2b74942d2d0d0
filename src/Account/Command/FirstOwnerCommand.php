<?php

declare(strict_types=1);

namespace App\Account\Command;

use App\Account\FirstOwner;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;
use Symfony\Component\Routing\Generator\UrlGeneratorInterface;

#[AsCommand(name: 'account:first', description: 'While there is no account: prints a new code and the page where the first owner is made '
    .'with it. Nothing when there is one.')]
final class FirstOwnerCommand extends Command
{
    public function __construct(private readonly FirstOwner $first, private readonly UrlGeneratorInterface $urls)
    {
        parent::__construct();
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $code = $this->first->code();
        if (null !== $code) {
            $output->writeln('There is no account yet. Make the first one with this code:');
            $output->writeln($code);
            $output->writeln($this->urls->generate('first_owner', ['code' => $code], UrlGeneratorInterface::ABSOLUTE_URL));
        }

        return Command::SUCCESS;
    }
}
