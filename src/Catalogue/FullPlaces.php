<?php

declare(strict_types=1);

namespace App\Catalogue;

use App\Database\Row;
use App\Stores\Fullness;
use App\Stores\PlaceReading;
use App\Stores\PlaceRow;
use Doctrine\DBAL\Connection;
use Lottel\Core\Homes\Contents;
use Psr\Cache\CacheItemPoolInterface;

/** Knows which places are over-full. After each write it looks again at those places alone that the write may have filled. */
final readonly class FullPlaces implements Fullness
{
    private const MOST_AT_ONCE = 200;

    public function __construct(private Connection $database, private PlaceReading $places, private CacheItemPoolInterface $cache)
    {
    }

    public function overFull(): array
    {
        $now = $this->mark();
        $kept = $this->cache->getItem('over-full');
        $known = $kept->get();
        if (!$known instanceof KnownFullness || !$this->follows($known)) {
            $known = new KnownFullness($now, $this->amongst(null));
        } elseif ($known->mark !== $now) {
            $known = $this->lookedAgain($known, $now);
        } else {
            return $known->overFull;
        }
        $this->cache->save($kept->set($known));

        return $known->overFull;
    }

    /** @return array{int, string, int, string} the last line of the log and the last change of a record, each with its request */
    private function mark(): array
    {
        $row = new Row($this->database->fetchAssociative(
            "SELECT coalesce(m.id, 0) AS line, coalesce(m.request_id, '') AS line_of, coalesce(c.id, 0) AS change, coalesce(c.request_id, '') AS change_of
             FROM (SELECT 1) LEFT JOIN movement m ON m.id = (SELECT max(id) FROM movement) LEFT JOIN step_change c ON c.id = (SELECT max(id) FROM step_change)",
        ) ?: []);

        return [$row->int('line'), $row->text('line_of'), $row->int('change'), $row->text('change_of')];
    }

    /** Whether the database still has what was last seen: it may be another one, or one from a backup. */
    private function follows(KnownFullness $known): bool
    {
        [$line, $lineOf, $change, $changeOf] = $known->mark;

        return [0, 0] !== [$line, $change]
            && (0 === $line || $lineOf === $this->database->fetchOne('SELECT request_id FROM movement WHERE id = ?', [$line]))
            && (0 === $change || $changeOf === $this->database->fetchOne('SELECT request_id FROM step_change WHERE id = ?', [$change]));
    }

    /** @param array{int, string, int, string} $now */
    private function lookedAgain(KnownFullness $known, array $now): KnownFullness
    {
        $touched = $this->database->fetchFirstColumn(
            "SELECT from_id FROM movement WHERE id > :line UNION SELECT to_id FROM movement WHERE id > :line
             UNION SELECT row_id FROM step_change WHERE id > :change AND subject = 'place'
             UNION SELECT b.place_id FROM step_change c CROSS JOIN balance b ON b.item_id = c.row_id WHERE c.id > :change AND c.subject = 'item'
             LIMIT ".(self::MOST_AT_ONCE + 1),
            ['line' => $known->mark[0], 'change' => $known->mark[2]],
        );
        $touched = array_map(Row::number(...), $touched);
        if (\count($touched) > self::MOST_AT_ONCE) {
            return new KnownFullness($now, $this->amongst(null));
        }

        return new KnownFullness($now, [...array_values(array_diff($known->overFull, $touched)), ...$this->amongst($touched)]);
    }

    /**
     * @param list<int>|null $some null for all
     *
     * @return list<int>
     */
    private function amongst(?array $some): array
    {
        $contents = $this->contents($some);

        return array_values(array_map(static fn (PlaceRow $place): int => $place->id, array_filter(
            $this->places->forHomes(),
            static fn (PlaceRow $place): bool => isset($contents[$place->id]) && true === $place->capacity()?->isOverFull($contents[$place->id]),
        )));
    }

    /**
     * @param list<int>|null $some
     *
     * @return array<int, Contents> by place
     */
    private function contents(?array $some): array
    {
        $only = null === $some ? '' : 'WHERE b.place_id IN ('.implode(', ', $some ?: [0]).')';
        $rows = $this->database->iterateAssociative("SELECT i.*, b.place_id AS lies_in, b.quantity FROM balance b JOIN item i ON i.id = b.item_id $only");
        $contents = [];
        foreach ($rows as $columns) {
            $row = new Row($columns);
            $place = $row->int('lies_in');
            $contents[$place] = ($contents[$place] ?? new Contents(0, 0, 0))->plus(ThingRow::of($row)->contents());
        }

        return $contents;
    }
}
