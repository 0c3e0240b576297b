<?php

declare(strict_types=1);

namespace App\Room\Log;

use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;

#[AsCommand('lottel:audit', 'Recomputes every balance from the log and compares it with what is believed.')]
final class AuditCommand extends Command
{
    public function __construct(private readonly AuditReading $audit)
    {
        parent::__construct();
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $report = $this->audit->report();
        $output->writeln(json_encode($report, \JSON_THROW_ON_ERROR | \JSON_PRETTY_PRINT | \JSON_UNESCAPED_UNICODE), OutputInterface::OUTPUT_RAW);

        return [] === $report->differences ? self::SUCCESS : self::FAILURE;
    }
}
