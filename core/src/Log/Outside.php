<?php

declare(strict_types=1);

namespace Lottel\Core\Log;

/**
 * The outside places: where things come from and where they go for good; `counted` takes up what a count puts right, `borrowed` is
 * whatever belongs to others.
 */
enum Outside: string
{
    case Bought = 'bought';
    case Given = 'given';
    case MadeHere = 'made here';
    case UsedUp = 'used up';
    case Recycled = 'recycled';
    case GivenAway = 'given away';
    case Lost = 'lost';
    case Sold = 'sold';
    case Counted = 'counted';
    case Borrowed = 'borrowed';

    /** @return list<self> the places that things come from to stay */
    public static function sources(): array
    {
        return [self::Bought, self::Given, self::MadeHere];
    }
}
