<?php

declare(strict_types=1);

namespace App\Reading;

use Doctrine\DBAL\Connection;
use Lottel\Core\Kit\Availability;
use Lottel\Core\Kit\NeedState;
use Lottel\Core\Kit\PullPlan;
use Lottel\Core\Kit\RoundWords;
use Lottel\Core\Log\Tracking;
use Lottel\Core\Round\Stop;
use Lottel\Core\Round\WalkingOrder;
use Lottel\Core\Upkeep\Care;
use Lottel\Core\Upkeep\Hazard;

/** Kits, their lists, and their rounds. A round is worked out anew from the log each time, so it can be gone on with anywhere. */
final readonly class KitReading
{
    public function __construct(
        private Connection $database,
        private RoomReading $room,
        private StoreReading $stores,
        private Frame $frame,
        private PullPlan $plan = new PullPlan(),
        private WalkingOrder $walk = new WalkingOrder(),
    ) {
    }

    /** @return list<array<string, mixed>> */
    public function all(string $which): array
    {
        $where = match ($which) {
            'open' => 'k.tray_id IS NOT NULL',
            'planned' => "k.stage = 'planned' AND k.removed_at IS NULL",
            default => "k.stage = 'closed' AND k.removed_at IS NULL",
        };
        $rows = $this->database->fetchAllAssociative(
            "SELECT k.*, p.address AS tray, (SELECT count(*) FROM need n WHERE n.kit_id = k.id) AS lines,
                    (SELECT count(*) FROM need n WHERE n.kit_id = k.id AND n.state = 'open') AS open_lines,
                    (SELECT count(*) FROM balance b WHERE b.place_id = k.tray_id) AS out
             FROM kit k LEFT JOIN place p ON p.id = k.tray_id WHERE $where
             ORDER BY CASE WHEN k.stage = 'closed' THEN k.closed_at END DESC, k.due_on IS NULL, k.due_on, k.id LIMIT 60",
        );

        return array_map(fn (array $row): array => $row + ['due' => $this->frame->due(null === $row['due_on'] ? null : (string) $row['due_on'])], $rows);
    }

    /** @return array<string, mixed>|null */
    public function one(int $id): ?array
    {
        $row = $this->database->fetchAssociative(
            'SELECT k.*, p.address AS tray, (SELECT count(*) FROM balance b WHERE b.place_id = k.tray_id) AS out FROM kit k LEFT JOIN place p ON p.id = k.tray_id WHERE k.id = ? AND k.removed_at IS NULL',
            [$id],
        );

        return false === $row ? null : $row + ['due' => $this->frame->due(null === $row['due_on'] ? null : (string) $row['due_on'])];
    }

    /** Returns what changes whenever anybody does something with a kit: its last movement, its list and its stage. */
    public function version(int $id): string
    {
        $row = $this->database->fetchNumeric(
            'SELECT k.stage, k.tray_id, (SELECT max(id) FROM movement WHERE kit_id = k.id), (SELECT group_concat(n.id || n.state || n.taken || n.quantity) FROM need n WHERE n.kit_id = k.id) FROM kit k WHERE k.id = ?',
            [$id],
        );

        return substr(hash('xxh128', json_encode($row, \JSON_THROW_ON_ERROR)), 0, 16);
    }

    /** @return list<array<string, mixed>> the list with what can be had of each line */
    public function needs(int $kit): array
    {
        $rows = $this->database->fetchAllAssociative(
            "SELECT n.*, i.name, i.maker, i.kind, i.tracking, i.colour, i.hazards, i.home_id, h.address AS home, r.item_id AS instead_item, ri.name AS instead_name,
                    (SELECT coalesce(sum(b.quantity), 0) FROM balance b JOIN place p ON p.id = b.place_id WHERE b.item_id = i.id AND p.nature IN ('storage', 'unfiled')) AS stored,
                    (SELECT coalesce(sum(b.quantity), 0) FROM balance b JOIN place p ON p.id = b.place_id AND p.nature = 'tray' JOIN kit k ON k.tray_id = p.id WHERE b.item_id = i.id AND k.id <> n.kit_id) AS on_trays,
                    (SELECT coalesce(sum(o.quantity - o.taken), 0) FROM need o JOIN kit k ON k.id = o.kit_id WHERE o.item_id = i.id AND o.kit_id <> n.kit_id AND o.state = 'open' AND k.stage <> 'closed') AS wanted,
                    (SELECT group_concat(k.name, ', ') FROM need o JOIN kit k ON k.id = o.kit_id WHERE o.item_id = i.id AND o.kit_id <> n.kit_id AND k.stage <> 'closed' AND (o.state = 'open' OR o.taken > 0)) AS other_kits
             FROM need n JOIN item i ON i.id = n.item_id LEFT JOIN place h ON h.id = i.home_id LEFT JOIN need r ON r.id = n.instead_of_id LEFT JOIN item ri ON ri.id = r.item_id
             WHERE n.kit_id = ? ORDER BY n.id",
            [$kit],
        );

        return array_map(static function (array $row): array {
            $available = new Availability((int) $row['stored'], (int) $row['on_trays'], (int) $row['wanted']);
            $left = max(0, (int) $row['quantity'] - (int) $row['taken']);

            return $row + ['free' => $available->free(), 'shortfall' => 'open' === $row['state'] ? $available->shortfall($left) : 0];
        }, $rows);
    }

    /**
     * Returns the pull round: all its stops in walking order with what is still to be taken, and what is nowhere.
     *
     * @return array{stops: list<array<string, mixed>>, done: int, total: int, taken: int, lines: int, nowhere: list<array<string, mixed>>, words: string}
     */
    public function pullRound(int $kit): array
    {
        $lines = $this->needs($kit);
        $open = array_filter($lines, static fn (array $line): bool => 'open' === $line['state']);
        $stored = $this->stored(array_map(static fn (array $line): int => (int) $line['item_id'], array_values($open)));
        $takes = $nowhere = [];
        foreach ($open as $line) {
            $tracking = Tracking::from((string) $line['tracking']);
            $home = null === $line['home_id'] ? null : (int) $line['home_id'];
            $split = $this->plan->split((int) $line['quantity'] - (int) $line['taken'], $stored[(int) $line['item_id']] ?? [], $home, $tracking->movesWhole());
            foreach ($split['from'] as $place => $quantity) {
                $takes[$place][] = ['take' => $quantity, 'there' => $stored[(int) $line['item_id']][$place]] + $line;
            }
            if ($split['missing'] > 0) {
                $nowhere[] = $line + ['missing' => $split['missing'], 'where' => $this->stores->whereabouts((int) $line['item_id'])];
            }
        }
        $done = $this->placesOfMoves($kit, 'pull', 'from_id');
        $stops = $this->inOrder($takes);
        $fresh = array_diff(array_keys($takes), $done);

        return [
            'stops' => $stops,
            'done' => \count(array_diff($done, array_keys($takes))),
            'total' => \count($done) + \count($fresh),
            'taken' => \count(array_filter($lines, static fn (array $line): bool => 'open' !== $line['state'])),
            'lines' => \count($lines),
            'nowhere' => $nowhere,
            'words' => RoundWords::onTray($this->trayOf($kit), array_map(static fn (array $line): NeedState => NeedState::from((string) $line['state']), $lines)),
        ];
    }

    private function trayOf(int $kit): string
    {
        return (string) $this->database->fetchOne('SELECT p.address FROM kit k JOIN place p ON p.id = k.tray_id WHERE k.id = ?', [$kit]);
    }

    /**
     * Returns the return round: what is on the tray, grouped by the place it goes to, in walking order; things without a
     * home come last.
     *
     * @return array{stops: list<array<string, mixed>>, homeless: list<array<string, mixed>>, done: int, total: int, returned: int}
     */
    public function returnRound(int $kit): array
    {
        $byHome = $homeless = [];
        foreach ($this->tray($kit) as $row) {
            if (null === $row['home_id']) {
                $homeless[] = $row;
            } else {
                $byHome[(int) $row['home_id']][] = $row;
            }
        }
        $done = $this->placesOfMoves($kit, 'return', 'to_id');
        $fresh = array_diff(array_keys($byHome), $done);

        return [
            'stops' => $this->inOrder($byHome),
            'homeless' => $homeless,
            'done' => \count(array_diff($done, array_keys($byHome))),
            'total' => \count($done) + \count($fresh),
            'returned' => (int) $this->database->fetchOne(
                "SELECT count(DISTINCT item_id) FROM movement m WHERE kit_id = ? AND reason = 'return' AND NOT EXISTS (SELECT 1 FROM movement r WHERE r.reverses_id = m.id)",
                [$kit],
            ),
        ];
    }

    /**
     * Returns what the room shows of a round: the number of the stop, by the place whose front is seen.
     *
     * @param array{stops: list<array<string, mixed>>, done: int} $round
     *
     * @return array<int, string>
     */
    public function litStops(array $round): array
    {
        $lit = [];
        foreach ($round['stops'] as $index => $stop) {
            if (null !== $stop['front']) {
                $lit[(int) $stop['front']] ??= (string) ($round['done'] + $index + 1);
            }
        }

        return $lit;
    }

    /** @return list<array<string, mixed>> what is on a kit's tray */
    public function tray(int $kit): array
    {
        return $this->database->fetchAllAssociative(
            'SELECT i.id, i.id AS item_id, i.name, i.maker, i.kind, i.tracking, i.colour, i.hazards, i.home_id, h.address AS home, b.quantity
             FROM kit k JOIN balance b ON b.place_id = k.tray_id JOIN item i ON i.id = b.item_id LEFT JOIN place h ON h.id = i.home_id WHERE k.id = ? ORDER BY i.name',
            [$kit],
        );
    }

    /**
     * Returns the cautions that apply to a stop's things, each once.
     *
     * @param list<array<string, mixed>> $things
     *
     * @return list<array{care: Care, names: list<string>}>
     */
    public function cares(array $things, bool $onReturn): array
    {
        $cares = [];
        foreach ($things as $thing) {
            /** @var list<string> $hazards */
            $hazards = json_decode((string) $thing['hazards'], true) ?: [];
            foreach ($hazards as $hazard) {
                $care = $onReturn ? Care::onReturn(Hazard::from($hazard)) : Care::onPull(Hazard::from($hazard));
                if (null !== $care) {
                    $cares[$hazard]['care'] = $care;
                    $cares[$hazard]['names'][] = (string) $thing['name'];
                }
            }
        }

        return array_values($cares);
    }

    /**
     * @param list<int> $items
     *
     * @return array<int, array<int, int>> quantity by place, by item
     */
    private function stored(array $items): array
    {
        if ([] === $items) {
            return [];
        }
        $marks = implode(', ', array_fill(0, \count($items), '?'));
        $stored = [];
        foreach ($this->database->fetchAllAssociative("SELECT b.* FROM balance b JOIN place p ON p.id = b.place_id WHERE p.nature IN ('storage', 'unfiled') AND b.item_id IN ($marks)", $items) as $row) {
            $stored[(int) $row['item_id']][(int) $row['place_id']] = (int) $row['quantity'];
        }

        return $stored;
    }

    /**
     * @param array<int, list<array<string, mixed>>> $things by place
     *
     * @return list<array<string, mixed>>
     */
    private function inOrder(array $things): array
    {
        $stops = array_filter(array_map(fn (int $place): Stop => $this->room->stop($place) ?? new Stop($place, 'not filed', \PHP_INT_MAX, 0, 0), array_keys($things)));

        return array_map(fn (Stop $stop): array => [
            'place_id' => $stop->place,
            'address' => $stop->address,
            'front' => $this->room->frontOf($stop->place),
            'things' => $things[$stop->place],
        ], $this->walk->of(array_values($stops)));
    }

    /** @return list<int> */
    private function placesOfMoves(int $kit, string $reason, string $column): array
    {
        return array_map(intval(...), $this->database->fetchFirstColumn(
            "SELECT DISTINCT $column FROM movement m WHERE kit_id = ? AND reason = ? AND NOT EXISTS (SELECT 1 FROM movement r WHERE r.reverses_id = m.id)",
            [$kit, $reason],
        ));
    }
}
