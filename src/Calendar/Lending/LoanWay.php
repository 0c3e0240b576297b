<?php

declare(strict_types=1);

namespace App\Calendar\Lending;

/** Whose a thing is that is not at home, or not at its owner’s. */
enum LoanWay: string
{
    case Lent = 'lent';
    case Borrowed = 'borrowed';

    /** Returns the word between thing and person, as in “lent to Pelle” and “borrowed from Pelle”. */
    public function preposition(): string
    {
        return self::Lent === $this ? 'to' : 'from';
    }
}
