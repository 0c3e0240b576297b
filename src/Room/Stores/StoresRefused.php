<?php

declare(strict_types=1);

namespace App\Room\Stores;

use App\Platform\Steps\StepRefused;

/** What steps of this area are refused for, each with what to do instead. */
final class StoresRefused
{
    public static function isHomeOfAFolder(string $address, string $folder, string $kit): StepRefused
    {
        $says = '%s with “%s” stands in %s. Take the kit up, or say where else its folder stands.';

        return new StepRefused(\sprintf($says, ucfirst($folder), $kit, $address));
    }

    public static function addressIsTaken(string $address): StepRefused
    {
        return new StepRefused(\sprintf('There is a place %s already.', $address));
    }

    public static function hasNoFront(string $address): StepRefused
    {
        return new StepRefused(\sprintf('%s lies inside another place. Divide it instead.', $address));
    }

    public static function hasNoFrontToMove(string $address): StepRefused
    {
        return new StepRefused(\sprintf('%s is part of its unit and stays where it is. Move what is in it instead.', $address));
    }

    public static function hasNoPlaces(string $letters): StepRefused
    {
        return new StepRefused(\sprintf('%s has no places any more.', $letters));
    }

    public static function withItself(string $address): StepRefused
    {
        return new StepRefused(\sprintf('%s cannot be made one with itself.', $address));
    }

    public static function isNotEmpty(string $address): StepRefused
    {
        return new StepRefused(\sprintf('%s is not empty, or is still somebody’s home. Move what belongs there first.', $address));
    }

    public static function otherUnit(string $address, string $letters): StepRefused
    {
        return new StepRefused(\sprintf('%s would be in another unit. This one’s addresses begin with %s.', $address, $letters));
    }
}
