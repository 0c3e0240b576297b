<?php

declare(strict_types=1);

namespace App\Upkeep\Restock;

use App\Platform\Database\Row;
use App\Room\Catalogue\OwnedRow;
use App\Room\Catalogue\ThingLine;
use Doctrine\DBAL\Connection;
use Lottel\Core\Upkeep\Restock\Alike;
use Lottel\Core\Upkeep\Restock\OwnedThing;

/** What is there already that is like something that is to be bought, and in which way. */
final readonly class AlikeReading
{
    private const MOST = 3;
    private const COLUMNS = 'SELECT '.OwnedRow::COLUMNS.' FROM item i WHERE ';

    public function __construct(private Connection $database)
    {
    }

    /**
     * @param list<int> $items
     *
     * @return array<int, list<AlikeThing>> a few things that are there, the likest first, by item
     */
    public function of(array $items): array
    {
        $alike = $owned = [];
        foreach ($this->database->fetchAllAssociative(self::COLUMNS.'i.id IN ('.implode(', ', [0, ...$items]).')') as $columns) {
            $row = new Row($columns);
            $kind = $row->text('kind');
            $owned[$kind] ??= new Alike($this->owned($kind));
            $alike[$row->int('id')] = $owned[$kind]->to(OwnedRow::of($row), self::MOST);
        }
        $lines = $this->lines(array_keys(array_replace([], ...$alike)));

        return array_filter(array_map(static fn (array $whys): array => array_map(
            static fn (int $id, string $why): AlikeThing => new AlikeThing($lines[$id], $why),
            array_keys($whys),
            $whys,
        ), $alike));
    }

    /** @return list<OwnedThing> what of a kind lies in a drawer */
    private function owned(string $kind): array
    {
        return Row::each($this->database->fetchAllAssociative(
            self::COLUMNS."i.kind = ? AND i.removed_at IS NULL
                AND EXISTS (SELECT 1 FROM balance b JOIN place p ON p.id = b.place_id AND p.nature = 'storage' WHERE b.item_id = i.id AND b.quantity > 0)
             ORDER BY i.id",
            [$kind],
        ), OwnedRow::of(...));
    }

    /**
     * @param list<int> $items
     *
     * @return array<int, ThingLine> by item
     */
    private function lines(array $items): array
    {
        $lines = [];
        foreach (Row::each($this->database->fetchAllAssociative(
            'SELECT '.ThingLine::COLUMNS.' FROM item i LEFT JOIN place h ON h.id = i.home_id WHERE i.id IN ('.implode(', ', [0, ...$items]).')',
        ), ThingLine::of(...)) as $line) {
            $lines[$line->id] = $line;
        }

        return $lines;
    }
}
