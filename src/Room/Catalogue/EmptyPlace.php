<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use App\Platform\Database\Row;
use App\Platform\Steps\Step;
use App\Platform\Steps\StepRefused;
use App\Room\Log\LogBook;
use App\Room\Stores\ChangeFurniture;
use App\Room\Stores\Place;
use App\Room\Stores\Places;
use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Furniture\InvalidUnit;
use Lottel\Core\Log\Reason;

/** Moves all that is in a place, and all homes, to another one. */
final readonly class EmptyPlace
{
    public function __construct(
        private EntityManagerInterface $entities,
        private Connection $database,
        private Places $places,
        private Items $items,
        private LogBook $log,
        private ItemIndex $index,
        private ChangeFurniture $furniture,
    ) {
    }

    /** Also what is in its inner places; returns how many things were moved. */
    public function __invoke(Step $step, Place $from, Place $to): int
    {
        if ($to->isWithin($from)) {
            throw StepRefused::intoItself($from->address, $to->address);
        }
        $moved = 0;
        foreach ([$from, ...$this->places->allInner($from)] as $place) {
            $moved += $this->contents($step, $place, $to);
        }

        return $moved;
    }

    /**
     * Makes two places one: what is in the second, and what has its home there, comes into the first; the second is retired.
     *
     * @throws InvalidUnit if they do not make one front together
     */
    public function merge(Step $step, Place $place, Place $with): void
    {
        $this->furniture->joined($place, $with);
        $this->contents($step, $with, $place);
        $this->furniture->join($step, $place, $with);
    }

    private function contents(Step $step, Place $from, Place $to): int
    {
        $this->entities->flush();
        $rows = $this->database->fetchAllAssociative('SELECT item_id, quantity FROM balance WHERE place_id = ?', [$from->id]);
        foreach ($rows as $columns) {
            $row = new Row($columns);
            $movement = $this->items->one($row->int('item_id'))->moves($row->int('quantity'), $from, $to, Reason::Move);
            $this->log->move($step, $movement, null, 'with all that was in '.$from->address);
        }
        foreach ($this->items->withHome($from) as $item) {
            $item->giveHome($to);
            $this->index->item($item);
        }

        return \count($rows);
    }
}
