<?php

declare(strict_types=1);

namespace Lottel\Core\Log;

/** A movement that the laws of the log refuse; the message tells a person why and what to do. */
final class RefusedMovement extends \DomainException
{
    /** How much there is instead, where that is the reason; the message leaves it out. */
    private ?int $there = null;
    private Tracking $tracking = Tracking::Count;
    private string $place = '';

    public static function quantityOutOfRange(int $most): self
    {
        return new self(match ($most) {
            1 => 'There is only one of this; the quantity can only be 1.',
            Tracking::FULL => 'Write how full it is: full, half, 3/4, or eighths from 1 to 8.',
            default => \sprintf('The quantity must be a whole number from 1 to %s.', number_format($most)),
        });
    }

    public static function notAWholeNumber(): self
    {
        return new self('Write the quantity as a whole number, such as 3.');
    }

    public static function notALevel(): self
    {
        return new self('Write how full it is: full, half, 3/4, or eighths from 1 to 8.');
    }

    public static function noLength(): self
    {
        return new self('More than nothing, please, and no more than 100 m at once.');
    }

    public static function goesNowhere(string $place): self
    {
        return new self(\sprintf('It is in %s already.', $place));
    }

    public static function staysOutside(): self
    {
        return new self('A movement must touch a place in the room.');
    }

    public static function notEnough(string $place, int $there, Tracking $tracking = Tracking::Count): self
    {
        $refused = new self(0 === $there ? \sprintf('It is not in %s now.', $place) : \sprintf('There is not so much of it in %s.', $place));
        [$refused->place, $refused->there, $refused->tracking] = [$place, $there, $tracking];

        return $refused;
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

    public static function countedOtherwise(): self
    {
        return new self('This has been counted in another way since. Count it now instead of putting this line right.');
    }

    public static function reasonDoesNotLink(Reason $reason, string $from, string $to): self
    {
        return new self(\sprintf('Nothing goes from %s to %s for “%s”.', $from, $to, $reason->value));
    }

    public static function placeIsRetired(string $place): self
    {
        return new self(\sprintf('%s is no longer in use; nothing goes into it or comes out of it.', $place));
    }

    public static function notItsTray(string $tray): self
    {
        return new self(\sprintf('%s belongs to another kit, or to none.', ucfirst($tray)));
    }

    /** Returns the message with how much there is, in words of the room. */
    public function inWords(QuantityText $quantities): string
    {
        if (null === $this->there || 0 === $this->there) {
            return $this->getMessage();
        }
        $there = $quantities->print($this->there, $this->tracking);

        return Tracking::Count === $this->tracking
            ? \sprintf('There %s only %s in %s.', 1 === $this->there ? 'is' : 'are', $there, $this->place)
            : \sprintf('There is only so much in %s: %s.', $this->place, $there);
    }
}
