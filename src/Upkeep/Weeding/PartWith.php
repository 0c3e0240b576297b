<?php

declare(strict_types=1);

namespace App\Upkeep\Weeding;

use App\Platform\Steps\Step;
use App\Platform\Steps\StepRefused;
use App\Room\Catalogue\Item;
use App\Room\Catalogue\KeepHomes;
use App\Room\Log\LogBook;
use App\Room\Stores\Places;
use App\Upkeep\Rounds\Fate;
use App\Upkeep\Rounds\UpkeepRounds;
use Lottel\Core\Log\Reason;

/** What waits in a box is gone for good, or comes home after all. */
final readonly class PartWith
{
    public function __construct(private LogBook $log, private UpkeepRounds $errands, private Places $places, private KeepHomes $homes)
    {
    }

    /** @throws StepRefused if it does not wait in that box */
    public function gone(Step $step, Item $item, Fate $fate): void
    {
        $outside = $fate->outside();
        [$box, $quantity] = $this->waits($item, $fate);
        if (null === $outside) {
            throw WeedingRefused::waitsInNoBox($item->name);
        }
        $this->log->move($step, $item->moves($quantity, $box, $this->places->outside($outside), Reason::Discard), null, 'from the '.$box->address);
    }

    /** @throws StepRefused if it does not wait in that box */
    public function back(Step $step, Item $item, Fate $fate): void
    {
        [$box, $quantity] = $this->waits($item, $fate);
        $this->log->move($step, $item->moves($quantity, $box, $this->homes->homeOrHeap($item), Reason::Move), null, 'stays after all');
    }

    /** @return array{\App\Room\Stores\Place, int} */
    private function waits(Item $item, Fate $fate): array
    {
        $box = $this->errands->parting($fate);
        $quantity = null === $box ? 0 : $this->log->quantity((int) $item->id, (int) $box->id);

        return null === $box || $quantity < 1 ? throw WeedingRefused::waitsInNoBox($item->name) : [$box, $quantity];
    }
}
