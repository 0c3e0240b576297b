<?php

declare(strict_types=1);

namespace App\Room\Log;

use App\Platform\Steps\StepRefused;

/** What steps of this area are refused for, each with what to do instead. */
final class LogRefused
{
    public static function isForGrownUps(string $name): StepRefused
    {
        return new StepRefused(\sprintf('%s is not for children to take: ask a grown-up for it.', $name));
    }
}
