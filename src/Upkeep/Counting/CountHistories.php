<?php

declare(strict_types=1);

namespace App\Upkeep\Counting;

use App\Platform\Database\Row;
use App\Room\Stores\RoomReading;
use Doctrine\DBAL\Connection;
use Lottel\Core\Upkeep\Counting\Accuracy;
use Lottel\Core\Upkeep\Counting\PlaceHistory;
use Symfony\Component\Clock\ClockInterface;

/** What counts have shown of how right the log is, place by place and month by month. */
final readonly class CountHistories
{
    /** Movements of more days ago are not looked at. */
    private const DAYS = 90;
    private const MONTHS = 6;

    public function __construct(private Connection $database, private RoomReading $room, private ClockInterface $clock)
    {
    }

    /** @return list<PlaceHistory> of all places of the furniture */
    public function all(): array
    {
        $things = $this->byPlace('SELECT place_id AS place, count(*) AS n FROM balance GROUP BY place_id');
        $touched = $this->touched();
        $counts = [];
        foreach ($this->database->fetchAllAssociative(
            'SELECT place_id, sum(wrong) AS wrong, sum(touched) AS touched, max(at) AS at FROM place_count GROUP BY place_id',
        ) as $columns) {
            $row = new Row($columns);
            $counts[$row->int('place_id')] = [$row->int('wrong'), $row->int('touched'), (int) $row->time('at')->diff($this->clock->now())->days];
        }
        $histories = [];
        foreach (array_keys($this->room->places()) as $place) {
            [$wrong, $before, $days] = $counts[$place] ?? [0, 0, null];
            $histories[] = new PlaceHistory($place, $things[$place] ?? 0, $wrong, $before, $touched[$place] ?? 0, $days);
        }

        return $histories;
    }

    /** Returns how many movements there were into and out of a place since it was counted last. */
    public function touchedSinceCount(int $place): int
    {
        return Row::number($this->database->fetchOne(
            "SELECT count(*) FROM movement WHERE (from_id = :place OR to_id = :place) AND at >= :since
             AND at > coalesce((SELECT max(at) FROM place_count WHERE place_id = :place), '')",
            ['place' => $place, 'since' => $this->since()],
        ));
    }

    /** Returns how right the log was in the last months. */
    public function accuracy(): Accuracy
    {
        $since = $this->clock->now()->modify(\sprintf('-%d months', self::MONTHS))->format('Y-m-d');
        $row = new Row($this->database->fetchAssociative(
            'SELECT coalesce(sum(expected) FILTER (WHERE at >= :since), 0) AS counted, coalesce(sum(wrong) FILTER (WHERE at >= :since), 0) AS wrong,
                max(at) AS last FROM place_count',
            ['since' => $since],
        ) ?: []);

        return new Accuracy($row->int('counted'), $row->int('wrong'), $row->timeOrNull('last'));
    }

    /** @return array<string, Accuracy> by month such as `2026-11`, the oldest first; months without a count have none counted */
    public function byMonth(): array
    {
        $first = $this->clock->now()->modify('first day of this month');
        $months = [];
        for ($ago = self::MONTHS - 1; $ago >= 0; --$ago) {
            $months[$first->modify(\sprintf('-%d months', $ago))->format('Y-m')] = new Accuracy(0, 0);
        }
        foreach ($this->database->fetchAllAssociative(
            'SELECT substr(at, 1, 7) AS month, sum(expected) AS counted, sum(wrong) AS wrong FROM place_count GROUP BY month',
        ) as $columns) {
            $row = new Row($columns);
            if (isset($months[$row->text('month')])) {
                $months[$row->text('month')] = new Accuracy($row->int('counted'), $row->int('wrong'));
            }
        }

        return $months;
    }

    /** @return list<CountRow> the last counts */
    public function last(int $most): array
    {
        return Row::each($this->database->fetchAllAssociative(
            'SELECT c.*, p.address, a.name AS who FROM place_count c JOIN place p ON p.id = c.place_id JOIN account a ON a.id = c.account_id
             ORDER BY c.id DESC LIMIT '.$most,
        ), CountRow::of(...));
    }

    /** Returns the last count of a place; null where it never was counted. */
    public function lastOf(int $place): ?CountRow
    {
        $row = $this->database->fetchAssociative(
            'SELECT c.*, p.address, a.name AS who FROM place_count c JOIN place p ON p.id = c.place_id JOIN account a ON a.id = c.account_id
             WHERE c.place_id = ? ORDER BY c.id DESC LIMIT 1',
            [$place],
        );

        return false === $row ? null : CountRow::of(new Row($row));
    }

    /**
     * Lines of the log are in the order of time, so that what came since is counted by number, in an index.
     *
     * @return array<int, int> movements since the last count, by place
     */
    private function touched(): array
    {
        $first = $this->database->fetchOne('SELECT id FROM movement WHERE at >= ? ORDER BY at, id LIMIT 1', [$this->since()]);
        if (!\is_int($first)) {
            return [];
        }

        return $this->byPlace(
            "WITH since AS MATERIALIZED (SELECT p.id AS place, max(CAST(:before AS INTEGER), coalesce((SELECT m.id FROM movement m
                    WHERE m.at <= (SELECT max(c.at) FROM place_count c WHERE c.place_id = p.id) ORDER BY m.at DESC, m.id DESC LIMIT 1), 0)) AS line
                FROM place p WHERE p.nature = 'storage')
             SELECT place, (SELECT count(*) FROM movement f WHERE f.from_id = place AND f.id > line)
                + (SELECT count(*) FROM movement t WHERE t.to_id = place AND t.id > line) AS n FROM since",
            ['before' => $first - 1],
        );
    }

    private function since(): string
    {
        return $this->clock->now()->setTimezone(new \DateTimeZone('UTC'))->modify(\sprintf('-%d days', self::DAYS))->format('Y-m-d H:i:s');
    }

    /**
     * @param array<string, int|string> $asked
     *
     * @return array<int, int>
     */
    private function byPlace(string $sql, array $asked = []): array
    {
        $numbers = [];
        foreach ($this->database->fetchAllAssociative($sql, $asked) as $columns) {
            $row = new Row($columns);
            $numbers[$row->int('place')] = $row->int('n');
        }

        return $numbers;
    }
}
