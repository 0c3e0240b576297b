<?php

declare(strict_types=1);

namespace App\Catalogue;

use App\Log\LogBook;
use App\Steps\Step;
use App\Steps\StepRefused;
use App\Stores\Place;
use Lottel\Core\Log\Outside;
use Lottel\Core\Log\Reason;

/** Somebody counted what is in a place: the difference to what the log believed is a movement of its own, with its reason. */
final readonly class CountThing
{
    public function __construct(private LogBook $log)
    {
    }

    /** Returns how much more there was than the log believed, below 0 where it was less. */
    public function __invoke(Step $step, Item $item, Place $place, int $counted, string $why): int
    {
        if (!$place->forLog()->isStore() || null !== $place->retiredAt) {
            throw StepRefused::notAPlaceOfStorage(Place::shownAddress($place->address));
        }
        $difference = $counted - $this->log->quantity($item, $place);
        $outside = $this->log->outside(Outside::Counted);
        $note = '' === $why ? 'counted' : 'counted: '.$why;
        if ($difference > 0) {
            $this->log->move($step, $item, $difference, $outside, $place, Reason::Count, null, $note);
        } elseif ($difference < 0) {
            $this->log->move($step, $item, -$difference, $place, $outside, Reason::Count, null, $note);
        }

        return $difference;
    }
}
