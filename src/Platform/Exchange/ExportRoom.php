<?php

declare(strict_types=1);

namespace App\Platform\Exchange;

use App\Platform\Database\Row;
use App\Room\Catalogue\KeepPhoto;
use Doctrine\DBAL\Connection;
use Symfony\Component\Clock\ClockInterface;

/** Writes the whole room as one JSON document, row by row, as it is at one moment, however many are writing meanwhile. */
final readonly class ExportRoom
{
    private const JSON = \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES | \JSON_PRESERVE_ZERO_FRACTION;
    private const AT_ONCE = 65536;

    public function __construct(
        private Connection $database,
        private RoomFormat $format,
        private KeepPhoto $photos,
        private ClockInterface $clock,
    ) {
    }

    /**
     * @param callable(string): void $write takes the next part of the document
     * @param (callable(string, int): void)|null $tell is told which section has been written, and how many rows it has
     */
    public function __invoke(callable $write, ?callable $tell = null): void
    {
        $tell ??= static function (): void {};
        $this->database->executeStatement('BEGIN');
        try {
            $this->head($write);
            foreach ($this->format->sections() as $section) {
                $rows = $this->rows($section, $write);
                $tell($section->name, $rows);
            }
            $photos = $this->photos($write);
            $tell('photos', $photos);
            $write("\n}\n");
        } finally {
            $this->database->executeStatement('ROLLBACK');
        }
    }

    /** @param callable(string): void $write */
    private function head(callable $write): void
    {
        $given = [];
        foreach ($this->database->fetchAllKeyValue('SELECT name, seq FROM sqlite_sequence') as $table => $number) {
            $given[(string) $table] = Row::number($number);
        }
        $last = [];
        foreach ($this->format->sections() as $section) {
            if ($section->isNumbered()) {
                $last[$section->name] = $given[$section->table] ?? 0;
            }
        }
        $head = [
            'format' => RoomFormat::NAME,
            'version' => RoomFormat::VERSION,
            'exported_at' => $this->clock->now()->setTimezone(new \DateTimeZone('UTC'))->format('Y-m-d\TH:i:s\Z'),
            'last_numbers' => $last,
        ];
        $lines = [];
        foreach ($head as $name => $value) {
            $lines[] = self::json($name).': '.self::json($value);
        }
        $write("{\n".implode(",\n", $lines));
    }

    /** @param callable(string): void $write */
    private function rows(Section $section, callable $write): int
    {
        $columns = implode(', ', array_map(static fn (Field $field): string => '"'.$field->column.'"', $section->fields));
        $rows = $this->database->iterateAssociative("SELECT {$columns} FROM \"{$section->table}\" ORDER BY {$section->order()}");

        return $this->list($section->name, (static function () use ($rows, $section): iterable {
            foreach ($rows as $row) {
                yield $section->written($row);
            }
        })(), $write);
    }

    /** @param callable(string): void $write */
    private function photos(callable $write): int
    {
        $names = [];
        foreach ($this->format->sections() as $section) {
            foreach ($section->fields as $field) {
                if (FieldKind::Photo === $field->kind) {
                    $sql = "SELECT \"{$field->column}\" FROM \"{$section->table}\" WHERE \"{$field->column}\" IS NOT NULL";
                    $names = [...$names, ...Row::words($this->database->fetchFirstColumn($sql))];
                }
            }
        }
        $names = array_unique($names);
        sort($names);

        return $this->list('photos', (function () use ($names): iterable {
            foreach ($names as $name) {
                $picture = @file_get_contents($this->photos->path($name));
                if (false !== $picture) {
                    yield ['name' => $name, 'jpeg' => base64_encode($picture)];
                }
            }
        })(), $write);
    }

    /**
     * @param iterable<array<string, mixed>> $rows
     * @param callable(string): void $write
     */
    private function list(string $name, iterable $rows, callable $write): int
    {
        $count = 0;
        $text = ",\n".self::json($name).': [';
        foreach ($rows as $row) {
            $text .= (0 === $count++ ? "\n" : ",\n").self::json($row);
            if (\strlen($text) > self::AT_ONCE) {
                $write($text);
                $text = '';
            }
        }
        $write($text.(0 === $count ? ']' : "\n]"));

        return $count;
    }

    private static function json(mixed $value): string
    {
        return json_encode($value, self::JSON);
    }
}
