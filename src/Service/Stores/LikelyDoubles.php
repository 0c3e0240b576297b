<?php

declare(strict_types=1);

namespace App\Service\Stores;

use Doctrine\DBAL\Connection;
use Lottel\Core\Storage\Likeness;
use Lottel\Core\Storage\PastedThing;

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
        $likeness = new Likeness($this->database->fetchAllKeyValue('SELECT id, name FROM item'));
        $doubles = [];
        foreach ($things as $index => $thing) {
            foreach ($likeness->of($thing->name) as $id) {
                $doubles[$index][] = $this->database->fetchAssociative('SELECT i.id, i.name, i.maker, h.address AS home FROM item i LEFT JOIN place h ON h.id = i.home_id WHERE i.id = ?', [$id]) ?: [];
            }
        }

        return $doubles;
    }
}
