<?php

declare(strict_types=1);

namespace Lottel\Core\Kit;

use Lottel\Core\Log\Tracking;

/** What became of a line of a kit's list. */
enum NeedState: string
{
    case Open = 'open';
    case Taken = 'taken';
    case Fewer = 'fewer';
    case NotHere = 'not here';
    case Replaced = 'replaced';

    /** Returns what a line is when $taken of $wanted are on the tray: a thing that is pulled whole is wanted once. */
    public static function settled(Tracking $tracking, int $wanted, int $taken): self
    {
        return $taken >= ($tracking->movesWhole() ? 1 : $wanted) ? self::Taken : self::Open;
    }

    /** Returns how much is still to be taken, 0 where the line is settled. */
    public function left(Tracking $tracking, int $wanted, int $taken): int
    {
        return match (true) {
            self::Open !== $this => 0,
            $tracking->movesWhole() => 0 === $taken ? 1 : 0,
            default => max(0, $wanted - $taken),
        };
    }

    /** Returns the state as it is said of a line. */
    public function inWords(): string
    {
        return self::NotHere === $this ? 'done without' : $this->value;
    }

    /** Returns what a line becomes when $taken of $wanted are on the tray and the person says that is all. */
    public static function after(int $wanted, int $taken): self
    {
        return match (true) {
            $taken >= $wanted => self::Taken,
            $taken > 0 => self::Fewer,
            default => self::NotHere,
        };
    }
}
