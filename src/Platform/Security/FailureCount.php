<?php

declare(strict_types=1);

namespace App\Platform\Security;

use App\Platform\Database\Row;
use Doctrine\DBAL\Connection;
use Symfony\Component\Clock\ClockInterface;

/** Counts tries at something secret, at once and for ten minutes. */
final readonly class FailureCount
{
    public const WINDOW_SECONDS = 600;

    public function __construct(private Connection $database, private ClockInterface $clock)
    {
    }

    /** @return int how many tries there were in the window, this one too */
    public function count(string $subject): int
    {
        $now = $this->clock->now()->getTimestamp();

        return Row::number($this->database->fetchOne(
            'INSERT INTO sign_in_failure (subject, failures, since) VALUES (:subject, 1, :now)
             ON CONFLICT (subject) DO UPDATE SET
                failures = CASE WHEN since NOT BETWEEN :now - :window AND :now THEN 1 ELSE failures + 1 END,
                since = CASE WHEN since NOT BETWEEN :now - :window AND :now THEN :now ELSE since END
             RETURNING failures',
            ['subject' => $subject, 'now' => $now, 'window' => self::WINDOW_SECONDS],
        ));
    }

    public function forget(string $subject): void
    {
        $this->database->delete('sign_in_failure', ['subject' => $subject]);
    }
}
