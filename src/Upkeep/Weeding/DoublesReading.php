<?php

declare(strict_types=1);

namespace App\Upkeep\Weeding;

use App\Platform\Database\KeptUntilChanged;
use App\Platform\Database\Row;
use App\Room\Catalogue\ItemReading;
use App\Room\Catalogue\OwnedRow;
use Doctrine\DBAL\Connection;
use Lottel\Core\Upkeep\Restock\Doubles;

/** Reads what the room has twice. */
final readonly class DoublesReading
{
    public const MOST = 60;

    /** Of what is used up one has several on purpose; these last. */
    private const KINDS = "('stamp set', 'die', 'stencil', 'tool', 'machine', 'ink')";

    public function __construct(private Connection $database, private ItemReading $items, private KeptUntilChanged $kept)
    {
    }

    /** @return list<DoublePair> */
    public function pairs(): array
    {
        $found = $this->kept->get(FoundDoubles::class, '', fn (): FoundDoubles => new FoundDoubles($this->found()));
        $lines = [];
        $ids = array_merge([], ...array_map(static fn (array $pair): array => [$pair[0], $pair[1]], $found->pairs));
        foreach ($this->items->lines(array_values(array_unique($ids))) as $line) {
            $lines[$line->id] = $line;
        }

        return array_map(static fn (array $pair): DoublePair => new DoublePair($lines[$pair[0]], $lines[$pair[1]], $pair[2]), $found->pairs);
    }

    /** @return list<array{int, int, string}> */
    private function found(): array
    {
        $byKind = [];
        foreach ($this->database->fetchAllAssociative(
            'SELECT '.OwnedRow::COLUMNS.' FROM item i WHERE i.removed_at IS NULL AND i.kind IN '.self::KINDS."
                AND EXISTS (SELECT 1 FROM balance b JOIN place p ON p.id = b.place_id AND p.nature = 'storage' WHERE b.item_id = i.id) ORDER BY i.id",
        ) as $columns) {
            $row = new Row($columns);
            $byKind[$row->text('kind')][] = OwnedRow::of($row);
        }
        $pairs = array_merge([], ...array_values(array_map(Doubles::among(...), $byKind)));

        return \array_slice($pairs, 0, self::MOST);
    }
}
