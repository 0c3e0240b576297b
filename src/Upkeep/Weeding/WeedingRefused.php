<?php

declare(strict_types=1);

namespace App\Upkeep\Weeding;

use App\Platform\Steps\StepRefused;

/** What steps of this area are refused for, each with what to do instead. */
final class WeedingRefused
{
    public static function waitsInNoBox(string $item): StepRefused
    {
        return new StepRefused(\sprintf('%s does not wait in that box any more.', $item));
    }
}
