<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use App\Platform\Steps\Step;
use App\Platform\Steps\StepRefused;
use App\Room\Log\LogBook;
use App\Room\Stores\Place;
use App\Room\Stores\Places;
use Lottel\Core\Furniture\RetiredAddress;
use Lottel\Core\Log\Outside;
use Lottel\Core\Log\Reason;
use Lottel\Core\Log\Why;

/** Somebody counted what is in a place: the difference to what the log believed is a movement of its own, with its reason. */
final readonly class CountThing
{
    public function __construct(private LogBook $log, private Places $places)
    {
    }

    /**
     * Returns how much more there was than the log believed, below 0 where it was less.
     *
     * @param string $reason in words, may be empty
     * @param Why|null $why what the difference stands for
     */
    public function __invoke(Step $step, Item $item, Place $place, int $counted, string $reason, ?Why $why = null): int
    {
        if (!$place->isStoreInUse()) {
            throw StepRefused::notAPlaceOfStorage(RetiredAddress::onLabel($place->address));
        }
        $difference = $counted - $this->log->quantity((int) $item->id, (int) $place->id);
        $outside = $this->places->outside(Outside::Counted);
        $note = '' === $reason ? 'counted' : 'counted: '.$reason;
        [$from, $to] = $difference > 0 ? [$outside, $place] : [$place, $outside];
        if (0 !== $difference) {
            $this->log->move($step, $item->moves(abs($difference), $from, $to, Reason::Count), null, $note, $why);
        }

        return $difference;
    }
}
