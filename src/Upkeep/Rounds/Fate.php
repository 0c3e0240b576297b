<?php

declare(strict_types=1);

namespace App\Upkeep\Rounds;

use App\Room\Stores\Place;
use Lottel\Core\Log\Outside;

/** What becomes of a thing that is looked at on a weeding round: it stays, or waits in a box until it is gone for good. */
enum Fate: string
{
    case Keep = 'keep';
    case GiveAway = 'give away';
    case Recycle = 'recycle';
    case Sell = 'sell';

    /** Where it goes for good; null where it stays. */
    public function outside(): ?Outside
    {
        return match ($this) {
            self::Keep => null,
            self::GiveAway => Outside::GivenAway,
            self::Recycle => Outside::Recycled,
            self::Sell => Outside::Sold,
        };
    }

    /** The box in which it waits until then; null where it stays. */
    public function box(): ?string
    {
        return match ($this) {
            self::Keep => null,
            self::GiveAway => Place::PARTING[0],
            self::Recycle => Place::PARTING[1],
            self::Sell => Place::PARTING[2],
        };
    }

    /** Returns what is said of it when it is gone. */
    public function gone(): string
    {
        return match ($this) {
            self::Keep => 'here',
            self::GiveAway => 'given away',
            self::Recycle => 'recycled',
            self::Sell => 'sold',
        };
    }

    /** The one key that does it. */
    public function key(): string
    {
        return substr($this->value, 0, 1);
    }

    /** Returns what is said of it afterwards. */
    public function said(): string
    {
        return null === $this->box() ? 'stays' : 'is in the '.$this->box();
    }
}
