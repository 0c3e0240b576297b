<?php

declare(strict_types=1);

namespace App\Platform\Backup;

use App\Platform\Database\OpenDatabase;
use App\Room\Log\AuditReading;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;

#[AsCommand('lottel:restore', 'Brings a backup back in place of the room that is here.')]
final class RestoreCommand extends Command
{
    public function __construct(private readonly RestoreBackup $restore, private readonly OpenDatabase $open, private readonly AuditReading $audit)
    {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument('file', InputArgument::REQUIRED, 'The backup');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $file = $input->getArgument('file');
        try {
            $backup = $this->restore->look(\is_string($file) ? $file : '');
            $back = ($this->restore)($backup);
        } catch (InvalidBackup $invalid) {
            fwrite(\STDERR, $invalid->getMessage()."\n");

            return self::INVALID;
        } catch (BackupFailed $failed) {
            fwrite(\STDERR, $failed->getMessage()."\n");

            return self::FAILURE;
        }
        ($this->open)($this->getApplication());
        $manifest = $backup->manifest;
        $made = $manifest->madeAt->format('Y-m-d H:i');
        $output->writeln(\sprintf('“%s” of %s UTC is back, with %s movements.', $manifest->room, $made, number_format($manifest->movements)));
        if (null !== $back->kept) {
            $output->writeln('The room that was here is kept in '.$back->kept, OutputInterface::OUTPUT_RAW);
        }
        if ('' !== $back->sentence()) {
            $output->writeln($back->sentence());
        }
        $output->writeln('Everybody signs in anew. If Lottel is running, start it again.');
        $differences = \count($this->audit->report()->differences);
        $output->writeln(match ($differences) {
            0 => 'The audit finds no difference.',
            1 => 'The audit finds one difference: see lottel:audit.',
            default => "The audit finds {$differences} differences: see lottel:audit.",
        });

        return self::SUCCESS;
    }
}
