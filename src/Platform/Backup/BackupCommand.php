<?php

declare(strict_types=1);

namespace App\Platform\Backup;

use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

#[AsCommand('lottel:backup', 'Writes the whole room into one file.')]
final class BackupCommand extends Command
{
    public function __construct(private readonly MakeBackup $make, private readonly RoutineBackups $routine)
    {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument('file', InputArgument::OPTIONAL, 'The file to write; in the room’s folder of backups where nothing is said')
            ->addOption('daily', null, InputOption::VALUE_NONE, 'Only if none was made today')
            ->addOption('before-migration', null, InputOption::VALUE_NONE, 'Only if the room is of an earlier version, and not in a backup yet')
            ->addOption('before-upgrade', null, InputOption::VALUE_NONE, 'One of those that are made before upgrades');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $file = $input->getArgument('file');
        try {
            $made = match (true) {
                true === $input->getOption('daily') => $this->routine->daily(),
                true === $input->getOption('before-migration') => $this->routine->beforeMigration(),
                true === $input->getOption('before-upgrade') => $this->routine->before(BackupReason::Migration),
                default => ($this->make)(BackupReason::Asked, \is_string($file) ? $file : null),
            };
        } catch (BackupFailed $failed) {
            fwrite(\STDERR, $failed->getMessage()."\n");

            return self::FAILURE;
        }
        if (null !== $made) {
            $output->writeln($made->path, OutputInterface::OUTPUT_RAW);
        }

        return self::SUCCESS;
    }
}
