<?php

declare(strict_types=1);

namespace App\Upkeep\Restock;

use App\Calendar\Year\DateInYear;
use App\Calendar\Year\YearReading;
use App\Kits\Kits\OpenKits;
use App\Platform\Database\KeptUntilChanged;
use App\Platform\Database\Row;
use App\Platform\Web\Frame;
use Doctrine\DBAL\Connection;
use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Upkeep\Restock\CardsAhead;
use Lottel\Core\Year\Day;

/** Reads what the dates of the next weeks want that have no kit yet, and what went onto cards so far, piece by piece. */
final readonly class CalendarReading
{
    public const WEEKS = 8;
    private const DAYS_OF_LOG = 365;
    private const KINDS = [Kind::Paper, Kind::PartFinished, Kind::Envelope];

    public function __construct(private Connection $database, private YearReading $year, private Frame $frame, private KeptUntilChanged $kept)
    {
    }

    public function ahead(): CardsAhead
    {
        $today = Day::of($this->frame->today());

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
            "SELECT coalesce(sum(m.quantity), 0) FROM movement m WHERE m.at >= ? AND +m.reason = 'make'
                AND NOT EXISTS (SELECT 1 FROM movement r WHERE r.reverses_id = m.id)",
            [$since],
        ));
        $used = $this->database->fetchAllKeyValue(
            "SELECT i.kind, sum(m.quantity) FROM movement m JOIN item i ON i.id = m.item_id AND i.tracking = 'count'
             JOIN place t ON t.id = m.to_id AND t.address = 'used up'
             WHERE m.at >= ? AND +m.reason = 'use' AND NOT EXISTS (SELECT 1 FROM movement r WHERE r.reverses_id = m.id) GROUP BY i.kind",
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
        $there = Row::number($this->database->fetchOne(
            "SELECT coalesce(sum(b.quantity), 0) FROM item i JOIN balance b ON b.item_id = i.id JOIN place p ON p.id = b.place_id AND p.nature = 'storage'
             WHERE i.kind = ? AND i.tracking = 'count'",
            [$kind->value],
        ));
        $wanted = Row::number($this->database->fetchOne(
            "SELECT coalesce(sum(max(0, n.quantity - n.taken)), 0) FROM need n JOIN item i ON i.id = n.item_id AND i.kind = ? AND i.tracking = 'count'
             JOIN kit k ON k.id = n.kit_id AND ".OpenKits::ARE." WHERE n.state = 'open'",
            [$kind->value],
        ));

        return max(0, $there - $wanted);
    }
}
