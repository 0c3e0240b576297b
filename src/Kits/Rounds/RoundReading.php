<?php

declare(strict_types=1);

namespace App\Kits\Rounds;

use App\Kits\Kits\KitReading;
use App\Kits\Kits\NeedRow;
use App\Kits\Kits\TrayRow;
use App\Platform\Database\Row;
use App\Room\Catalogue\ItemReading;
use App\Room\Catalogue\ThingLine;
use App\Room\Stores\RoomReading;
use App\Room\Stores\WaysOfRoom;
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

/** The rounds of a kit. Each is worked out anew from the log, so it can be gone on with anywhere. */
final readonly class RoundReading
{
    public function __construct(
        private Connection $database,
        private RoomReading $room,
        private KitReading $kits,
        private ItemReading $items,
        private WaysOfRoom $ways,
        private PutOff $putOff,
        private PullPlan $plan = new PullPlan(),
    ) {
    }

    /** Returns the round that pulls what is still open of a kit's list. */
    public function ofPull(int $kit): Round
    {
        return $this->pullOf($kit, $this->openLines($kit));
    }

    /** Returns the round that brings home what is on a kit's tray; what has no home is no stop of it. */
    public function ofReturn(int $kit): Round
    {
        return $this->returnOf($kit, $this->kits->tray($kit));
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

    public function pull(int $kit, string $tray): PullRound
    {
        $lines = [];
        foreach ($this->kits->needs($kit) as $line) {
            $lines[$line->id] = $line;
        }
        $open = array_filter($lines, static fn (NeedRow $line): bool => $line->isOpen());
        $round = $this->pullOf($kit, array_values(array_map(OpenNeed::ofLine(...), $open)));
        $nowhere = [];
        foreach ($round->nowhere as $id => $missing) {
            $nowhere[] = new NowhereRow($lines[$id], $missing, $this->items->whereabouts($lines[$id]->thing->id));
        }

        return new PullRound(
            self::stops($round, static fn (RoundLine $line): TakeRow => new TakeRow($lines[$line->id], $line->quantity, $line->there)),
            $round->done(),
            $round->total(),
            \count($lines) - \count($open),
            \count($lines),
            $nowhere,
            RoundWords::onTray($tray, array_map(static fn (NeedRow $line): NeedState => $line->state, array_values($lines))),
            $this->lit($round),
            $this->time($round),
        );
    }

    /** Returns the way home of what is on a tray; what was put off comes last. */
    public function return(int $kit): ReturnRound
    {
        $later = $this->putOff->of($kit);
        $things = [];
        foreach ($this->kits->tray($kit) as $row) {
            $things[$row->thing->id] = $row;
        }
        $round = $this->returnOf($kit, array_values($things));

        return new ReturnRound(
            self::asPutOff(self::stops($round, static fn (RoundLine $line): TrayRow => $things[$line->id]), $later),
            array_values(array_filter($things, static fn (TrayRow $row): bool => null === $row->thing->homeId)),
            $round->done(),
            $round->total(),
            Row::number($this->database->fetchOne(
                "SELECT count(DISTINCT item_id) FROM movement m
                 WHERE kit_id = ? AND +reason = 'return' AND NOT EXISTS (SELECT 1 FROM movement r WHERE r.reverses_id = m.id)",
                [$kit],
            )),
            $this->lit($round),
            $this->time($round),
            $later,
        );
    }

    /** What another person did with a kit in the last quarter of an hour. */
    public function byAnother(int $kit, int $person, \DateTimeImmutable $now): ?OtherDid
    {
        $row = $this->database->fetchAssociative(
            'SELECT a.name AS person, i.name AS item, m.reason, m.at FROM movement m JOIN account a ON a.id = m.account_id JOIN item i ON i.id = m.item_id
             WHERE m.kit_id = ? AND m.account_id <> ? AND m.at >= ? ORDER BY m.id DESC LIMIT 1',
            [$kit, $person, $now->setTimezone(new \DateTimeZone('UTC'))->modify('-15 minutes')->format('Y-m-d H:i:s')],
        );

        return false === $row ? null : OtherDid::of(new Row($row));
    }

    /**
     * @param list<StopRow<TrayRow>> $stops
     * @param list<int> $later
     *
     * @return list<StopRow<TrayRow>> what was put off in stops of its own, at the end
     */
    private static function asPutOff(array $stops, array $later): array
    {
        $now = $off = [];
        foreach ($stops as $stop) {
            $isOff = static fn (TrayRow $row): bool => \in_array($row->thing->id, $later, true);
            $kept = array_values(array_filter($stop->things, static fn (TrayRow $row): bool => !$isOff($row)));
            $put = array_values(array_filter($stop->things, $isOff));
            if ([] !== $kept) {
                $now[] = new StopRow($stop->placeId, $stop->address, $kept);
            }
            if ([] !== $put) {
                $off[] = new StopRow($stop->placeId, $stop->address, $put);
            }
        }

        return [...$now, ...$off];
    }

    /** How long what is left of a round takes, in words; an estimate. */
    private function time(Round $round): string
    {
        return $this->ways->inWords(array_map(static fn (RoundStop $stop): array => [$stop->at->place, \count($stop->lines)], $round->stops));
    }

    /**
     * @param list<int>|null $needs only these
     *
     * @return list<OpenNeed>
     */
    private function openLines(int $kit, ?array $needs = null): array
    {
        $rows = $this->database->fetchAllAssociative(
            'SELECT '.ThingLine::COLUMNS.", n.id, n.quantity, n.taken
             FROM need n JOIN item i ON i.id = n.item_id LEFT JOIN place h ON h.id = i.home_id
             WHERE n.kit_id = :kit AND n.state = 'open' AND (:needs IS NULL OR n.id IN (SELECT value FROM json_each(:needs))) ORDER BY n.id",
            ['kit' => $kit, 'needs' => null === $needs ? null : json_encode($needs)],
        );

        return Row::each($rows, OpenNeed::of(...));
    }

    /** @param list<OpenNeed> $open */
    private function pullOf(int $kit, array $open): Round
    {
        [$lines, $nowhere] = $this->linesToPull($open);

        return Round::past(Purpose::Pull, $lines, $this->stopAt(...), $nowhere, $this->placesOfMoves($kit, Reason::Pull, 'from_id'));
    }

    /** @param list<TrayRow> $onTray */
    private function returnOf(int $kit, array $onTray): Round
    {
        $lines = [];
        foreach ($onTray as $row) {
            $thing = $row->thing;
            if (null !== $thing->homeId) {
                $lines[] = new RoundLine($thing->id, $thing->id, $thing->name, $thing->homeId, $row->quantity, 0, $thing->isCarriedShort());
            }
        }

        return Round::past(Purpose::PutBack, $lines, $this->stopAt(...), [], $this->placesOfMoves($kit, Reason::PutBack, 'to_id'));
    }

    /**
     * @param list<OpenNeed> $open
     *
     * @return array{list<RoundLine>, array<int, int>} the lines, and how much of each is in no drawer
     */
    private function linesToPull(array $open): array
    {
        $stored = $this->stored(array_map(static fn (OpenNeed $line): int => $line->thing->id, $open));
        $lines = $nowhere = [];
        foreach ($open as $line) {
            $thing = $line->thing;
            $here = $stored[$thing->id] ?? [];
            $split = $this->plan->split($line->left, $here, $thing->homeId, $thing->tracking->movesWhole());
            foreach ($split['from'] as $place => $quantity) {
                $lines[] = new RoundLine($line->id, $thing->id, $thing->name, $place, $quantity, $here[$place], $thing->isCarriedShort());
                $stored[$thing->id][$place] -= $quantity;
            }
            if ($split['missing'] > 0) {
                $nowhere[$line->id] = $split['missing'];
            }
        }

        return [$lines, $nowhere];
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
    private static function stops(Round $round, callable $show): array
    {
        return array_map(
            static fn (RoundStop $stop): StopRow => new StopRow($stop->at->place, $stop->at->address, array_map($show, $stop->lines)),
            $round->stops,
        );
    }

    /** @return array<int, string> what the room shows of a round: the number of the stop, by the place whose front is seen */
    private function lit(Round $round): array
    {
        $places = [];
        foreach ($round->numbers() as $place => $number) {
            $places[] = [$place, (string) $number];
        }

        return $this->room->litWith($places);
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
        $rows = $this->database->fetchAllAssociative(
            "SELECT b.* FROM balance b JOIN place p ON p.id = b.place_id WHERE p.nature IN ('storage', 'unfiled') AND b.item_id IN ($marks)",
            $items,
        );
        $stored = [];
        foreach ($rows as $columns) {
            $row = new Row($columns);
            $stored[$row->int('item_id')][$row->int('place_id')] = $row->int('quantity');
        }

        return $stored;
    }

    /** @return list<int> found by the kit: the plus keeps the database, which does not know how many lines have a reason, off that index */
    private function placesOfMoves(int $kit, Reason $reason, string $column): array
    {
        $rows = $this->database->fetchAllAssociative(
            "SELECT DISTINCT $column AS place FROM movement m
             WHERE kit_id = ? AND +reason = ? AND NOT EXISTS (SELECT 1 FROM movement r WHERE r.reverses_id = m.id)",
            [$kit, $reason->value],
        );

        return Row::each($rows, static fn (Row $row): int => $row->int('place'));
    }
}
