<?php

declare(strict_types=1);

namespace App\Upkeep\Restock;

use App\Platform\Steps\StepRefused;

/** What steps of this area are refused for, each with what to do instead. */
final class RestockRefused
{
    public static function cameMeanwhile(string $thing): StepRefused
    {
        return new StepRefused(\sprintf('%s came in since this page was made: see how much of it is there now before more is written down.', $thing));
    }

    public static function isNoStock(string $name): StepRefused
    {
        return new StepRefused(\sprintf('%s is one thing: there is no stock of it.', $name));
    }
}
