<?php

declare(strict_types=1);

namespace App\Calendar\Year;

use Lottel\Core\Year\Day;

/** Something besides kits and occasions that is to be on a day. */
final readonly class DayNote
{
    /**
     * @param string $key what it is, the same in every calendar that is given out
     * @param string $route the page about it
     * @param array<string, int> $of what that page is of
     */
    public function __construct(
        public string $key,
        public Day $day,
        public string $text,
        public string $route,
        public array $of = [],
        public bool $isLate = false,
    ) {
    }
}
