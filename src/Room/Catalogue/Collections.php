<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use App\Platform\Database\Row;
use App\Platform\Steps\Step;
use App\Platform\Steps\StepRefused;
use App\Platform\Steps\Unknown;
use App\Room\Log\LogBook;
use App\Room\Stores\Place;
use App\Room\Stores\Places;
use Doctrine\DBAL\Connection;
use Lottel\Core\Log\Reason;

/** Things that are kept whole, as they came: papers, stickers, embellishments, with their scraps; or broken up into homes of their own. */
final readonly class Collections
{
    private const MOST = 300;

    public function __construct(
        private Connection $database,
        private Items $items,
        private KeepHomes $homes,
        private LogBook $log,
        private Places $places,
        private ItemIndex $index,
    ) {
    }

    /** @return array<string, list<ThingLine>> by name */
    public function all(): array
    {
        $all = [];
        foreach ($this->database->fetchAllAssociative(
            'SELECT i.collection, '.ThingLine::COLUMNS." FROM item i LEFT JOIN place h ON h.id = i.home_id
             WHERE i.collection <> '' AND i.removed_at IS NULL ORDER BY i.collection, i.name LIMIT 2000",
        ) as $columns) {
            $row = new Row($columns);
            $all[$row->text('collection')][] = ThingLine::of($row);
        }

        return $all;
    }

    /**
     * All of it lives in one place from now on, and what lies at home moves there.
     *
     * @return int how many things it has
     *
     * @throws Unknown if there is no such collection
     */
    public function keepTogether(Step $step, string $name, Place $home): int
    {
        $items = $this->of($name);
        foreach ($items as $item) {
            $this->homes->giveHome($step, $item, $home);
        }

        return \count($items);
    }

    /**
     * It is no collection any more: its things wait with what is not filed for homes of their own; what is out with a kit goes there.
     *
     * @return int how many things it had
     *
     * @throws Unknown if there is no such collection
     */
    public function breakUp(Step $step, string $name): int
    {
        $items = $this->of($name);
        foreach ($items as $item) {
            $old = $item->home;
            $item->giveHome(null);
            $item->describe($item->record()->with(collection: ''));
            $this->index->item($item);
            $there = null === $old ? 0 : $this->log->quantity((int) $item->id, (int) $old->id);
            if (null !== $old && $there > 0) {
                $this->log->move($step, $item->moves($there, $old, $this->places->heap(), Reason::Move), null, 'out of “'.$name.'”');
            }
        }

        return \count($items);
    }

    /** @return non-empty-list<Item> */
    private function of(string $name): array
    {
        $ids = $this->database->fetchFirstColumn('SELECT id FROM item WHERE collection = ? AND removed_at IS NULL ORDER BY id', [$name]);
        if ([] === $ids) {
            throw Unknown::collection($name);
        }
        if (\count($ids) > self::MOST) {
            throw StepRefused::collectionIsLarge($name, \count($ids), self::MOST);
        }

        return array_map(fn (mixed $id): Item => $this->items->one(Row::number($id)), $ids);
    }
}
