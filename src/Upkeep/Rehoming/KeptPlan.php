<?php

declare(strict_types=1);

namespace App\Upkeep\Rehoming;

use Lottel\Core\Upkeep\Better\HomesPlan;

/** A plan of better homes, with the stretch of the log that it was read from. */
final readonly class KeptPlan
{
    public function __construct(public HomesPlan $plan, public LogSpan $span)
    {
    }
}
