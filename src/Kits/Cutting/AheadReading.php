<?php

declare(strict_types=1);

namespace App\Kits\Cutting;

use App\Platform\Database\Row;
use App\Platform\Web\RoomClock;
use Doctrine\DBAL\Connection;

/** What is kept ready-cut, and how fast it goes. */
final readonly class AheadReading
{
    public const DAYS = 90;

    public function __construct(private Connection $database, private RoomClock $roomClock)
    {
    }

    /** @return list<AheadRow> those first that are lacking most */
    public function rows(): array
    {
        $rows = $this->database->fetchAllAssociative(
            "SELECT i.*, h.address AS home, p.name AS paper, s.here AS there, s.wanted AS wished,
                (SELECT coalesce(sum(u.quantity), 0) FROM use_of_item u WHERE u.item_id = i.id AND u.reason = 'use' AND u.at >= :since) AS used
             FROM item i JOIN stock_of_item s ON s.item_id = i.id JOIN item p ON p.id = i.parent_id LEFT JOIN place h ON h.id = i.home_id
             WHERE i.kind IN ('paper', 'part-finished') AND i.tracking = 'count' AND i.removed_at IS NULL AND p.removed_at IS NULL",
            ['since' => $this->roomClock->today()->modify('-'.self::DAYS.' days')->setTimezone(new \DateTimeZone('UTC'))->format('Y-m-d H:i:s')],
        );
        $ahead = Row::each($rows, static fn (Row $row): AheadRow => AheadRow::of($row, self::DAYS));
        usort(
            $ahead,
            static fn (AheadRow $a, AheadRow $b): int => $b->lacking <=> $a->lacking ?:
            ($a->weeks ?? 9999) <=> ($b->weeks ?? 9999) ?:
            $a->id <=> $b->id,
        );

        return $ahead;
    }
}
