<?php

declare(strict_types=1);

namespace App\Errands;

use Lottel\Core\Log\Outside;

/** What becomes of a thing that is looked at on a weeding round. */
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

    /** The one key that does it. */
    public function key(): string
    {
        return substr($this->value, 0, 1);
    }

    /** Returns what is said of it afterwards. */
    public function said(): string
    {
        return match ($this) {
            self::Keep => 'stays',
            self::GiveAway => 'is given away',
            self::Recycle => 'is recycled',
            self::Sell => 'is sold',
        };
    }
}
