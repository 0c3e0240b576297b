<?php

declare(strict_types=1);

namespace App\Kits\Kits;

use App\Platform\Steps\StepRefused;

/** What steps of this area are refused for, each with what to do instead. */
final class KitsRefused
{
    public static function nothingOfCollection(string $collection): StepRefused
    {
        return new StepRefused(\sprintf('Nothing of “%s” is in a drawer that is not on the list already.', $collection));
    }

    public static function isParked(string $kit, string $folder): StepRefused
    {
        return new StepRefused(\sprintf('“%s” waits in %s already.', $kit, $folder));
    }

    public static function isNotParked(string $kit, string $tray): StepRefused
    {
        return new StepRefused(\sprintf('“%s” is on %s already.', $kit, $tray));
    }

    public static function allFoldersAreTaken(int $folders): StepRefused
    {
        return new StepRefused(\sprintf('All %d folders are in use. Take up a kit, or bring one home first.', $folders));
    }

    public static function isForCutting(string $item, int $sheets): StepRefused
    {
        return new StepRefused(\sprintf('%d of %s are for the cuts of this kit. Change its pieces, and the list follows.', $sheets, $item));
    }

    public static function isOnTheTray(string $item): StepRefused
    {
        return new StepRefused(\sprintf('%s is on the tray already. Return it, then take it off the list.', $item));
    }

    public static function isNotPlanned(string $kit): StepRefused
    {
        return new StepRefused(\sprintf('“%s” has been pulled; it can be closed, not deleted.', $kit));
    }

    public static function trayIsGone(): StepRefused
    {
        return new StepRefused('That kit has left its tray since; pull the thing anew instead.');
    }

    public static function trayHasAnother(): StepRefused
    {
        return new StepRefused('Another kit is on that tray by now. Nothing was changed.');
    }
}
