<?php

declare(strict_types=1);

namespace App\Upkeep\Restock;

use App\Calendar\Year\DateInYear;
use App\Calendar\Year\YearReading;
use App\Platform\Database\KeptUntilChanged;
use App\Platform\Database\Row;
use App\Platform\Web\RoomClock;
use Doctrine\DBAL\Connection;
use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Kit\Availability;
use Lottel\Core\Upkeep\Restock\CardsAhead;
use Lottel\Core\Year\Day;

/** Reads what the dates of the next weeks want that have no kit yet, and what went onto cards so far, piece by piece. */
final readonly class CalendarReading
{
    public const WEEKS = 8;
    private const DAYS_OF_LOG = 365;
    private const KINDS = [Kind::Paper, Kind::PartFinished, Kind::Envelope];

    public function __construct(private Connection $database, private YearReading $year, private RoomClock $roomClock, private KeptUntilChanged $kept)
    {
    }

    public function ahead(): CardsAhead
    {
        $today = Day::of($this->roomClock->today());

        return $this->kept->get(CardsAhead::class, $today->text(), fn (): CardsAhead => $this->found($today));
    }

    private function found(Day $today): CardsAhead
    {
        $dates = array_filter($this->year->of($today, self::WEEKS)->dates, static fn (DateInYear $date): bool => $date->isToMake());
        $pieces = array_sum(array_map(static fn (DateInYear $date): int => max(0, $date->occasion->pieces - $date->served - $date->gone), $dates));
        if (0 === $pieces) {
            return new CardsAhead(0, 0, []);
        }
        $since = $today->plus(-self::DAYS_OF_LOG)->text();
        $made = Row::number($this->database->fetchOne(
            'SELECT coalesce(sum(m.quantity), 0) FROM piece_made m WHERE m.at >= ?',
            [$since],
        ));
        $used = $this->database->fetchAllKeyValue(
            "SELECT i.kind, sum(u.quantity) FROM use_of_item u JOIN item i ON i.id = u.item_id AND i.tracking = 'count'
             WHERE u.at >= ? AND u.reason = 'use' GROUP BY i.kind",
            [$since],
        );

        return new CardsAhead($pieces, $made, array_map(
            fn (Kind $kind): array => [$kind, Row::number($used[$kind->value] ?? 0), $this->free($kind)],
            self::KINDS,
        ));
    }

    /** What lies in drawers, less what the open kits want of it. */
    private function free(Kind $kind): int
    {
        $stock = new Row($this->database->fetchAssociative(
            "SELECT coalesce(sum(s.here), 0) AS here, coalesce(sum(s.wanted), 0) AS wanted
             FROM item i JOIN stock_of_item s ON s.item_id = i.id WHERE i.kind = ? AND i.tracking = 'count' AND i.removed_at IS NULL",
            [$kind->value],
        ) ?: []);

        return (new Availability($stock->int('here'), 0, $stock->int('wanted')))->free();
    }
}
