<?php

declare(strict_types=1);

namespace App\Upkeep\Lost;

use App\Platform\Database\Row;
use Doctrine\DBAL\Connection;
use Lottel\Core\Upkeep\Lost\ClueWeights;
use Psr\Cache\CacheItemPoolInterface;

/** Learns from what was found again which clues come true in this room; kept until something is found. */
final readonly class LearnClues
{
    private const MOST = 40;

    public function __construct(private Connection $database, private TrailReading $trails, private CacheItemPoolInterface $cache)
    {
    }

    public function weights(): ClueWeights
    {
        $found = $this->found();
        $mark = hash('xxh128', serialize($found));
        $kept = $this->cache->getItem('clue-weights');
        $known = $kept->get();
        if (\is_array($known) && ($known[0] ?? null) === $mark && ($known[1] ?? null) instanceof ClueWeights) {
            return $known[1];
        }
        $weights = ClueWeights::usual();
        foreach ($found as $row) {
            $weights = $weights->learn($this->trails->of(Loss::of($row)), $row->int('found_in'));
        }
        $this->cache->save($kept->set([$mark, $weights]));

        return $weights;
    }

    /** @return list<Row> how what was found last had been lost, the oldest first, and where it was found */
    private function found(): array
    {
        return Row::each(array_reverse($this->database->fetchAllAssociative(
            "SELECT l.id, l.item_id, l.at, l.from_id, l.kit_id, p.nature AS from_nature, i.home_id, m.to_id AS found_in, m.request_id
             FROM movement m JOIN movement l ON l.id = (SELECT max(id) FROM movement WHERE item_id = m.item_id AND reason = 'lose' AND id < m.id)
             JOIN place p ON p.id = l.from_id JOIN item i ON i.id = m.item_id
             WHERE m.reason = 'found' AND NOT EXISTS (SELECT 1 FROM movement r WHERE r.reverses_id = m.id) ORDER BY m.id DESC LIMIT ".self::MOST,
        )), static fn (Row $row): Row => $row);
    }
}
