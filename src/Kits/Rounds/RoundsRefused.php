<?php

declare(strict_types=1);

namespace App\Kits\Rounds;

use App\Platform\Steps\StepRefused;

/** What steps of this area are refused for, each with what to do instead. */
final class RoundsRefused
{
    public static function takesNoMore(string $kit, bool $isParked): StepRefused
    {
        return new StepRefused(\sprintf(
            $isParked
                ? '“%s” waits in its folder: take it up first, or choose another kit.'
                : '“%s” is going home: choose another kit, or pull for it again first.',
            $kit,
        ));
    }

    public static function nowhereToBeFound(string $item): StepRefused
    {
        return new StepRefused(\sprintf('%s is in no drawer now, as far as the log knows.', $item));
    }

    public static function isHalfCut(string $paper): StepRefused
    {
        return new StepRefused(\sprintf('%s lies there half cut. Go on at the cutting table, or say there that it stays as it is; then it goes home.', $paper));
    }

    public static function isTaken(string $item, string $who, string $tray): StepRefused
    {
        return new StepRefused(\sprintf('%s has taken %s already; it is on %s. Nothing more of it is to be taken.', $who, $item, $tray));
    }

    public static function isSettled(string $item): StepRefused
    {
        return new StepRefused(\sprintf('%s is settled already; nothing more of it is to be taken.', $item));
    }

    public static function moreThanWanted(string $item, string $left): StepRefused
    {
        return new StepRefused(\sprintf('Only %s of %s is still wanted. Change the list first if you need more.', $left, $item));
    }

    public static function careIsOpen(string $do): StepRefused
    {
        return new StepRefused('Tick what has been done first: '.$do);
    }
}
