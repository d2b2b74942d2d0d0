<?php

declare(strict_types=1);

namespace App\Account\Command;

use App\Account\Accounts;
use App\Account\Passwords;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;
use Symfony\Component\Routing\Generator\UrlGeneratorInterface;

#[AsCommand(name: 'password-link', description: 'Prints a one-time link with which the owner of an account sets a new password. Exit code 2: there is no such account.')]
final class PasswordLinkCommand extends Command
{
    public function __construct(private readonly Accounts $accounts, private readonly Passwords $passwords,
        private readonly UrlGeneratorInterface $urls)
    {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument('email', InputArgument::REQUIRED, 'e-mail address of the account');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $email = $input->getArgument('email');
        $account = \is_string($email) ? $this->accounts->find($email) : null;
        if (null === $account) {
            $output->writeln('There is no account with this e-mail address.');

            return Command::INVALID;
        }
        $output->writeln($this->urls->generate('new_password', ['secret' => $this->passwords->link($account->id, null)],
            UrlGeneratorInterface::ABSOLUTE_PATH));

        return Command::SUCCESS;
    }
}
