<?php

declare(strict_types=1);

namespace Lottel\Core\Kit;

/** What became of a line of a kit's list. */
enum NeedState: string
{
    case Open = 'open';
    case Taken = 'taken';
    case Fewer = 'fewer';
    case NotHere = 'not here';
    case Replaced = 'replaced';

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
