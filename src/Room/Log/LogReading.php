<?php

declare(strict_types=1);

namespace App\Room\Log;

use App\Platform\Database\FullText;
use App\Platform\Database\Row;
use Doctrine\DBAL\Connection;
use Doctrine\DBAL\Query\QueryBuilder;

/** The log, newest line first. */
final readonly class LogReading
{
    /** Whether a line can still be put right: its thing is where it went, and may go back to where it came from. */
    private const REVERSIBLE = <<<'SQL'
        (m.reverses_id IS NULL AND r.id IS NULL AND f.retired_at IS NULL AND t.retired_at IS NULL
         AND (f.nature <> 'tray' OR f.kind IN ('person', 'basket') OR EXISTS (SELECT 1 FROM kit_holder h WHERE h.kit_id = k.id AND h.place_id = f.id))
         AND (t.nature = 'outside' OR coalesce((SELECT quantity FROM balance WHERE item_id = m.item_id AND place_id = t.id), 0) >= m.quantity)
         AND NOT EXISTS (SELECT 1 FROM retracking c WHERE c.item_id = m.item_id AND c.movement_id >= m.id))
        SQL;

    /** As it was counted then. */
    private const TRACKING = 'coalesce((SELECT c.from_tracking FROM retracking c WHERE c.item_id = m.item_id AND c.movement_id >= m.id
        ORDER BY c.id LIMIT 1), i.tracking)';

    public function __construct(private Connection $database)
    {
    }

    /** @return list<LogRow> */
    public function lines(LogFilter $filter, int $most): array
    {
        return iterator_to_array($this->rows($this->query($filter)->setMaxResults($most)), false);
    }

    /** @return iterable<LogRow> */
    public function all(LogFilter $filter): iterable
    {
        return $this->rows($this->query($filter));
    }

    /** @return \Generator<LogRow> */
    private function rows(QueryBuilder $query): \Generator
    {
        foreach ($query->executeQuery()->iterateAssociative() as $row) {
            yield LogRow::of(new Row($row));
        }
    }

    /** @return array<int, string> the people that a line may be of, by id */
    public function people(): array
    {
        return $this->names('SELECT id, name FROM account ORDER BY name');
    }

    /** @return array<int, string> the kits that a line may be for, the last ones first, by id */
    public function kits(): array
    {
        return $this->names('SELECT id, name FROM kit ORDER BY id DESC LIMIT 200');
    }

    /** @return array<int, string> */
    private function names(string $sql): array
    {
        $names = [];
        foreach ($this->database->fetchAllAssociative($sql) as $columns) {
            $row = new Row($columns);
            $names[$row->int('id')] = $row->text('name');
        }

        return $names;
    }

    private function query(LogFilter $filter): QueryBuilder
    {
        $query = $this->database
            ->createQueryBuilder()
            ->select(
                'm.*',
                'i.name AS item',
                'f.address AS from_address',
                'f.nature AS from_nature',
                't.address AS to_address',
                't.nature AS to_nature',
                'a.name AS person',
                'k.name AS kit',
                'r.id AS reversed_by',
                'coalesce('.self::REVERSIBLE.', 0) AS is_reversible',
                self::TRACKING.' AS tracking',
            )
            ->from('movement', 'm')
            ->join('m', 'item', 'i', 'i.id = m.item_id')
            ->join('m', 'place', 'f', 'f.id = m.from_id')
            ->join('m', 'place', 't', 't.id = m.to_id')
            ->join('m', 'account', 'a', 'a.id = m.account_id')
            ->leftJoin('m', 'kit', 'k', 'k.id = m.kit_id')
            ->leftJoin('m', 'movement', 'r', 'r.reverses_id = m.id');
        $hasDays = null !== $filter->from || null !== $filter->until;
        $query->orderBy($hasDays ? 'm.at' : 'm.id', 'DESC')->addOrderBy('m.id', 'DESC');
        foreach (['item_id' => $filter->item, 'kit_id' => $filter->kit, 'account_id' => $filter->person, 'reason' => $filter->reason] as $column => $value) {
            if (null !== $value) {
                $query->andWhere("m.$column = :$column")->setParameter($column, $value);
            }
        }
        $words = FullText::all($filter->what);
        if (null !== $words) {
            $query
                ->andWhere('m.item_id IN (SELECT rowid / 2 FROM finder WHERE finder MATCH :words AND rowid % 2 = 0)')
                ->setParameter('words', '{name maker} : ('.$words.')');
        }
        if (null !== $filter->place) {
            $query
                ->andWhere('m.id IN (SELECT id FROM movement WHERE from_id = :place UNION ALL SELECT id FROM movement WHERE to_id = :place)')
                ->setParameter('place', $filter->place);
        }
        if (null !== $filter->from) {
            $query->andWhere('m.at >= :since')->setParameter('since', $filter->from->format('Y-m-d H:i:s'));
        }
        if (null !== $filter->until) {
            $query->andWhere('m.at < :until')->setParameter('until', $filter->until->format('Y-m-d H:i:s'));
        }
        if (null !== $filter->olderThan) {
            $query->andWhere('m.id < :older')->setParameter('older', $filter->olderThan);
        }

        return $query;
    }
}
