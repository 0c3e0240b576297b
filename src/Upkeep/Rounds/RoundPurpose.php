<?php

declare(strict_types=1);

namespace App\Upkeep\Rounds;

/** What an errand is walked for. */
enum RoundPurpose: string
{
    case Rehome = 'rehome';
    case Search = 'search';
    case Count = 'count';
    case PutAway = 'put away';
    case Weed = 'weed';
    case Season = 'season';
    case Box = 'box';
    case All = 'all';

    public function words(): string
    {
        return match ($this) {
            self::Rehome => 'Re-homing round',
            self::Search => 'Search round',
            self::Count => 'Count round',
            self::PutAway => 'Put-away round',
            self::Weed => 'Weeding round',
            self::Season => 'Season round',
            self::Box => 'Moving box',
            self::All => 'Upkeep round',
        };
    }
}
