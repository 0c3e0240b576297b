<?php

declare(strict_types=1);

namespace App\Room\ListImport;

use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;

#[AsCommand('lottel:read-sheet', 'Reads a spreadsheet into rows, one JSON list a line.', hidden: true)]
final class ReadSheetCommand extends Command
{
    protected function configure(): void
    {
        $this->addArgument('file', InputArgument::REQUIRED)->addArgument('rows', InputArgument::REQUIRED);
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        [$file, $into] = [$input->getArgument('file'), $input->getArgument('rows')];
        \assert(\is_string($file) && \is_string($into));
        $sheet = new SheetRows();
        try {
            $handle = @fopen($into, 'w');
            $count = $columns = 0;
            foreach (false === $handle ? throw InvalidSheet::cannotBeKept() : $sheet->of($file) as $cells) {
                $line = json_encode($cells, \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES | \JSON_INVALID_UTF8_SUBSTITUTE)."\n";
                if (\strlen($line) !== @fwrite($handle, $line)) {
                    throw InvalidSheet::cannotBeKept();
                }
                ++$count;
                $columns = max($columns, \count($cells));
            }
            $answer = ['rows' => $count, 'formulas' => $sheet->formulas, 'columns' => $columns];
        } catch (InvalidSheet $invalid) {
            $answer = ['error' => $invalid->getMessage()];
        }
        $output->writeln(json_encode($answer, \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE), OutputInterface::OUTPUT_RAW);

        return isset($answer['error']) ? self::INVALID : self::SUCCESS;
    }
}
