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

    /** Whether so much of a thing that is counted so can be taken instead of what is $wanted, without asking how much. */
    public function canReplace(self $wanted): bool
    {
        return $this === $wanted || $this->movesWhole();
    }

    /** Whether it is one thing, which is there or not. */
    public function isSingle(): bool
    {
        return self::One === $this;
    }

    /** Whether it is how full a container is. */
    public function isLevel(): bool
    {
        return self::Level === $this;
    }

    /** Returns how a thing is counted, as it is said of it: “it is counted …”. */
    public function inWords(): string
    {
        return match ($this) {
            self::One => 'as one thing',
            self::Count => 'by the piece',
            self::Length => 'by length',
            self::Level => 'by how full it is',
        };
    }

    /** Returns what a person is asked for a quantity. */
    public function asked(): string
    {
        return match ($this) {
            self::One, self::Count => 'How many',
            self::Length => 'How long',
            self::Level => 'How full',
        };
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
