<?php

declare(strict_types=1);

namespace App\Kits\Cutting;

use App\Platform\Database\Row;
use App\Platform\Web\Measures;
use App\Room\Catalogue\Item;
use App\Room\Catalogue\ItemIndex;
use App\Room\Catalogue\Items;
use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Cutting\ReadyCut;
use Lottel\Core\Log\Tracking;
use Lottel\Core\Paper\Direction;

/** What cut pieces are in the catalogue: more of those that are there already, or something new. */
final readonly class PieceItems
{
    public function __construct(
        private Connection $database,
        private EntityManagerInterface $entities,
        private Items $items,
        private ItemIndex $index,
        private Measures $measures,
    ) {
    }

    public function of(PieceToCut $piece): Item
    {
        return $piece->item ?? $piece->become($this->like($piece) ?? $this->made($piece));
    }

    private function like(PieceToCut $piece): ?Item
    {
        $this->entities->flush();
        $ids = $this->database->fetchFirstColumn(
            "SELECT id FROM item WHERE parent_id = :paper AND kind IN ('paper', 'part-finished') AND removed_at IS NULL AND tracking = 'count'
                AND sheet_width IN (:w, :h) AND sheet_height IN (:w, :h) ORDER BY home_id IS NULL, id",
            ['paper' => $piece->paper->id, 'w' => $piece->width, 'h' => $piece->height],
        );
        foreach ($ids as $id) {
            $item = $this->items->one(Row::number($id));
            $size = $item->sheet->sheet()->size;
            if (null !== $size && ReadyCut::is($size, $item->name, $piece->size(), $piece->mayTurn, [] !== $piece->creases())) {
                return $item;
            }
        }

        return null;
    }

    private function made(PieceToCut $piece): Item
    {
        $paper = $piece->paper;
        $lengths = $this->measures->lengths();
        $size = $piece->size();
        $of = '' === $paper->colourName ? $paper->name : $paper->colourName;
        $name = \sprintf('%s %s %s × %s', mb_substr($of, 0, 110), $piece->name, $lengths->number($size->width), $lengths->number($size->height))
            .([] === $piece->creases() || ReadyCut::saysScored($piece->name) ? '' : ', scored');
        $item = new Item($name, Kind::Paper, Tracking::Count, null);
        $sheet = $paper->sheet->sheet()->cutTo($size);
        $runs = $sheet->direction;
        $item->isCutFrom($paper, null === $runs || Direction::None === $runs ? $sheet : $sheet->running($piece->mayTurn ? null : Direction::Height));
        $this->entities->persist($item);
        $this->index->item($item);

        return $item;
    }
}
