<?php

declare(strict_types=1);

namespace App\Platform\Devices;

use App\Platform\Lan\Certificates;
use App\Platform\Lan\LanAddress;
use App\Platform\Lan\LanFiles;
use App\Platform\Lan\TerminalQr;
use App\Room\Labels\QrCode;
use App\Room\Stores\RoomName;
use Symfony\Component\Clock\ClockInterface;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;

#[AsCommand('lottel:lan', 'Prepares what serves this room to the workroom, and prints how a tablet comes in.', hidden: true)]
final class PrepareLanCommand extends Command
{
    public function __construct(
        private readonly Certificates $certificates,
        private readonly LanFiles $files,
        private readonly Devices $devices,
        private readonly RoomName $room,
        private readonly QrCode $qr,
        private readonly ClockInterface $clock,
    ) {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument('port', InputArgument::REQUIRED)
            ->addArgument('plain-port', InputArgument::REQUIRED)
            ->addArgument('name', InputArgument::OPTIONAL, '', '');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        [$port, $plain, $name] = [$input->getArgument('port'), $input->getArgument('plain-port'), $input->getArgument('name')];
        \assert(is_numeric($port) && is_numeric($plain) && \is_string($name));
        $address = LanAddress::of(strtolower($name), (int) $port, (int) $plain);
        $isAnother = $this->certificates->prepare($this->room->now(), $address->names, $this->clock->now());
        $this->files->write($address, $this->certificates);
        if ($isAnother) {
            $said = \sprintf('This room’s certificate could not vouch for %s, so there is another one.', $address->names[0]);
            $output->writeln(['', $said], OutputInterface::OUTPUT_RAW);
            $output->writeln('Every tablet and phone has to take it in, as a new one does.', OutputInterface::OUTPUT_RAW);
        }
        $output->writeln([
            '',
            'This room is served to the workroom: '.$address->url(),
            '',
            'A new tablet or phone:',
            '  1. It opens '.$address->trustUrl().' and takes in this room’s certificate. Compare its fingerprint:',
            '     '.$this->certificates->fingerprint(),
            '  2. It opens '.$address->url().' and types the code that an owner sees under Upkeep, People, Devices.',
        ], OutputInterface::OUTPUT_RAW);
        if ([] === $this->devices->all()) {
            $said = \sprintf('     No device is let in yet. The first code, for %d minutes: %s', Devices::CODE_MINUTES, $this->devices->code(null));
            $output->writeln($said, OutputInterface::OUTPUT_RAW);
        }
        $output->writeln(['', TerminalQr::of($this->qr->rows($address->trustUrl()))], OutputInterface::OUTPUT_RAW);

        return self::SUCCESS;
    }
}
