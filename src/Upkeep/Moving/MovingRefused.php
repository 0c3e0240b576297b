<?php

declare(strict_types=1);

namespace App\Upkeep\Moving;

use App\Platform\Steps\Refusal;

/** A step of a larger change that cannot be done. */
final class MovingRefused extends \DomainException implements Refusal
{
    public function field(): ?string
    {
        return null;
    }

    public static function isUnderWay(): self
    {
        return new self('The room is moving already. Bring that to its end first.');
    }

    public static function nothingToPack(): self
    {
        return new self('Nothing lies in that furniture that goes into a box.');
    }

    public static function tooMuch(int $things, int $most): self
    {
        $many = \sprintf('%s things at once are too many; %s at the most.', number_format($things), number_format($most));

        return new self($many.' Move some of the furniture first.');
    }

    public static function hasChanged(): self
    {
        return new self('The room has changed since this was worked out. Here is what is right now.');
    }

    public static function boxIsNotEmpty(string $box): self
    {
        return new self(\sprintf('Something is still in %s. Unpack it first.', $box));
    }

    public static function isOneUnit(): self
    {
        return new self('A piece of furniture is not replaced by itself. Choose another one.');
    }

    public static function nothingFits(string $letters): self
    {
        return new self(\sprintf('Nothing goes into %s: no place there takes what lives in one place now.', $letters));
    }

    public static function standsNowhere(string $letters): self
    {
        return new self(\sprintf('%s stands nowhere on the floor plan.', $letters));
    }
}
