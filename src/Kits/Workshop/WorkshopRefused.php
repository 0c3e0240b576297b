<?php

declare(strict_types=1);

namespace App\Kits\Workshop;

use App\Platform\Steps\StepRefused;

/** What steps of this area are refused for, each with what to do instead. */
final class WorkshopRefused
{
    public static function bagIsPacked(int $number): StepRefused
    {
        return new StepRefused(\sprintf('Bag %d is packed already.', $number));
    }

    public static function bagIsNotPacked(int $number): StepRefused
    {
        return new StepRefused(\sprintf('Bag %d is not packed.', $number));
    }

    public static function noSuchBag(int $number, int $bags): StepRefused
    {
        return new StepRefused(\sprintf('There is no bag %d; there are %d of them.', $number, $bags));
    }

    public static function nothingToPack(string $kit): StepRefused
    {
        return new StepRefused(\sprintf('“%s” is on no tray; pull it first, then pack its bags.', $kit));
    }
}
