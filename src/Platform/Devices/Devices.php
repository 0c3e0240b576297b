<?php

declare(strict_types=1);

namespace App\Platform\Devices;

use App\Platform\Database\Row;
use App\Platform\Database\WithoutWaiting;
use App\Platform\Security\Account;
use Doctrine\DBAL\Connection;
use Symfony\Component\Clock\ClockInterface;

/** Which devices are let in, and the short codes by which one is. Of tokens and codes only their hashes are kept. */
final readonly class Devices
{
    public const CODE_MINUTES = 10;
    private const DIGITS = 6;
    private const SEEN_EACH_SECONDS = 300;

    public function __construct(private Connection $database, private WithoutWaiting $withoutWaiting, private ClockInterface $clock)
    {
    }

    /** @return list<Device> those that were seen last first */
    public function all(): array
    {
        return Row::each($this->database->fetchAllAssociative(
            'SELECT d.*, a.name AS "by" FROM device d LEFT JOIN account a ON a.id = d.account_id ORDER BY d.shut_out_at IS NOT NULL, d.seen_at DESC, d.id DESC',
        ), Device::of(...));
    }

    /** @return string a code that lets one device in, in two groups of digits */
    public function code(?Account $by): string
    {
        $now = $this->clock->now()->getTimestamp();
        $this->database->executeStatement('DELETE FROM device_code WHERE ends_at < ?', [$now]);
        $code = str_pad((string) random_int(0, 10 ** self::DIGITS - 1), self::DIGITS, '0', \STR_PAD_LEFT);
        $this->database->executeStatement(
            'INSERT INTO device_code (code, account_id, ends_at) VALUES (:code, :by, :ends) ON CONFLICT (code) DO UPDATE SET ends_at = excluded.ends_at',
            ['code' => self::hash($code), 'by' => $by?->id, 'ends' => $now + 60 * self::CODE_MINUTES],
        );

        return substr($code, 0, 3).' '.substr($code, 3);
    }

    /**
     * Lets a device in, once for a code.
     *
     * @return string|null the token by which it is known from now on, null where the code is none or has ended
     */
    public function letIn(string $code, string $name): ?string
    {
        $digits = (string) preg_replace('/\D/', '', $code);
        $now = $this->clock->now();
        $used = $this->database->fetchAssociative('DELETE FROM device_code WHERE code = ? AND ends_at >= ? RETURNING account_id', [
            self::hash($digits),
            $now->getTimestamp(),
        ]);
        if (false === $used) {
            return null;
        }
        $token = bin2hex(random_bytes(32));
        $at = $now->setTimezone(new \DateTimeZone('UTC'))->format('Y-m-d H:i:s');
        $this->database->insert('device', [
            'account_id' => $used['account_id'],
            'name' => $name,
            'token' => self::hash($token),
            'let_in_at' => $at,
            'seen_at' => $at,
        ]);

        return $token;
    }

    /** Whether a token is that of a device that is let in; notes now and then that it was seen. */
    public function isLetIn(string $token): bool
    {
        $columns = $this->database->fetchAssociative('SELECT id, seen_at FROM device WHERE token = ? AND shut_out_at IS NULL', [self::hash($token)]);
        if (false === $columns) {
            return false;
        }
        $device = new Row($columns);
        $now = $this->clock->now();
        if ($now->getTimestamp() - $device->time('seen_at')->getTimestamp() > self::SEEN_EACH_SECONDS) {
            // A room that cannot be written to just now keeps nobody out.
            $at = $now->setTimezone(new \DateTimeZone('UTC'))->format('Y-m-d H:i:s');
            $this->withoutWaiting->write('UPDATE device SET seen_at = :at WHERE id = :id', ['at' => $at, 'id' => $device->int('id')]);
        }

        return true;
    }

    /** Shuts a device out; null where there is none. */
    public function shutOut(int $id): ?Device
    {
        $at = $this->clock->now()->setTimezone(new \DateTimeZone('UTC'))->format('Y-m-d H:i:s');
        $this->database->executeStatement('UPDATE device SET shut_out_at = ? WHERE id = ? AND shut_out_at IS NULL', [$at, $id]);
        foreach ($this->all() as $device) {
            if ($device->id === $id) {
                return $device;
            }
        }

        return null;
    }

    private static function hash(string $secret): string
    {
        return hash('sha256', $secret);
    }
}
