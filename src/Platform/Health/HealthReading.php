<?php

declare(strict_types=1);

namespace App\Platform\Health;

use App\Platform\Database\Row;
use App\Room\Log\AuditReading;
use Doctrine\DBAL\Connection;

/** How the installation does: the disk, the room's file, the log of what happened. */
final readonly class HealthReading
{
    private const LOOKED_AT_BYTES = 2_000_000;
    private const FEW_TIMES = 3;
    private const PAGES = 8;
    private const FAULTS = ['ERROR', 'CRITICAL', 'ALERT', 'EMERGENCY'];

    public function __construct(private string $dataDir, private Connection $database, private AuditReading $audit)
    {
    }

    /** @return array{free: float, room: int, photos: int, backups: int, log: int} in bytes */
    public function disk(): array
    {
        return [
            'free' => (float) @disk_free_space($this->dataDir),
            'room' => (int) @filesize($this->dataDir.'/room.sqlite') + (int) @filesize($this->dataDir.'/room.sqlite-wal'),
            'photos' => $this->folder('photos'),
            'backups' => $this->folder('backups'),
            'log' => $this->folder('log'),
        ];
    }

    /** @return list<string> what is wrong with the room's file; empty where nothing is */
    public function damage(): array
    {
        $found = Row::words($this->database->fetchFirstColumn('PRAGMA quick_check(5)'));

        return ['ok'] === $found ? [] : $found;
    }

    /** @return array{movements: int, differences: int} */
    public function audit(): array
    {
        $report = $this->audit->report();

        return ['movements' => $report->movements, 'differences' => \count($report->differences)];
    }

    /**
     * What the end of the newest log tells.
     *
     * @param int $most so many faults
     *
     * @return array{pages: list<PageTime>, faults: list<array{at: string, what: string, request: string}>} the slowest and the newest first
     */
    public function lately(int $most): array
    {
        $taken = $faults = [];
        foreach ($this->lines() as $line) {
            $page = $line['context']['page'] ?? null;
            $ms = $line['context']['ms'] ?? null;
            $mb = $line['context']['mb'] ?? null;
            if (NoteRequest::MESSAGE === ($line['message'] ?? null) && \is_string($page) && \is_int($ms) && \is_int($mb)) {
                $taken[$page][] = [$ms, $mb];
            } elseif (\in_array($line['level_name'] ?? null, self::FAULTS, true)) {
                $faults[] = self::fault($line);
            }
        }
        $pages = [];
        foreach ($taken as $page => $times) {
            if (\count($times) >= self::FEW_TIMES) {
                $pages[] = PageTime::of(str_replace('_', ' ', $page), array_column($times, 0), array_column($times, 1));
            }
        }
        usort($pages, static fn (PageTime $a, PageTime $b): int => $b->slow <=> $a->slow);

        return ['pages' => \array_slice($pages, 0, self::PAGES), 'faults' => \array_slice(array_reverse($faults), 0, $most)];
    }

    /**
     * @param array<mixed> $line
     *
     * @return array{at: string, what: string, request: string}
     */
    private static function fault(array $line): array
    {
        $text = static fn (mixed $value): string => \is_string($value) ? $value : '';
        $extra = \is_array($line['extra'] ?? null) ? $line['extra'] : [];

        return [
            'at' => substr($text($line['datetime'] ?? ''), 0, 16),
            'what' => mb_substr($text($line['message'] ?? ''), 0, 200),
            'request' => $text($extra['request'] ?? ''),
        ];
    }

    /** @return iterable<array{message?: mixed, level_name?: mixed, datetime?: mixed, context: array<mixed>, extra: array<mixed>}> the end of the newest log */
    private function lines(): iterable
    {
        $files = glob($this->dataDir.'/log/lottel-*.log') ?: [];
        sort($files);
        $newest = end($files);
        $size = false === $newest ? 0 : (int) filesize($newest);
        $text = false === $newest ? '' : (string) file_get_contents($newest, false, null, max(0, $size - self::LOOKED_AT_BYTES));
        foreach (explode("\n", $text) as $line) {
            $said = json_decode($line, true);
            if (\is_array($said)) {
                yield [
                    'context' => \is_array($said['context'] ?? null) ? $said['context'] : [],
                    'extra' => \is_array($said['extra'] ?? null) ? $said['extra'] : [],
                ] + $said;
            }
        }
    }

    private function folder(string $name): int
    {
        return array_sum(array_map(static fn (string $file): int => (int) @filesize($file), glob("{$this->dataDir}/{$name}/*") ?: []));
    }
}
