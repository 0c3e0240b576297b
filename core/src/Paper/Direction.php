<?php

declare(strict_types=1);

namespace Lottel\Core\Paper;

/** Which way the pattern or grain of a paper runs. */
enum Direction: string
{
    case None = 'none';
    case Width = 'w';
    case Height = 'h';

    /** Whether a piece with this direction may lie so on paper that has one: a direction lies along the paper's, where both have one. */
    public function mayLie(self $paper, bool $isTurned): bool
    {
        return self::None === $this || self::None === $paper || ($this === $paper) === !$isTurned;
    }

    public function inWords(): string
    {
        return match ($this) {
            self::None => 'no way',
            self::Width => 'along the width',
            self::Height => 'along the height',
        };
    }

    public function turned(): self
    {
        return match ($this) {
            self::None => self::None,
            self::Width => self::Height,
            self::Height => self::Width,
        };
    }
}
