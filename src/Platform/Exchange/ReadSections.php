<?php

declare(strict_types=1);

namespace App\Platform\Exchange;

use App\Platform\Database\RoomUnavailable;
use Doctrine\DBAL\Connection;
use Doctrine\DBAL\Exception\DriverException;
use Doctrine\DBAL\Statement;

/** Stores the rows of a room's file; what the database itself refuses is told with its path. */
final readonly class ReadSections
{
    public function __construct(private Connection $database)
    {
    }

    /**
     * @param callable(array<string, int|float|string|null>): array<string, int|float|string|null> $atFirst what is stored of a row's columns for now
     *
     * @throws InvalidRoomFile
     */
    public function read(RoomFile $file, Section $section, callable $atFirst): void
    {
        $insert = $this->insert($section);
        foreach ($file->rows($section) as $index => $columns) {
            $this->store($insert, $section, $index, $atFirst($columns));
        }
    }

    public function insert(Section $section): Statement
    {
        $names = array_map(static fn (Field $field): string => '"'.$field->column.'"', $section->fields);
        $marks = implode(', ', array_fill(0, \count($names), '?'));

        return $this->database->prepare("INSERT INTO \"{$section->table}\" (".implode(', ', $names).") VALUES ({$marks})");
    }

    /** @param array<string, int|float|string|null> $columns in the order of the section's fields */
    public function store(Statement $insert, Section $section, int $index, array $columns): void
    {
        try {
            $nth = 0;
            foreach ($columns as $value) {
                $insert->bindValue(++$nth, $value);
            }
            $insert->executeStatement();
        } catch (DriverException $error) {
            throw $this->refused($error, $section, "{$section->name}[{$index}]");
        }
    }

    /** Places that are out of use become so only once the log has been read, since it tells of the time before. */
    public function retirePlaces(RoomFile $file): void
    {
        foreach ($file->rowsOf('places') as $index => $columns) {
            if (null === $columns['retired_at']) {
                continue;
            }
            try {
                $this->database->update('place', ['retired_at' => $columns['retired_at']], ['id' => $columns['id']]);
            } catch (DriverException $error) {
                throw new InvalidRoomFile("places[{$index}].retired_at", 'It is out of use, but something is in it, or has its home there.', $error);
            }
        }
    }

    private function refused(DriverException $error, Section $section, string $path): \Throwable
    {
        $said = $error->getMessage();
        $unavailable = RoomUnavailable::from($error);

        return match (true) {
            null !== $unavailable => $unavailable,
            1 === preg_match('/law (\d): (.+)$/m', $said, $law) => new InvalidRoomFile($path, "This breaks law {$law[1]} of the log: {$law[2]}.", $error),
            1 === preg_match('/UNIQUE constraint failed: \w+\.(\w+)/', $said, $unique) => new InvalidRoomFile(
                $path.'.'.$this->field($section, $unique[1]),
                'This is used already.',
                $error,
            ),
            1 === preg_match('/CHECK constraint failed: (.+)$/m', $said, $rule) => new InvalidRoomFile(
                $path,
                "This breaks a rule of the room: {$rule[1]}.",
                $error,
            ),
            default => new InvalidRoomFile($path, 'The room refuses this row.', $error),
        };
    }

    private function field(Section $section, string $column): string
    {
        foreach ($section->fields as $field) {
            if ($field->column === $column) {
                return $field->name;
            }
        }

        return $column;
    }
}
