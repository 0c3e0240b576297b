<?php

declare(strict_types=1);

namespace Lottel\Core\Log;

/** How an item is counted. Quantities are whole numbers: things, pieces, ticks of length, or eighths of a full container. */
enum Tracking: string
{
    case One = 'one';
    case Count = 'count';
    case Length = 'length';
    case Level = 'level';

    public const FULL = 8;
    public const MOST = 1_000_000_000;

    /**
     * Checks a quantity that is to move.
     *
     * @throws RefusedMovement if it is below 1, above a thousand million, more than one single thing, or more than full
     */
    public function check(int $quantity): void
    {
        $most = match ($this) {
            self::One => 1,
            self::Level => self::FULL,
            default => self::MOST,
        };
        if ($quantity < 1 || $quantity > $most) {
            throw RefusedMovement::quantityOutOfRange($most);
        }
    }

    /** Whether it is a number of pieces, and not a length or a level. */
    public function isPieces(): bool
    {
        return self::One === $this || self::Count === $this;
    }

    /** Whether a pull takes all that is there: a single thing, or a container with what is left in it. */
    public function movesWhole(): bool
    {
        return self::One === $this || self::Level === $this;
    }
}
