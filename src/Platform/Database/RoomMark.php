<?php

declare(strict_types=1);

namespace App\Platform\Database;

use Doctrine\DBAL\Connection;

/** How far the log and the records have come: what was worked out at one mark is still true while the mark is the same. */
final readonly class RoomMark
{
    public function __construct(private Connection $database)
    {
    }

    /** @return array{int, string, int, string} the last line of the log and the last change of a record, each with its request */
    public function now(): array
    {
        $row = new Row($this->database->fetchAssociative(
            "SELECT coalesce(m.id, 0) AS line, coalesce(m.request_id, '') AS line_of, coalesce(c.id, 0) AS change, coalesce(c.request_id, '') AS change_of
             FROM (SELECT 1) LEFT JOIN movement m ON m.id = (SELECT max(id) FROM movement) LEFT JOIN step_change c ON c.id = (SELECT max(id) FROM step_change)",
        ) ?: []);

        return [$row->int('line'), $row->text('line_of'), $row->int('change'), $row->text('change_of')];
    }

    /**
     * Whether the database still has what it had at a mark: it may be another one, or one from a backup.
     *
     * @param array{int, string, int, string} $mark
     */
    public function follows(array $mark): bool
    {
        [$line, $lineOf, $change, $changeOf] = $mark;

        return [0, 0] !== [$line, $change]
            && (0 === $line || $lineOf === $this->database->fetchOne('SELECT request_id FROM movement WHERE id = ?', [$line]))
            && (0 === $change || $changeOf === $this->database->fetchOne('SELECT request_id FROM step_change WHERE id = ?', [$change]));
    }
}
