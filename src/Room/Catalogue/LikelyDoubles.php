<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use App\Platform\Database\Row;
use Doctrine\DBAL\Connection;
use Lottel\Core\Catalogue\Likeness;
use Lottel\Core\Catalogue\PastedThing;

/** What the room probably has already of new things, also by another maker. */
final readonly class LikelyDoubles
{
    public function __construct(private Connection $database)
    {
    }

    /**
     * @param list<PastedThing> $things
     *
     * @return array<int, list<DoubleRow>> by thing
     */
    public function of(array $things): array
    {
        $likeness = new Likeness($this->names());
        $likely = array_filter(array_map(static fn (PastedThing $thing): array => $likeness->of($thing->name), $things));
        $rows = $this->database->fetchAllAssociative(
            'SELECT i.id, i.name, i.maker, h.address AS home FROM item i LEFT JOIN place h ON h.id = i.home_id WHERE i.id IN (SELECT value FROM json_each(?))',
            [json_encode(array_merge(...array_values($likely)))],
        );
        $doubles = [];
        foreach (Row::each($rows, DoubleRow::of(...)) as $double) {
            $doubles[$double->id] = $double;
        }

        return array_map(static fn (array $ids): array => array_map(static fn (int $id): DoubleRow => $doubles[$id], $ids), $likely);
    }

    /** @return iterable<int, string> by item */
    private function names(): iterable
    {
        foreach ($this->database->iterateAssociative('SELECT id, name FROM item WHERE removed_at IS NULL') as $columns) {
            $row = new Row($columns);
            yield $row->int('id') => $row->text('name');
        }
    }
}
