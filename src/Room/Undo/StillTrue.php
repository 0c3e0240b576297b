<?php

declare(strict_types=1);

namespace App\Room\Undo;

use App\Platform\Database\Row;
use App\Platform\Database\StepChange;
use App\Platform\Steps\StepRefused;
use Doctrine\DBAL\Connection;

/** What must be true of a room after a step was taken back, though later steps went on from it; the thing that forbids it is named. */
final readonly class StillTrue
{
    private const KEPT = 'SELECT i.name FROM set_aside s JOIN item i ON i.id = s.item_id GROUP BY s.item_id
        HAVING count(*) > (SELECT t.in_room FROM stock_of_item t WHERE t.item_id = s.item_id) LIMIT 1';
    private const IN_ALBUMS = 'SELECT coalesce(i.name, k.name) FROM album_page a LEFT JOIN item i ON i.id = a.item_id LEFT JOIN kit k ON k.id = a.kit_id
        JOIN album b ON b.id = a.album_id AND b.removed_at IS NULL
        WHERE a.item_id IS NOT NULL OR a.kit_id IS NOT NULL GROUP BY a.item_id, a.kit_id HAVING count(*) > 1 LIMIT 1';
    private const BASKETS = 'SELECT max(e.name) FROM errand e WHERE e.ended_at IS NULL GROUP BY e.basket_id HAVING count(*) > 1 LIMIT 1';

    public function __construct(private Connection $database)
    {
    }

    /**
     * @param list<StepChange> $changes that were taken back
     *
     * @throws StepRefused if something would be kept, laid or walked twice
     */
    public function check(array $changes): void
    {
        $tables = array_unique(array_map(static fn (StepChange $change): string => $change->table, $changes));
        if ([] !== array_intersect(['set_aside', 'gift', 'movement'], $tables)) {
            $this->none(self::KEPT, UndoRefused::isKeptForMore(...));
        }
        if ([] !== array_intersect(['album_page', 'album'], $tables)) {
            $this->none(self::IN_ALBUMS, UndoRefused::isInAnAlbum(...));
        }
        if (\in_array('errand', $tables, true)) {
            $this->none(self::BASKETS, UndoRefused::basketIsTaken(...));
        }
    }

    /** @param callable(string): StepRefused $refused */
    private function none(string $sql, callable $refused): void
    {
        $name = $this->database->fetchOne($sql);
        if (false !== $name) {
            throw $refused(Row::word($name));
        }
    }
}
