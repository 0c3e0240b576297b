<?php

declare(strict_types=1);

namespace App\Kits\Making;

use App\Platform\Steps\StepRefused;

/** What steps of this area are refused for, each with what to do instead. */
final class MakingRefused
{
    public static function isNotUsedUp(string $name): StepRefused
    {
        return new StepRefused(\sprintf('%s is not used up by the work; it goes home.', $name));
    }

    public static function pieceIsDone(string $piece, int $which): StepRefused
    {
        return new StepRefused(\sprintf('%s %d was done in the meantime, or taken back; this is how it stands now.', ucfirst($piece), $which));
    }

    public static function nothingIsOtherwise(): StepRefused
    {
        return new StepRefused('The bench took what the design says, or took it back in the meantime.');
    }

    public static function stepIsGone(): StepRefused
    {
        return new StepRefused('The design has no such step any more, or makes fewer by now; this is how it stands.');
    }
}
