<?php

declare(strict_types=1);

namespace App\Bench;

use App\People\OpenRoom;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;

#[AsCommand('lottel:bench:fill', 'Fills an empty database with a large room for bin/bench.')]
final class FillLargeRoomCommand extends Command
{
    public function __construct(private readonly FillLargeRoom $fill, private readonly OpenRoom $open)
    {
        parent::__construct();
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        if ($this->open->isOpen()) {
            $output->writeln('This room is in use; the large room needs an empty one.');

            return self::FAILURE;
        }
        $this->fill->fill(1926, 20000, 250000);

        return self::SUCCESS;
    }
}
