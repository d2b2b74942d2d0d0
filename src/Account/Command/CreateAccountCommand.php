<?php

declare(strict_types=1);

namespace App\Account\Command;

use App\Account\Accounts;
use App\Account\NewAccount;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\ConsoleOutputInterface;
use Symfony\Component\Console\Output\OutputInterface;
use Symfony\Component\Validator\Validator\ValidatorInterface;

#[AsCommand(name: 'account:create', description: 'Opens an account; the password is read from standard input, its first line. Exit code '
    .'2: it cannot be opened so.')]
final class CreateAccountCommand extends Command
{
    /** @param resource|null $in where the password comes from; null: standard input */
    public function __construct(private readonly Accounts $accounts, private readonly ValidatorInterface $validator,
        private readonly mixed $in = null)
    {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument('email', InputArgument::REQUIRED, 'e-mail address to sign in with')
            ->addArgument('name', InputArgument::REQUIRED, 'name that is shown to the others');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $errors = $output instanceof ConsoleOutputInterface ? $output->getErrorOutput() : $output;
        $typed = new NewAccount();
        [$email, $name] = [$input->getArgument('email'), $input->getArgument('name')];
        [$typed->email, $typed->name] = [\is_string($email) ? trim($email) : '', \is_string($name) ? trim($name) : ''];
        $typed->password = $typed->again = rtrim((string) fgets($this->in ?? \STDIN), "\r\n");
        $faults = [];
        foreach ($this->validator->validate($typed) as $fault) {
            $faults[] = $fault->getPropertyPath().': '.$fault->getMessage();
        }
        if ([] === $faults && null !== $this->accounts->find(mb_strtolower($typed->email))) {
            $faults[] = 'email: There is an account with this address already.';
        }
        if ([] !== $faults) {
            $errors->writeln($faults);

            return Command::INVALID;
        }
        $account = $this->accounts->openTyped($typed);
        $output->writeln((string) json_encode(['email' => $account->getUserIdentifier(), 'name' => $account->name()]));

        return Command::SUCCESS;
    }
}
