<?php

declare(strict_types=1);

namespace App\Platform\Bench;

use App\People\Accounts\OpenRoom;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

#[AsCommand('lottel:bench:fill', 'Fills an empty database with a large room for bin/bench.')]
final class FillLargeRoomCommand extends Command
{
    public function __construct(private readonly FillLargeRoom $fill, private readonly OpenRoom $open)
    {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addOption('movements', null, InputOption::VALUE_REQUIRED, 'How long its log is', '250000');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        if ($this->open->isOpen()) {
            $output->writeln('This room is in use; the large room needs an empty one.');

            return self::FAILURE;
        }
        $movements = $input->getOption('movements');
        if (!\is_string($movements) || 1 !== preg_match('/^[1-9]\d{4,6}$/D', $movements) || (int) $movements < 25_000) {
            $output->writeln('A large room has 25,000 movements or more.');

            return self::INVALID;
        }
        $this->fill->fill(1926, 20_000, (int) $movements);

        return self::SUCCESS;
    }
}
