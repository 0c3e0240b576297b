<?php

declare(strict_types=1);

namespace App\Upkeep\Counting;

use App\Platform\Steps\Step;
use App\Room\Catalogue\CountThing;
use App\Room\Catalogue\Item;
use App\Room\Catalogue\Items;
use App\Room\Log\LogBook;
use App\Room\Stores\Place;
use App\Room\Stores\Places;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Log\Outside;
use Lottel\Core\Log\Reason;
use Lottel\Core\Upkeep\Counting\CountedLine;
use Lottel\Core\Upkeep\Counting\CountReason;
use Lottel\Core\Upkeep\Counting\CountSheet;

/** Writes down what was counted in a place: each difference is a movement with its reason, and what is missing for good is lost. */
final readonly class CountPlace
{
    public function __construct(
        private CountThing $count,
        private LogBook $log,
        private Items $items,
        private Places $places,
        private CountHistories $histories,
        private EntityManagerInterface $entities,
    ) {
    }

    /**
     * @param array<int, CountReason> $reasons by item, of each that differs
     *
     * @throws CountRefused if something moved since the sheet was made
     */
    public function __invoke(Step $step, Place $place, CountSheet $sheet, array $reasons): void
    {
        foreach ($sheet->lines as $line) {
            if ($this->log->quantity($line->item, (int) $place->id) !== $line->expected) {
                throw CountRefused::hasMoved($this->items->one($line->item)->name, $place->address);
            }
        }
        $touched = $this->histories->touchedSinceCount((int) $place->id);
        foreach ($sheet->differing() as $line) {
            $this->putRight($step, $place, $this->items->one($line->item), $line, $reasons[$line->item]);
        }
        $this->entities->persist(new PlaceCount($place, $step->who, $step->at, \count($sheet->lines), \count($sheet->differing()), $touched));
    }

    private function putRight(Step $step, Place $place, Item $item, CountedLine $line, CountReason $reason): void
    {
        if (CountReason::Lost !== $reason) {
            ($this->count)($step, $item, $place, (int) $line->found, $reason->value, $reason->why());

            return;
        }
        $moves = $item->moves(-$line->difference(), $place, $this->places->outside(Outside::Lost), Reason::Lose);
        $this->log->move($step, $moves, null, 'missing at a count');
    }
}
