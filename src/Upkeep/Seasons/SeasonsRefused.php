<?php

declare(strict_types=1);

namespace App\Upkeep\Seasons;

use App\Platform\Steps\StepRefused;

/** What steps of this area are refused for, each with what to do instead. */
final class SeasonsRefused
{
    public static function isForNewThings(string $place): StepRefused
    {
        return new StepRefused(\sprintf('New things wait in %s until they are filed. Choose another place for the season at hand.', $place));
    }
}
