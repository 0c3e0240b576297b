<?php

declare(strict_types=1);

namespace App\Platform\Backup;

use App\Platform\Database\RoomUnavailable;
use Doctrine\DBAL\Connection;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;

/** Looks, before the room opens, whether its file is whole and can be written to; if not, the last backup is offered. */
#[AsCommand('lottel:check', 'Says whether the room’s file is whole and can be written to.')]
final class CheckCommand extends Command
{
    public function __construct(private readonly Connection $database, private readonly Backups $backups, private readonly string $dataDir)
    {
        parent::__construct();
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $wrong = $this->wrong();
        if (null === $wrong) {
            return Command::SUCCESS;
        }
        fwrite(\STDERR, $wrong->getMessage().' The file is '.$this->dataDir."/room.sqlite.\n");
        if ($wrong->isDamage()) {
            fwrite(\STDERR, $this->offer());
        }

        return Command::FAILURE;
    }

    private function wrong(): ?RoomUnavailable
    {
        try {
            $found = $this->database->fetchOne('PRAGMA quick_check(1)');
            if ('ok' !== $found) {
                return RoomUnavailable::damaged();
            }
            $this->database->beginTransaction();
            $this->database->executeStatement('CREATE TABLE IF NOT EXISTS lottel_writes (id INTEGER)');
            $this->database->rollBack();
        } catch (\Throwable $error) {
            return RoomUnavailable::from($error) ?? throw $error;
        }

        return null;
    }

    private function offer(): string
    {
        $last = $this->backups->newest();

        return null === $last
            ? "There is no backup of it in {$this->backups->folder()}.\n"
            : "The last backup is of {$last->madeAt->format('Y-m-d H:i')} UTC. Bring it back with:\n    bin/restore {$this->backups->path($last)}\n";
    }
}
