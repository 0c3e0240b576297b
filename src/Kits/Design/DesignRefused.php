<?php

declare(strict_types=1);

namespace App\Kits\Design;

use App\Platform\Steps\StepRefused;

/** What steps of this area are refused for, each with what to do instead. */
final class DesignRefused
{
    public static function hasADesign(string $kit): StepRefused
    {
        return new StepRefused(\sprintf('“%s” has a design already; here it is.', $kit));
    }

    public static function designChanged(): StepRefused
    {
        return new StepRefused(
            'Somebody has changed this design since. It is drawn as it stands now; what you typed is still there. Press again if it still holds.',
        );
    }
}
