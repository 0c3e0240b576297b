<?php

declare(strict_types=1);

namespace App\Calendar\Year;

use Lottel\Core\Year\Day;
use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;

/** Whoever knows of things that are to be on a day. */
#[AutoconfigureTag]
interface DayNotes
{
    /** @return list<DayNote> those of some days, in their order */
    public function between(Day $first, Day $last, Day $today): array;
}
