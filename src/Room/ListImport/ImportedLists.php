<?php

declare(strict_types=1);

namespace App\Room\ListImport;

use App\Platform\Security\Account;
use App\Platform\Steps\Unknown;
use Symfony\Component\Filesystem\Filesystem;
use Symfony\Component\HttpFoundation\File\UploadedFile;
use Symfony\Component\Process\Exception\ProcessTimedOutException;
use Symfony\Component\Process\PhpExecutableFinder;
use Symfony\Component\Process\Process;
use Symfony\Component\Uid\Uuid;

/** Lists on their way into the room, kept beside it until they are in, or for a week. */
final readonly class ImportedLists
{
    private const MEMORY = '1G';
    private const SECONDS = 180;
    private const KEPT_SECONDS = 7 * 86_400;

    public function __construct(private string $dataDir, private string $projectDir, private Filesystem $files = new Filesystem())
    {
    }

    /** @throws InvalidSheet if the file is no list, too large, or cannot be read */
    public function add(?UploadedFile $file, Account $who): ImportedList
    {
        $this->clear();
        if (null === $file || (!$file->isValid() && !self::isCutOff($file))) {
            throw InvalidSheet::didNotArrive();
        }
        if (self::isCutOff($file) || $file->getSize() > InvalidSheet::MOST_BYTES) {
            throw InvalidSheet::isTooLarge();
        }
        if (0 === $file->getSize()) {
            throw InvalidSheet::isEmpty();
        }
        $id = (string) Uuid::v7();
        $this->files->mkdir($this->folder($id), 0o700);
        try {
            [$rows, $formulas, $width] = $this->read($file->getPathname(), $this->rowsFile($id));
            if (0 === $rows) {
                throw InvalidSheet::isEmpty();
            }
            $name = mb_substr($file->getClientOriginalName(), 0, 120);
            $list = new ImportedList($id, (int) $who->id, $name, $rows, $formulas, $width, $this->begins($id));
            $list->guess();
            $this->keep($list);

            return $list;
        } catch (InvalidSheet $invalid) {
            $this->files->remove($this->folder($id));
            throw $invalid;
        }
    }

    /** @throws Unknown if there is none, or it is another person's */
    public function one(string $id, Account $who): ImportedList
    {
        $json = Uuid::isValid($id) ? @file_get_contents($this->folder($id).'/list.json') : false;
        $list = false === $json ? throw Unknown::page() : ImportedList::read($id, $json);

        return $list->account === $who->id ? $list : throw Unknown::page();
    }

    /** @return list<ImportedList> the newest first */
    public function of(Account $who): array
    {
        $lists = [];
        foreach (array_reverse(glob($this->dataDir.'/lists/*/list.json') ?: []) as $file) {
            $list = ImportedList::read(basename(\dirname($file)), (string) file_get_contents($file));
            if ($list->account === $who->id) {
                $lists[] = $list;
            }
        }

        return $lists;
    }

    public function keep(ImportedList $list): void
    {
        $this->files->dumpFile($this->folder($list->id).'/list.json', $list->json());
    }

    /**
     * Does something with a list as it is kept just now, while nobody else does.
     *
     * @template T
     *
     * @param callable(ImportedList): T $work
     *
     * @return T
     */
    public function alone(ImportedList $list, callable $work): mixed
    {
        $lock = fopen($this->folder($list->id).'/.lock', 'c');
        if (false === $lock) {
            throw InvalidSheet::cannotBeKept();
        }
        flock($lock, \LOCK_EX);
        try {
            return $work(ImportedList::read($list->id, (string) file_get_contents($this->folder($list->id).'/list.json')));
        } finally {
            fclose($lock);
        }
    }

    public function remove(ImportedList $list): void
    {
        $this->files->remove($this->folder($list->id));
    }

    /** @return iterable<int, list<string>> its rows by their number in the file, from 1; mended ones as they were mended */
    public function rows(ImportedList $list): iterable
    {
        foreach ($this->lines($list->id) as $index => $cells) {
            if ($index < $list->headingRow) {
                continue;
            }
            yield $index + 1 => $list->mended[$index + 1] ?? $cells;
        }
    }

    /** @return list<list<string>> */
    private function begins(string $id): array
    {
        $rows = [];
        foreach ($this->lines($id) as $index => $cells) {
            if ($index >= ImportedList::rowsSeen()) {
                break;
            }
            $rows[] = $cells;
        }

        return $rows;
    }

    /** @return iterable<int, list<string>> */
    private function lines(string $id): iterable
    {
        $handle = fopen($this->rowsFile($id), 'r');
        for ($index = 0; false !== $handle && false !== ($line = fgets($handle)); ++$index) {
            $cells = json_decode($line, true);
            yield $index => \is_array($cells) ? array_values(array_map(static fn (mixed $cell): string => \is_string($cell) ? $cell : '', $cells)) : [];
        }
    }

    /** @return array{int, int, int} how many rows, formulas and columns there are */
    private function read(string $file, string $rows): array
    {
        $php = (new PhpExecutableFinder())->find(false);
        $command = [false === $php || str_contains(basename($php), 'fpm') ? '/usr/bin/php' : $php, '-d', 'memory_limit='.self::MEMORY];
        $process = new Process([...$command, $this->projectDir.'/bin/console', 'lottel:read-sheet', $file, $rows], timeout: self::SECONDS);
        try {
            $process->run();
        } catch (ProcessTimedOutException) {
            throw InvalidSheet::isDamaged();
        }
        $said = json_decode($process->getOutput(), true);
        if (!\is_array($said) || !\is_int($said['rows'] ?? null) || !\is_int($said['formulas'] ?? null) || !\is_int($said['columns'] ?? null)) {
            throw \is_array($said) && \is_string($said['error'] ?? null) ? InvalidSheet::because($said['error']) : InvalidSheet::isDamaged();
        }

        return [$said['rows'], $said['formulas'], $said['columns']];
    }

    private function clear(): void
    {
        foreach (glob($this->dataDir.'/lists/*/list.json') ?: [] as $file) {
            if (time() - (int) filemtime($file) > self::KEPT_SECONDS) {
                $this->files->remove(\dirname($file));
            }
        }
    }

    private function folder(string $id): string
    {
        return $this->dataDir.'/lists/'.$id;
    }

    private function rowsFile(string $id): string
    {
        return $this->folder($id).'/rows.jsonl';
    }

    private static function isCutOff(UploadedFile $file): bool
    {
        return \in_array($file->getError(), [\UPLOAD_ERR_INI_SIZE, \UPLOAD_ERR_FORM_SIZE], true);
    }
}
