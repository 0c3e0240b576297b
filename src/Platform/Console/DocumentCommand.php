<?php

declare(strict_types=1);

namespace App\Platform\Console;

use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;

/** A command that reads one JSON document and prints one: 0 with an answer, 2 with what is wrong and where. */
abstract class DocumentCommand extends Command
{
    protected function configure(): void
    {
        $this->addArgument('file', InputArgument::REQUIRED, 'The document’s path, or - for standard input');
    }

    /**
     * @return array<string, mixed>
     *
     * @throws InvalidDocument if the document cannot be answered
     */
    abstract public function answer(Document $document): array;

    /**
     * @param list<Document> $entries
     *
     * @throws InvalidDocument if two of them have one id
     */
    protected function idsDiffer(array $entries): void
    {
        $seen = [];
        foreach ($entries as $entry) {
            $id = $entry->object()->get('id')->string();
            if (isset($seen['='.$id])) {
                $entry->get('id')->refuse('This id is used already.');
            }
            $seen['='.$id] = true;
        }
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        try {
            $answer = $this->answer(Document::parse($this->read($this->file($input))));
            $status = self::SUCCESS;
        } catch (InvalidDocument $invalid) {
            $answer = ['error' => ['field' => $invalid->field, 'message' => $invalid->getMessage()]];
            $status = self::INVALID;
        }
        $json = json_encode($answer, \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES | \JSON_INVALID_UTF8_SUBSTITUTE);
        $output->writeln($json, OutputInterface::OUTPUT_RAW | OutputInterface::VERBOSITY_QUIET);

        return $status;
    }

    private function read(string $file): string
    {
        $content = '-' === $file ? file_get_contents('php://stdin') : (is_file($file) && is_readable($file) ? file_get_contents($file) : false);
        if (false === $content) {
            throw new InvalidDocument('', 'The file cannot be read.');
        }

        return $content;
    }

    private function file(InputInterface $input): string
    {
        $file = $input->getArgument('file');

        return \is_string($file) ? $file : '';
    }
}
