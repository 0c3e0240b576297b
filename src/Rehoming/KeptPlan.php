<?php

declare(strict_types=1);

namespace App\Rehoming;

use Lottel\Core\Upkeep\Better\HomesPlan;

/** A plan of better homes as it was found when the log and the records had come so far. */
final readonly class KeptPlan
{
    /** @param array{int, string, int, string} $mark */
    public function __construct(public array $mark, public HomesPlan $plan, public LogSpan $span)
    {
    }
}
