<?php

declare(strict_types=1);

namespace App\Calendar\Year;

use App\Kits\Design\DesignOfKit;
use App\Kits\Kits\Kit;
use App\Kits\Kits\KitRow;
use App\Platform\Database\Row;
use App\Platform\Web\Measures;
use App\Platform\Web\RoomClock;
use Doctrine\DBAL\ArrayParameterType;
use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Design\MakingStep;
use Lottel\Core\Design\MakingSteps;
use Lottel\Core\Kit\Makes;
use Lottel\Core\Year\BenchTimes;
use Lottel\Core\Year\Day;
use Lottel\Core\Year\KitTime;
use Lottel\Core\Year\KitWorkload;
use Lottel\Core\Year\SpentTime;

/** How long kits still take: as a person says, from the log of kits like them, or from usual times. */
final class KitTimes
{
    /** Of so many closed kits the log is looked through. */
    private const LOOKED_AT = 24;
    private const AT_BENCH = "'use', 'cut', 'make'";

    public function __construct(
        private readonly Connection $database,
        private readonly EntityManagerInterface $entities,
        private readonly Measures $measures,
        private readonly RoomClock $roomClock,
    ) {
    }

    /** Until which day the pieces of a kit that were made last must dry; null where they need not, or are dry. */
    public function driesUntil(int $kit): ?Day
    {
        $columns = $this->database->fetchAssociative(
            'SELECT max(m.at) AS made, max(t.drying_days) AS days FROM kit_time t JOIN piece_made m ON m.kit_id = t.kit_id
             WHERE t.kit_id = ? AND t.drying_days > 0 HAVING made IS NOT NULL',
            [$kit],
        );
        if (false === $columns) {
            return null;
        }
        $row = new Row($columns);
        $dry = Day::of($row->time('made')->setTimezone($this->roomClock->timeZone()))->plus($row->int('days'));

        return $dry->number > Day::of($this->roomClock->today())->number ? $dry : null;
    }

    /**
     * @param list<KitRow> $kits
     * @param array<int, TimeOfKit> $said by kit
     *
     * @return array<int, KitTime> by kit
     */
    public function of(array $kits, array $said): array
    {
        $ids = array_map(static fn (KitRow $kit): int => $kit->id, $kits);
        $done = $this->numbers('SELECT kit_id AS kit, sum(quantity) AS many FROM piece_made WHERE kit_id IN (?) GROUP BY kit_id', $ids);
        $pieces = $this->numbers('SELECT kit_id AS kit, sum(quantity) AS many FROM piece WHERE kit_id IN (?) GROUP BY kit_id', $ids);
        $sheets = $this->numbers('SELECT kit_id AS kit, count(*) AS many FROM sheet_in_work WHERE kit_id IN (?) GROUP BY kit_id', $ids);
        $open = $this->numbers('SELECT kit_id AS kit, count(*) AS many FROM sheet_in_work WHERE kit_id IN (?) AND NOT is_logged GROUP BY kit_id', $ids);
        $scores = $this->numbers('SELECT kit_id AS kit, sum(max(0, quantity - scored)) AS many FROM piece
            WHERE kit_id IN (?) AND json_array_length(creases) > 0 GROUP BY kit_id', $ids);
        $steps = $this->steps($ids);
        [$like, $bench] = [$this->fromTheLog(), new BenchTimes($this->secondsAStop())];
        $times = [];
        foreach ($kits as $kit) {
            $makes = Makes::read($kit->makes);
            $minutes = $said[$kit->id]->minutes ?? null;
            $many = $makes->pieces ?? 1;
            $times[$kit->id] = null !== $minutes ? KitTime::said($minutes, $done[$kit->id] ?? 0, $many) : KitTime::estimated(new KitWorkload(
                $many,
                $makes->piece,
                null !== $makes->pieces,
                $done[$kit->id] ?? 0,
                $kit->openLines,
                KitWorkload::toCut($pieces[$kit->id] ?? 0, $open[$kit->id] ?? 0, $sheets[$kit->id] ?? 0),
                $scores[$kit->id] ?? 0,
                $steps[$kit->id] ?? [],
            ), $like[$makes->piece] ?? [], $bench);
        }

        return $times;
    }

    /** How long one thing takes to be fetched, from the pulls of the last kits; null where the log has too few. */
    private function secondsAStop(): ?int
    {
        $rounds = Row::words($this->database->fetchFirstColumn(
            'SELECT group_concat(CAST(unixepoch(m.at) AS INTEGER)) FROM (SELECT id FROM kit ORDER BY id DESC LIMIT '.self::LOOKED_AT.") k
             JOIN movement m ON m.kit_id = k.id AND +m.reason = 'pull' GROUP BY k.id",
        ));

        return SpentTime::secondsAStop(array_map(static fn (string $moments): array => array_map(intval(...), explode(',', $moments)), $rounds));
    }

    /**
     * @param list<int> $kits
     *
     * @return array<int, list<MakingStep>> of one piece, by kit that has a design
     */
    private function steps(array $kits): array
    {
        $steps = [];
        $making = new MakingSteps($this->measures->lengths());
        foreach ($this->entities->getRepository(DesignOfKit::class)->findBy(['kit' => $kits]) as $row) {
            $steps[(int) $row->kit->id] = $making->of($row->design());
        }

        return $steps;
    }

    /** @return array<string, list<int>> minutes at the bench for each piece of kits that are closed, by what a piece is called */
    private function fromTheLog(): array
    {
        $rows = $this->database->fetchAllAssociative(
            'SELECT k.id, k.makes, group_concat(CASE WHEN m.reason IN ('.self::AT_BENCH.") THEN CAST(unixepoch(m.at) AS INTEGER) END) AS moments,
                max(CASE WHEN m.reason = 'pull' THEN CAST(unixepoch(m.at) AS INTEGER) END) AS pulled
             FROM (SELECT id, makes FROM kit WHERE stage = 'closed' ORDER BY id DESC LIMIT ".self::LOOKED_AT.') k
             JOIN movement m ON m.kit_id = k.id GROUP BY k.id',
        );
        $like = [];
        foreach ($rows as $columns) {
            $row = new Row($columns);
            $makes = Makes::read($row->text('makes'));
            $moments = [...explode(',', $row->textOrNull('moments') ?? ''), (string) ($row->intOrNull('pulled') ?? '')];
            $minutes = SpentTime::minutes(array_values(array_map(intval(...), array_filter($moments, static fn (string $at): bool => '' !== $at))));
            if (null !== $makes->pieces && $minutes > 0) {
                $like[$makes->piece][] = max(1, (int) round($minutes / $makes->pieces));
            }
        }

        return $like;
    }

    /**
     * @param list<int> $kits
     *
     * @return array<int, int> by kit
     */
    private function numbers(string $sql, array $kits): array
    {
        $numbers = [];
        foreach ($this->database->fetchAllAssociative($sql, [[0, ...$kits]], [ArrayParameterType::INTEGER]) as $columns) {
            $row = new Row($columns);
            $numbers[$row->int('kit')] = $row->intOrNull('many') ?? 0;
        }

        return $numbers;
    }
}
