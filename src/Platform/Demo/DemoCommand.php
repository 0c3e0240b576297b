<?php

declare(strict_types=1);

namespace App\Platform\Demo;

use App\People\Accounts\OpenRoom;
use App\Platform\Database\OpenDatabase;
use App\Room\Find\FindIndex;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;
use Symfony\Component\Console\Style\SymfonyStyle;

#[AsCommand('lottel:demo', 'Furnishes an empty database with the demo room and its six months of log.')]
final class DemoCommand extends Command
{
    public function __construct(
        private readonly FurnishRoom $furnish,
        private readonly TellStory $story,
        private readonly OpenRoom $open,
        private readonly OpenDatabase $database,
        private readonly FindIndex $index,
    ) {
        parent::__construct();
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $style = new SymfonyStyle($input, $output);
        ($this->database)($this->getApplication());
        if ($this->open->isOpen()) {
            $style->error('This room is in use already; the demo room needs an empty one.');

            return self::FAILURE;
        }
        $this->furnish->people();
        $this->furnish->furniture();
        $this->story->tell();
        $this->index->rebuild();
        $style->writeln('The Tide Loft is furnished.');

        return self::SUCCESS;
    }
}
