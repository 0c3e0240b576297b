<?php

declare(strict_types=1);

namespace App\Upkeep\Weeding;

use App\Platform\Database\KeptUntilChanged;
use App\Platform\Database\Row;
use App\Room\Catalogue\ThingRow;
use App\Room\Stores\Place;
use Doctrine\DBAL\ArrayParameterType;
use Doctrine\DBAL\Connection;
use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Homes\Capacity;
use Lottel\Core\Log\Reason;
use Lottel\Core\Upkeep\Weeding\Passage;
use Lottel\Core\Upkeep\Weeding\UnusedRoom;
use Lottel\Core\Upkeep\Weeding\UnusedThing;
use Lottel\Core\Upkeep\Weeding\UsedUp;
use Lottel\Core\Upkeep\Weeding\Whereabouts;
use Symfony\Component\Clock\ClockInterface;

/** What lies in the drawers and is not used, and how a use-it-up month went; read from the log. */
final readonly class UnusedReading
{
    private const LEAST_MONTHS = 6;

    public function __construct(private Connection $database, private KeptUntilChanged $kept, private ClockInterface $clock)
    {
    }

    public function summary(): UnusedSummary
    {
        return $this->kept->get(UnusedSummary::class, $this->clock->now()->format('Y-m-d'), fn (): UnusedSummary => UnusedSummary::of($this->found(null)));
    }

    /** Whether anything was written down so long ago. */
    public function goesBack(int $months): bool
    {
        $since = $this->clock->now()->modify(\sprintf('-%d months', $months))->format('Y-m-d H:i:s');

        return false !== $this->database->fetchOne('SELECT 1 FROM item WHERE removed_at IS NULL AND since <= ? LIMIT 1', [$since]);
    }

    /**
     * Returns what is idle in some places.
     *
     * @param list<int> $places
     */
    public function in(array $places): UnusedRoom
    {
        return $this->found($places);
    }

    /** Returns how a month of one kind went: pieces of what is counted, else things. */
    public function month(Kind $kind, \DateTimeImmutable $first): UsedUp
    {
        $until = $first->modify('+1 month');

        return UsedUp::of($this->there($kind), $this->used($kind, $first, $until), $this->since($kind, $first), $until);
    }

    /** @return list<Passage> what of a kind came into the room and left it */
    private function since(Kind $kind, \DateTimeImmutable $since): array
    {
        $rows = $this->database->fetchAllAssociative(
            "SELECT m.at, m.quantity, m.reason,
                CASE WHEN f.nature = 'outside' THEN 'outside' WHEN f.address IN (:boxes) THEN 'waiting' ELSE 'room' END AS leaves,
                CASE WHEN t.nature = 'outside' THEN 'outside' WHEN t.address IN (:boxes) THEN 'waiting' ELSE 'room' END AS enters,
                m.reverses_id IS NULL AND NOT EXISTS (SELECT 1 FROM movement r WHERE r.reverses_id = m.id) AS stands
             FROM movement m JOIN item i ON i.id = m.item_id AND +i.kind = :kind AND i.tracking IN ('one', 'count')
             JOIN place f ON f.id = m.from_id JOIN place t ON t.id = m.to_id WHERE m.at >= :since AND leaves <> enters",
            ['kind' => $kind->value, 'since' => $since->format('Y-m-d H:i:s'), 'boxes' => Place::PARTING],
            ['boxes' => ArrayParameterType::STRING],
        );

        return Row::each($rows, static fn (Row $row): Passage => new Passage(
            $row->time('at'),
            $row->int('quantity'),
            $row->one('reason', Reason::class),
            $row->one('leaves', Whereabouts::class),
            $row->one('enters', Whereabouts::class),
            $row->flag('stands'),
        ));
    }

    private function used(Kind $kind, \DateTimeImmutable $since, \DateTimeImmutable $until): int
    {
        return Row::number($this->database->fetchOne(
            "SELECT coalesce(sum(u.quantity), 0) FROM use_of_item u JOIN item i ON i.id = u.item_id AND +i.kind = :kind AND i.tracking IN ('one', 'count')
             WHERE u.at >= :since AND u.at < :until",
            ['kind' => $kind->value, 'since' => $since->format('Y-m-d H:i:s'), 'until' => $until->format('Y-m-d H:i:s')],
        ));
    }

    private function there(Kind $kind): int
    {
        return Row::number($this->database->fetchOne(
            "SELECT coalesce(sum(s.in_room - (SELECT coalesce(sum(l.quantity), 0) FROM lies_out l JOIN place p ON p.id = l.place_id
                WHERE l.item_id = i.id AND p.address IN (:boxes))), 0)
             FROM item i JOIN stock_of_item s ON s.item_id = i.id WHERE i.kind = :kind AND i.tracking IN ('one', 'count')",
            ['kind' => $kind->value, 'boxes' => Place::PARTING],
            ['boxes' => ArrayParameterType::STRING],
        ));
    }

    /** @param list<int>|null $places null for all */
    private function found(?array $places): UnusedRoom
    {
        $only = null === $places ? '' : 'AND p.id IN ('.implode(', ', [0, ...$places]).')';
        $now = $this->clock->now()->setTimezone(new \DateTimeZone('UTC'));
        $rows = $this->database->iterateAssociative(
            "SELECT i.*, b.place_id, b.quantity, julianday(:now) - julianday(coalesce(i.used_at, i.since)) AS days
             FROM balance b JOIN place p ON p.id = b.place_id AND p.nature = 'storage' JOIN item i ON i.id = b.item_id
             WHERE i.kind NOT IN ('finished piece', 'part-finished') AND coalesce(i.used_at, i.since) < :since $only",
            ['now' => $now->format('Y-m-d H:i:s'), 'since' => $now->modify(\sprintf('-%d months', self::LEAST_MONTHS))->format('Y-m-d H:i:s')],
        );
        $things = [];
        foreach ($rows as $columns) {
            $row = new Row($columns);
            $thing = ThingRow::of($row);
            $days = $columns['days'] ?? 0;
            $litres = Capacity::withAir($thing->contents()->litres);
            $things[] = new UnusedThing($thing->id, $row->int('place_id'), is_numeric($days) ? (int) $days : 0, $litres);
        }
        usort($things, static fn (UnusedThing $a, UnusedThing $b): int => $b->litres <=> $a->litres ?: $a->item <=> $b->item);

        return new UnusedRoom($things);
    }
}
