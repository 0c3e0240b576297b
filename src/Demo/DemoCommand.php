<?php

declare(strict_types=1);

namespace App\Demo;

use App\People\OpenRoom;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\ArrayInput;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\NullOutput;
use Symfony\Component\Console\Output\OutputInterface;
use Symfony\Component\Console\Style\SymfonyStyle;

#[AsCommand('lottel:demo', 'Furnishes an empty database with the demo room and its six months of log.')]
final class DemoCommand extends Command
{
    public function __construct(private readonly FurnishRoom $furnish, private readonly TellStory $story, private readonly OpenRoom $open)
    {
        parent::__construct();
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $style = new SymfonyStyle($input, $output);
        $migrate = new ArrayInput(['command' => 'doctrine:migrations:migrate', '--no-interaction' => true, '--allow-no-migration' => true]);
        $migrate->setInteractive(false);
        $this->getApplication()?->find('doctrine:migrations:migrate')->run($migrate, new NullOutput());
        if ($this->open->isOpen()) {
            $style->error('This room is in use already; the demo room needs an empty one.');

            return self::FAILURE;
        }
        $this->furnish->people();
        $this->furnish->furniture();
        $this->story->tell();
        $style->writeln('The Tide Loft is furnished.');

        return self::SUCCESS;
    }
}
