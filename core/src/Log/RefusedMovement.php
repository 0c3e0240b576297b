<?php

declare(strict_types=1);

namespace Lottel\Core\Log;

/** A movement that the laws of the log refuse; the message tells a person why and what to do. */
final class RefusedMovement extends \DomainException
{
    public static function quantityOutOfRange(int $most): self
    {
        return new self(1 === $most ? 'There is only one of this; the quantity can only be 1.' : \sprintf('The quantity must be a whole number from 1 to %s.', number_format($most)));
    }

    public static function notAWholeNumber(): self
    {
        return new self('Write the quantity as a whole number, such as 3.');
    }

    public static function goesNowhere(string $place): self
    {
        return new self(\sprintf('It is in %s already.', $place));
    }

    public static function staysOutside(): self
    {
        return new self('A movement must touch a place in the room.');
    }

    public static function notEnough(string $place, int $there): self
    {
        return new self(0 === $there ? \sprintf('It is not in %s now.', $place) : \sprintf('There are only %s in %s.', number_format($there), $place));
    }

    public static function onlyOneThing(): self
    {
        return new self('This is a single thing and is in another place already; it cannot be in two places.');
    }

    public static function alreadyReversed(): self
    {
        return new self('This step has been put right already.');
    }

    public static function isItselfAReversal(): self
    {
        return new self('This step puts another one right; log a new movement instead.');
    }
}
