<?php

declare(strict_types=1);

namespace App\Catalogue;

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
     * @return array<int, list<array<string, mixed>>> by thing
     */
    public function of(array $things): array
    {
        $likeness = new Likeness($this->database->fetchAllKeyValue('SELECT id, name FROM item WHERE removed_at IS NULL'));
        $likely = array_filter(array_map(static fn (PastedThing $thing): array => $likeness->of($thing->name), $things));
        $items = $this->database->fetchAllAssociativeIndexed(
            'SELECT i.id AS k, i.id, i.name, i.maker, h.address AS home FROM item i LEFT JOIN place h ON h.id = i.home_id WHERE i.id IN (SELECT value FROM json_each(?))',
            [json_encode(array_merge(...array_values($likely)))],
        );

        return array_map(static fn (array $ids): array => array_map(static fn (int $id): array => $items[$id], $ids), $likely);
    }
}
