<?php

declare(strict_types=1);

namespace App\Platform\Backup;

use App\Platform\Database\Row;
use Doctrine\DBAL\Connection;

/** When something was written last: into the log, or into a record. */
final readonly class LastChange
{
    public function __construct(private Connection $database)
    {
    }

    /** @return \DateTimeImmutable|null null where nothing ever was */
    public function at(): ?\DateTimeImmutable
    {
        $at = max(
            Row::word($this->database->fetchOne('SELECT max(at) FROM movement')),
            $this->lastStep(),
        );

        return '' === $at ? null : new \DateTimeImmutable($at, new \DateTimeZone('UTC'));
    }

    /** Rooms of the first versions have no journal yet; there the log tells all. */
    private function lastStep(): string
    {
        try {
            return Row::word($this->database->fetchOne(
                'SELECT at FROM write_request WHERE id = (SELECT request_id FROM step_change ORDER BY id DESC LIMIT 1)',
            ));
        } catch (\Doctrine\DBAL\Exception\TableNotFoundException) {
            return '';
        }
    }
}
