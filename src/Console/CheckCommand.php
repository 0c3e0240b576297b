<?php

declare(strict_types=1);

namespace App\Console;

use App\Database\RoomUnavailable;
use Doctrine\DBAL\Connection;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;

/** Looks, before the room opens, whether its file is whole and can be written to. */
#[AsCommand('lottel:check', 'Says whether the room’s file is whole and can be written to.')]
final class CheckCommand extends Command
{
    public function __construct(private readonly Connection $database, private readonly string $dataDir)
    {
        parent::__construct();
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $wrong = $this->wrong();
        if (null === $wrong) {
            return Command::SUCCESS;
        }
        fwrite(\STDERR, $wrong.' The file is '.$this->dataDir."/room.sqlite.\n");

        return Command::FAILURE;
    }

    private function wrong(): ?string
    {
        try {
            $found = $this->database->fetchOne('PRAGMA quick_check(1)');
            if ('ok' !== $found) {
                return RoomUnavailable::damaged()->getMessage();
            }
            $this->database->beginTransaction();
            $this->database->executeStatement('CREATE TABLE IF NOT EXISTS lottel_writes (id INTEGER)');
            $this->database->rollBack();
        } catch (\Throwable $error) {
            return RoomUnavailable::from($error)?->getMessage() ?? throw $error;
        }

        return null;
    }
}
