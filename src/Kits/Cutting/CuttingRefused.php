<?php

declare(strict_types=1);

namespace App\Kits\Cutting;

use App\Platform\Steps\StepRefused;

/** What steps of this area are refused for, each with what to do instead. */
final class CuttingRefused
{
    public static function nothingIsHalfCut(): StepRefused
    {
        return new StepRefused('Nothing lies there half cut any more; this is how it stands.');
    }

    public static function isNotOnTheTable(): StepRefused
    {
        return new StepRefused('That sheet is not on the table any more, or was cut in the meantime; this is how it stands.');
    }

    public static function isNotUnderTheBlade(string $what): StepRefused
    {
        return new StepRefused(\sprintf('%s is not what lies under the blade. Scan that paper, or the trimmer.', $what));
    }

    public static function isScoredAlready(string $piece): StepRefused
    {
        return new StepRefused(\sprintf('So many of “%s” are not left to be scored; this is how it stands.', $piece));
    }

    public static function isCutAlready(string $piece, int $there): StepRefused
    {
        return new StepRefused(\sprintf('%d of “%s” are cut or being cut already; it cannot be fewer.', $there, $piece));
    }
}
