<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use App\Platform\Steps\StepRefused;

/** What steps of this area are refused for, each with what to do instead. */
final class CatalogueRefused
{
    public static function isForGrownUps(string $name): StepRefused
    {
        return new StepRefused(\sprintf('%s is not for children to take: ask a grown-up for it.', $name));
    }

    public static function isNoInk(string $name): StepRefused
    {
        return new StepRefused(\sprintf('%s is no ink.', $name));
    }

    public static function itsOwnCompanion(string $name): StepRefused
    {
        return new StepRefused(\sprintf('%s is always with itself; choose another thing.', $name));
    }

    public static function hasMoved(string $item): StepRefused
    {
        return new StepRefused(\sprintf('%s has moved already, and the log keeps it. Give it away or count it down to nothing instead.', $item));
    }

    public static function isOnAList(string $item, string $kit): StepRefused
    {
        return new StepRefused(\sprintf('%s is on the list of “%s”. Take it off that list first.', $item, $kit));
    }

    public static function livesElsewhere(string $name, string $address): StepRefused
    {
        return new StepRefused(\sprintf('%s does not live in %s. Take it in as a second one, or leave it out.', $name, $address));
    }

    public static function nothingTouched(): StepRefused
    {
        return new StepRefused('Touch a thing in the photo, and name it.');
    }

    public static function everythingLeftOut(): StepRefused
    {
        return new StepRefused('Every line is left out, so that nothing would be put in.');
    }

    public static function nothingToChange(): StepRefused
    {
        return new StepRefused('Say what is to change: a maker, a theme, a kind, a collection, a season, or a new home.');
    }

    public static function noSizeIsWritten(): StepRefused
    {
        return new StepRefused('Write down what at least one of them cuts.');
    }

    public static function trackingIsKept(): StepRefused
    {
        return new StepRefused('This has moved already. Say under “Count it in another way” how much of the one is how much of the other.');
    }

    /** @param string $how such as “lent to Pelle” */
    public static function isOnLoan(string $item, string $how): StepRefused
    {
        return new StepRefused(\sprintf('%s is %s. When that is settled, change how it is counted.', $item, $how));
    }

    public static function bringHomeFirst(string $item, string $tray): StepRefused
    {
        return new StepRefused(\sprintf('%s is on %s. Return it first, then change how it is counted.', $item, $tray));
    }

    public static function notLost(string $item): StepRefused
    {
        return new StepRefused(\sprintf('%s is not marked lost any more.', $item));
    }
}
