<?php

declare(strict_types=1);

namespace App\Platform\Security;

use App\Platform\Database\Row;
use App\Platform\Database\WithoutWaiting;
use Doctrine\DBAL\Connection;
use Symfony\Component\Clock\ClockInterface;
use Symfony\Component\HttpFoundation\Session\Storage\Handler\AbstractSessionHandler;

/** Keeps sessions in the room's own database, where a crash leaves them whole. */
final class SessionStore extends AbstractSessionHandler
{
    private const LIFETIME_SECONDS = 43_200;
    private const RENEW_AFTER_SECONDS = 600;

    /** Until when the session lives that was read, in seconds of Unix time. */
    private int $readEnd = 0;

    public function __construct(
        private readonly Connection $database,
        private readonly WithoutWaiting $withoutWaiting,
        private readonly ClockInterface $clock,
    ) {
    }

    public function close(): bool
    {
        return true;
    }

    /** A session lives on while it is used; reading never waits for this, and a room that cannot be written to does not end it. */
    public function updateTimestamp(#[\SensitiveParameter] string $id, string $data): bool
    {
        if ($this->readEnd < $this->end() - self::RENEW_AFTER_SECONDS) {
            $this->withoutWaiting->write('UPDATE session SET ends_at = :end WHERE id = :id', ['id' => $this->key($id), 'end' => $this->end()]);
        }

        return true;
    }

    public function gc(int $max_lifetime): int
    {
        return $this->withoutWaiting->write('DELETE FROM session WHERE ends_at < :now', ['now' => $this->clock->now()->getTimestamp()]);
    }

    protected function doRead(#[\SensitiveParameter] string $sessionId): string
    {
        $row = $this->database->fetchAssociative('SELECT data, ends_at FROM session WHERE id = ? AND ends_at >= ?', [
            $this->key($sessionId),
            $this->clock->now()->getTimestamp(),
        ]);
        $read = new Row(false === $row ? ['data' => '', 'ends_at' => 0] : $row);
        $this->readEnd = $read->int('ends_at');

        return (string) base64_decode($read->text('data'), true);
    }

    protected function doWrite(#[\SensitiveParameter] string $sessionId, string $data): bool
    {
        $this->database->executeStatement(
            'INSERT INTO session (id, data, ends_at) VALUES (?, ?, ?) ON CONFLICT (id) DO UPDATE SET data = excluded.data, ends_at = excluded.ends_at',
            [$this->key($sessionId), base64_encode($data), $this->end()],
        );

        return true;
    }

    protected function doDestroy(#[\SensitiveParameter] string $sessionId): bool
    {
        $this->database->delete('session', ['id' => $this->key($sessionId)]);

        return true;
    }

    private function end(): int
    {
        return $this->clock->now()->getTimestamp() + self::LIFETIME_SECONDS;
    }

    /** Whoever reads the database cannot go on with somebody's session. */
    private function key(#[\SensitiveParameter] string $id): string
    {
        return hash('sha256', $id);
    }
}
