<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep\Seasons;

use Lottel\Core\Year\Day;

/** A date for which seasonal things are wanted, such as Midwinter or the due date of a kit; what it is called tells which. */
final readonly class SeasonDate
{
    /** @param Day $until its last day */
    public function __construct(public string $name, public Day $from, public Day $until)
    {
    }

    /** @param string $theme of a thing */
    public function isAbout(string $theme): bool
    {
        $word = rtrim(mb_strtolower(trim($theme)), 's');

        return '' !== $word && str_contains(mb_strtolower($this->name), $word);
    }
}
