<?php

declare(strict_types=1);

namespace App\Platform\Exchange;

use App\Platform\Database\RoomUnavailable;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;

#[AsCommand('lottel:export', 'Writes the whole room as one JSON document.')]
final class ExportCommand extends Command
{
    public function __construct(private readonly ExportRoom $export)
    {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument('file', InputArgument::REQUIRED, 'The file to write, or - for standard output');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $file = $input->getArgument('file');
        $file = \is_string($file) ? $file : '-';
        $isOut = '-' === $file;
        $aside = $isOut ? 'php://stdout' : $file.'.new';
        $handle = @fopen($aside, 'w');
        if (false === $handle) {
            return $this->refuse($output, "{$file} cannot be written.");
        }
        try {
            $rows = [];
            ($this->export)(
                static function (string $text) use ($handle): void {
                    if (\strlen($text) !== @fwrite($handle, $text)) {
                        throw new \RuntimeException('The file could not be written whole; is the disk full?');
                    }
                },
                static function (string $section, int $count) use (&$rows, $isOut): void {
                    $rows[$section] = $count;
                    if (!$isOut && $count > 10_000) {
                        fwrite(\STDERR, \sprintf("%s: %s\n", $section, number_format($count)));
                    }
                },
            );
            if (!fclose($handle) || (!$isOut && !@rename($aside, $file))) {
                throw new \RuntimeException('The file could not be written whole; is the disk full?');
            }
        } catch (\Throwable $error) {
            if (!$isOut) {
                @unlink($aside);
            }

            $told = RoomUnavailable::from($error) ?? ($error instanceof \RuntimeException ? $error : throw $error);

            return $this->refuse($output, $told->getMessage());
        }
        if (!$isOut) {
            $output->writeln(json_encode(['file' => $file, 'rows' => $rows], \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_SLASHES), OutputInterface::OUTPUT_RAW);
        }

        return self::SUCCESS;
    }

    private function refuse(OutputInterface $output, string $message): int
    {
        fwrite(\STDERR, $message."\n");

        return self::FAILURE;
    }
}
