<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use App\Platform\Database\RoomMark;
use App\Platform\Database\Row;
use App\Room\Stores\Fullness;
use App\Room\Stores\PlaceReading;
use App\Room\Stores\PlaceRow;
use Doctrine\DBAL\Connection;
use Lottel\Core\Homes\Contents;
use Psr\Cache\CacheItemPoolInterface;

/** Knows which places are over-full. After each write it looks again at those places alone that the write may have filled. */
final readonly class FullPlaces implements Fullness
{
    private const MOST_AT_ONCE = 200;

    public function __construct(private Connection $database, private PlaceReading $places, private CacheItemPoolInterface $cache, private RoomMark $mark)
    {
    }

    public function overFull(): array
    {
        $now = $this->mark->now();
        $kept = $this->cache->getItem('over-full');
        $known = $kept->get();
        if (!$known instanceof KnownFullness || !$this->mark->follows($known->mark)) {
            $known = new KnownFullness($now, $this->amongst(null));
        } elseif ($known->mark !== $now) {
            $known = $this->lookedAgain($known, $now);
        } else {
            return $known->overFull;
        }
        $this->cache->save($kept->set($known));

        return $known->overFull;
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
