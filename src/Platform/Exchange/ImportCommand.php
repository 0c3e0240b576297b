<?php

declare(strict_types=1);

namespace App\Platform\Exchange;

use App\Platform\Backup\BackupFailed;
use App\Platform\Backup\BackupReason;
use App\Platform\Backup\RoutineBackups;
use App\Platform\Database\OpenDatabase;
use App\Platform\Database\RoomUnavailable;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;

#[AsCommand('lottel:import', 'Reads a whole room out of its JSON document into a room that has no log yet.')]
final class ImportCommand extends Command
{
    private const HAS_LOG = 3;
    private const JSON = \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES | \JSON_INVALID_UTF8_SUBSTITUTE;

    public function __construct(private readonly ImportRoom $import, private readonly OpenDatabase $open, private readonly RoutineBackups $backups)
    {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument('file', InputArgument::REQUIRED, 'The file to read, or - for standard input');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $file = $input->getArgument('file');
        try {
            $handle = $this->handle(\is_string($file) ? $file : '-');
            ($this->open)($this->getApplication());
            $this->keepAside();
            $answer = ['rows' => ($this->import)($handle, static function (string $section, int $rows): void {
                fwrite(\STDERR, \sprintf("%s: %s\n", $section, number_format($rows)));
            })];
            $status = self::SUCCESS;
        } catch (InvalidRoomFile $invalid) {
            $answer = ['error' => ['field' => $invalid->field, 'message' => $invalid->getMessage()]];
            $status = self::INVALID;
        } catch (RoomHasLog $hasLog) {
            $answer = ['error' => ['field' => '', 'message' => $hasLog->getMessage()]];
            $status = self::HAS_LOG;
        } catch (\Throwable $error) {
            $unavailable = $error instanceof BackupFailed ? $error : RoomUnavailable::from($error) ?? throw $error;
            $answer = ['error' => ['field' => '', 'message' => $unavailable->getMessage()]];
            $status = self::FAILURE;
        }
        $output->writeln(json_encode($answer, self::JSON), OutputInterface::OUTPUT_RAW | OutputInterface::VERBOSITY_QUIET);

        return $status;
    }

    /** A room that somebody has opened already, although nothing has moved in it, gives way; it is kept. */
    private function keepAside(): void
    {
        $kept = $this->import->isEmpty() ? $this->backups->before(BackupReason::Import) : null;
        if (null !== $kept) {
            fwrite(\STDERR, "The room that was here is kept in {$kept->path}\n");
        }
    }

    /** @return resource that can be sought in */
    private function handle(string $file)
    {
        if ('-' === $file) {
            $handle = tmpfile();
            if (false === $handle || false === stream_copy_to_stream(\STDIN, $handle)) {
                throw new InvalidRoomFile('', 'Standard input cannot be read.');
            }

            return $handle;
        }
        $handle = is_file($file) && is_readable($file) ? fopen($file, 'r') : false;

        return false === $handle ? throw new InvalidRoomFile('', 'The file cannot be read.') : $handle;
    }
}
