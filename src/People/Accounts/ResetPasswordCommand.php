<?php

declare(strict_types=1);

namespace App\People\Accounts;

use App\Platform\Security\Account;
use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;

/** For whoever has forgotten a password: the new one is made up and shown once. */
#[AsCommand('lottel:reset-password', 'Gives somebody a new password and ends their sessions.')]
final class ResetPasswordCommand extends Command
{
    private const BYTES = 9;

    public function __construct(private readonly EntityManagerInterface $entities, private readonly KeepPeople $people)
    {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument('login', InputArgument::REQUIRED, 'whose');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $login = $input->getArgument('login');
        $account = $this->entities->getRepository(Account::class)->findOneBy(['login' => \is_string($login) ? $login : '', 'leftAt' => null]);
        if (null === $account) {
            $output->writeln('Nobody here has this log-in.');

            return Command::INVALID;
        }
        $password = strtr(base64_encode(random_bytes(self::BYTES)), '+/', 'xy');
        $this->people->setPassword($account, $password);
        $this->entities->flush();
        $output->writeln(\sprintf('The new password of %s is: %s', $account->name, $password));

        return Command::SUCCESS;
    }
}
