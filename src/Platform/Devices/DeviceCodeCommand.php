<?php

declare(strict_types=1);

namespace App\Platform\Devices;

use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;

#[AsCommand('lottel:device-code', 'Prints a code that lets one device in, for when no owner can come in to make one.')]
final class DeviceCodeCommand extends Command
{
    public function __construct(private readonly Devices $devices)
    {
        parent::__construct();
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $output->writeln($this->devices->code(null));

        return self::SUCCESS;
    }
}
