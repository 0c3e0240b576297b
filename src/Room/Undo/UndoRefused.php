<?php

declare(strict_types=1);

namespace App\Room\Undo;

use App\Platform\Steps\StepRefused;

/** What steps of this area are refused for, each with what to do instead. */
final class UndoRefused
{
    public static function othersBelongToIt(): StepRefused
    {
        return new StepRefused('Other things belong to it by now, so it stays as it is. Take those back first.');
    }

    public static function changedSince(string $what): StepRefused
    {
        return new StepRefused(\sprintf('%s was changed since, so this cannot be taken back as a whole. Nothing was changed.', $what));
    }

    public static function isInUse(string $what): StepRefused
    {
        return new StepRefused(\sprintf('%s is in use by now, so it cannot be taken back. Nothing was changed.', $what));
    }

    public static function isGivenToAnother(): StepRefused
    {
        return new StepRefused('An address or a name that would come back belongs to another by now. Nothing was changed.');
    }

    public static function wouldOverlap(string $back, string $there): StepRefused
    {
        return new StepRefused(\sprintf('%s would come back to where %s is now. Nothing was changed.', $back, $there));
    }

    public static function homeIsGone(string $address): StepRefused
    {
        return new StepRefused(\sprintf('%s is no longer in use, so it cannot be a home again. Nothing was changed.', $address));
    }

    public static function isTheOwnersStep(): StepRefused
    {
        return new StepRefused('This is a step of the owner’s; only the owner takes it back.');
    }

    public static function isHalfUndone(string $why): StepRefused
    {
        return new StepRefused($why.' A part of the step was taken back before that; undo it once more when this is settled.');
    }

    public static function nothingToUndo(): StepRefused
    {
        return new StepRefused('There is nothing left to undo in that step.');
    }
}
