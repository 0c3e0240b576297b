<?php

declare(strict_types=1);

namespace App\Room\Labels;

use App\Platform\Steps\StepRefused;

/** What steps of this area are refused for, each with what to do instead. */
final class LabelsRefused
{
    public static function sheetIsThere(string $name): StepRefused
    {
        return new StepRefused(\sprintf('There is a sheet called %s already.', $name));
    }
}
