<?php

declare(strict_types=1);

namespace App\Calendar\Year;

use App\Platform\Steps\StepRefused;

/** What steps of this area are refused for, each with what to do instead. */
final class YearRefused
{
    public static function occasionIsNotThen(string $occasion): StepRefused
    {
        return new StepRefused(\sprintf('%s is not on that day any more; this is how it stands.', $occasion));
    }

    public static function occasionHasKit(string $occasion, string $kit): StepRefused
    {
        return new StepRefused(\sprintf('“%s” is planned for %s. Take that kit off first, or let the date be.', $kit, $occasion));
    }

    public static function isKeptForMore(string $piece): StepRefused
    {
        return new StepRefused(\sprintf('%s would be kept for more days than there are of it: see for which on the shelf, and put one back first.', $piece));
    }
}
