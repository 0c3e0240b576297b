<?php

declare(strict_types=1);

namespace Lottel\Core\Round;

/** What a round is walked for. */
enum Purpose: string
{
    case Pull = 'pull';
    case PutBack = 'return';
    case Count = 'count';
    case PutAway = 'put away';

    /** Whether hands are full at its beginning, so that what is heavy or hot is dealt with first; else it comes last. */
    public function beginsLoaded(): bool
    {
        return self::PutBack === $this || self::PutAway === $this;
    }
}
