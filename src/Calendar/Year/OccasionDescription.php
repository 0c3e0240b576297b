<?php

declare(strict_types=1);

namespace App\Calendar\Year;

use Lottel\Core\Year\OccasionKind;
use Lottel\Core\Year\Recurrence;

/** What a person says about an occasion. */
final readonly class OccasionDescription
{
    /** @param string $person empty where it is of nobody in particular */
    public function __construct(
        public OccasionKind $kind,
        public string $name,
        public Recurrence $on,
        public string $person = '',
        public string $wants = '',
        public int $pieces = 1,
        public int $daysAhead = 0,
        public int $lasts = 1,
    ) {
    }
}
