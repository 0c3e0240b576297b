<?php

declare(strict_types=1);

namespace App\Kits;

use App\Database\Row;
use App\Rounds\NowhereRow;
use App\Rounds\PullRound;
use App\Rounds\ReturnRound;
use App\Rounds\StopRow;
use App\Rounds\TakeRow;
use App\Stores\RoomReading;
use App\Stores\StoreReading;
use App\Web\Frame;
use Doctrine\DBAL\Connection;
use Lottel\Core\Kit\NeedState;
use Lottel\Core\Kit\PullPlan;
use Lottel\Core\Kit\RoundWords;
use Lottel\Core\Log\Reason;
use Lottel\Core\Round\Purpose;
use Lottel\Core\Round\Round;
use Lottel\Core\Round\RoundLine;
use Lottel\Core\Round\RoundStop;
use Lottel\Core\Round\Stop;
use Lottel\Core\Upkeep\Care;
use Lottel\Core\Upkeep\Hazard;

/** Kits, their lists, and their rounds. A round is worked out anew from the log each time, so it can be gone on with anywhere. */
final readonly class KitReading
{
    private const KITS = <<<'SQL'
        SELECT k.*, p.address AS tray, (SELECT count(*) FROM need n WHERE n.kit_id = k.id) AS lines,
               (SELECT count(*) FROM need n WHERE n.kit_id = k.id AND n.state = 'open') AS open_lines,
               (SELECT count(*) FROM balance b WHERE b.place_id = k.tray_id) AS out
        FROM kit k LEFT JOIN place p ON p.id = k.tray_id
        SQL;

    public function __construct(
        private Connection $database,
        private RoomReading $room,
        private StoreReading $stores,
        private Frame $frame,
        private PullPlan $plan = new PullPlan(),
    ) {
    }

    /** @return list<KitRow> */
    public function all(string $which): array
    {
        $where = match ($which) {
            'open' => 'k.tray_id IS NOT NULL',
            'planned' => "k.stage = 'planned' AND k.removed_at IS NULL",
            default => "k.stage = 'closed' AND k.removed_at IS NULL",
        };
        $rows = $this->database->fetchAllAssociative(
            self::KITS." WHERE $where ORDER BY CASE WHEN k.stage = 'closed' THEN k.closed_at END DESC, k.due_on IS NULL, k.due_on, k.id LIMIT 60",
        );

        return array_map($this->kit(...), $rows);
    }

    public function one(int $id): ?KitRow
    {
        $row = $this->database->fetchAssociative(self::KITS.' WHERE k.id = ? AND k.removed_at IS NULL', [$id]);

        return false === $row ? null : $this->kit($row);
    }

    /** @param array<string, mixed> $columns */
    private function kit(array $columns): KitRow
    {
        $row = new Row($columns);

        return KitRow::of($row, $this->frame->due($row->textOrNull('due_on')));
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

    /** @return list<NeedRow> the list with what can be had of each line */
    public function needs(int $kit): array
    {
        $rows = $this->database->fetchAllAssociative(
            "SELECT n.*, i.name, i.maker, i.kind, i.tracking, i.colour, i.hazards, i.home_id, h.address AS home, ri.name AS instead_name,
                    (SELECT coalesce(sum(b.quantity), 0) FROM balance b JOIN place p ON p.id = b.place_id WHERE b.item_id = i.id AND p.nature IN ('storage', 'unfiled')) AS stored,
                    (SELECT coalesce(sum(b.quantity), 0) FROM balance b JOIN place p ON p.id = b.place_id AND p.nature = 'tray' JOIN kit k ON k.tray_id = p.id WHERE b.item_id = i.id AND k.id <> n.kit_id) AS on_trays,
                    (SELECT coalesce(sum(o.quantity - o.taken), 0) FROM need o JOIN kit k ON k.id = o.kit_id WHERE o.item_id = i.id AND o.kit_id <> n.kit_id AND o.state = 'open' AND k.stage <> 'closed') AS wanted,
                    (SELECT group_concat(k.name, ', ') FROM need o JOIN kit k ON k.id = o.kit_id WHERE o.item_id = i.id AND o.kit_id <> n.kit_id AND k.stage <> 'closed' AND (o.state = 'open' OR o.taken > 0)) AS other_kits
             FROM need n JOIN item i ON i.id = n.item_id LEFT JOIN place h ON h.id = i.home_id LEFT JOIN need r ON r.id = n.instead_of_id LEFT JOIN item ri ON ri.id = r.item_id
             WHERE n.kit_id = ? ORDER BY n.id",
            [$kit],
        );

        return array_map(static fn (array $row): NeedRow => NeedRow::of(new Row($row)), $rows);
    }

    /** Returns the round that pulls what is still open of a kit's list. */
    public function roundOfPull(int $kit): Round
    {
        return $this->pullOf($kit, $this->openLines($kit));
    }

    /** Returns the round that brings home what is on a kit's tray; what has no home is no stop of it. */
    public function roundOfReturn(int $kit): Round
    {
        return $this->returnOf($kit, $this->tray($kit));
    }

    /**
     * Returns how much of each of some lines is to be taken at a place; those that are settled, or not to be found there, are left out.
     *
     * @param list<int> $needs
     *
     * @return array<int, int> quantity by line
     */
    public function toTake(int $kit, array $needs, int $place): array
    {
        [$lines] = $this->linesToPull($this->openLines($kit, $needs));
        $take = [];
        foreach ($lines as $line) {
            if ($line->place === $place) {
                $take[$line->id] = $line->quantity;
            }
        }

        return $take;
    }

    public function pullRound(int $kit): PullRound
    {
        $lines = [];
        foreach ($this->needs($kit) as $line) {
            $lines[$line->id] = $line;
        }
        $states = array_map(static fn (NeedRow $line): NeedState => $line->state, array_values($lines));
        $open = array_filter($lines, static fn (NeedRow $line): bool => $line->isOpen());
        $round = $this->pullOf($kit, array_values(array_map(OpenNeed::ofLine(...), $open)));
        $nowhere = [];
        foreach ($round->nowhere as $id => $missing) {
            $nowhere[] = new NowhereRow($lines[$id], $missing, $this->stores->whereabouts($lines[$id]->itemId));
        }

        return new PullRound(
            $this->stops($round, static fn (RoundLine $line): TakeRow => new TakeRow($lines[$line->id], $line->quantity, $line->there)),
            $round->done(),
            $round->total(),
            \count($lines) - \count($open),
            \count($lines),
            $nowhere,
            RoundWords::onTray($this->trayOf($kit), $states),
            $this->lit($round),
        );
    }

    public function returnRound(int $kit): ReturnRound
    {
        $things = [];
        foreach ($this->tray($kit) as $thing) {
            $things[$thing->itemId] = $thing;
        }
        $round = $this->returnOf($kit, array_values($things));

        return new ReturnRound(
            $this->stops($round, static fn (RoundLine $line): TrayRow => $things[$line->id]),
            array_values(array_filter($things, static fn (TrayRow $thing): bool => null === $thing->homeId)),
            $round->done(),
            $round->total(),
            (int) $this->database->fetchOne(
                "SELECT count(DISTINCT item_id) FROM movement m WHERE kit_id = ? AND +reason = 'return' AND NOT EXISTS (SELECT 1 FROM movement r WHERE r.reverses_id = m.id)",
                [$kit],
            ),
            $this->lit($round),
        );
    }

    /**
     * @param list<int>|null $needs only these
     *
     * @return list<OpenNeed>
     */
    private function openLines(int $kit, ?array $needs = null): array
    {
        $rows = $this->database->fetchAllAssociative(
            "SELECT n.id, n.item_id, n.quantity, n.taken, i.name, i.tracking, i.hazards, i.home_id FROM need n JOIN item i ON i.id = n.item_id
             WHERE n.kit_id = :kit AND n.state = 'open' AND (:needs IS NULL OR n.id IN (SELECT value FROM json_each(:needs))) ORDER BY n.id",
            ['kit' => $kit, 'needs' => null === $needs ? null : json_encode($needs)],
        );

        return array_map(static fn (array $row): OpenNeed => OpenNeed::of(new Row($row)), $rows);
    }

    /** @param list<OpenNeed> $open */
    private function pullOf(int $kit, array $open): Round
    {
        [$lines, $nowhere] = $this->linesToPull($open);

        return Round::past(Purpose::Pull, $lines, $this->stopAt(...), $nowhere, $this->placesOfMoves($kit, Reason::Pull->value, 'from_id'));
    }

    /** @param list<TrayRow> $onTray */
    private function returnOf(int $kit, array $onTray): Round
    {
        $lines = [];
        foreach ($onTray as $thing) {
            if (null !== $thing->homeId) {
                $lines[] = new RoundLine($thing->itemId, $thing->itemId, $thing->name, $thing->homeId, $thing->quantity, 0, self::isForTheEnd($thing->hazards));
            }
        }

        return Round::past(Purpose::PutBack, $lines, $this->stopAt(...), [], $this->placesOfMoves($kit, Reason::PutBack->value, 'to_id'));
    }

    /**
     * @param list<OpenNeed> $open
     *
     * @return array{list<RoundLine>, array<int, int>} the lines, and how much of each is in no drawer
     */
    private function linesToPull(array $open): array
    {
        $stored = $this->stored(array_map(static fn (OpenNeed $line): int => $line->itemId, $open));
        $lines = $nowhere = [];
        foreach ($open as $line) {
            $here = $stored[$line->itemId] ?? [];
            $split = $this->plan->split($line->left, $here, $line->homeId, $line->tracking->movesWhole());
            foreach ($split['from'] as $place => $quantity) {
                $lines[] = new RoundLine($line->id, $line->itemId, $line->name, $place, $quantity, $here[$place], self::isForTheEnd($line->hazards));
            }
            if ($split['missing'] > 0) {
                $nowhere[$line->id] = $split['missing'];
            }
        }

        return [$lines, $nowhere];
    }

    /** @param list<Hazard> $hazards */
    private static function isForTheEnd(array $hazards): bool
    {
        return [] !== array_filter($hazards, static fn (Hazard $hazard): bool => $hazard->isCarriedShort());
    }

    private function stopAt(int $place): Stop
    {
        return $this->room->stop($place) ?? new Stop($place, 'not filed', \PHP_INT_MAX, 0, 0);
    }

    /**
     * @template T of TakeRow|TrayRow
     *
     * @param callable(RoundLine): T $show
     *
     * @return list<StopRow<T>>
     */
    private function stops(Round $round, callable $show): array
    {
        return array_map(static fn (RoundStop $stop): StopRow => new StopRow($stop->at->place, $stop->at->address, array_map($show, $stop->lines)), $round->stops);
    }

    /** @return array<int, string> what the room shows of a round: the number of the stop, by the place whose front is seen */
    private function lit(Round $round): array
    {
        $lit = [];
        foreach ($round->numbers() as $place => $number) {
            $front = $this->room->frontOf($place);
            if (null !== $front) {
                $lit[$front] ??= (string) $number;
            }
        }

        return $lit;
    }

    private function trayOf(int $kit): string
    {
        return (string) $this->database->fetchOne('SELECT p.address FROM kit k JOIN place p ON p.id = k.tray_id WHERE k.id = ?', [$kit]);
    }

    /** @return list<TrayRow> what is on a kit's tray */
    public function tray(int $kit): array
    {
        $rows = $this->database->fetchAllAssociative(
            'SELECT i.id AS item_id, i.name, i.maker, i.kind, i.tracking, i.colour, i.hazards, i.home_id, h.address AS home, b.quantity
             FROM kit k JOIN balance b ON b.place_id = k.tray_id JOIN item i ON i.id = b.item_id LEFT JOIN place h ON h.id = i.home_id WHERE k.id = ? ORDER BY i.name',
            [$kit],
        );

        return array_map(static fn (array $row): TrayRow => TrayRow::of(new Row($row)), $rows);
    }

    /**
     * Returns the cautions that apply to some things, each once.
     *
     * @param list<NeedRow|TrayRow> $things
     *
     * @return list<array{care: Care, names: list<string>}>
     */
    public function cares(array $things, bool $onReturn): array
    {
        $cares = [];
        foreach ($things as $thing) {
            foreach ($thing->hazards as $hazard) {
                $care = $onReturn ? Care::onReturn($hazard) : Care::onPull($hazard);
                if (null !== $care) {
                    $cares[$hazard->value]['care'] = $care;
                    $cares[$hazard->value]['names'][] = $thing->name;
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

    /** @return list<int> found by the kit: the plus keeps the database, which does not know how many lines have a reason, off that index */
    private function placesOfMoves(int $kit, string $reason, string $column): array
    {
        return array_map(intval(...), $this->database->fetchFirstColumn(
            "SELECT DISTINCT $column FROM movement m WHERE kit_id = ? AND +reason = ? AND NOT EXISTS (SELECT 1 FROM movement r WHERE r.reverses_id = m.id)",
            [$kit, $reason],
        ));
    }
}
