<?php

declare(strict_types=1);

namespace Lottel\Core\Log;

/** A thing cannot be counted in another way as it was said; the message tells a person why and what to do. */
final class RefusedRetracking extends \DomainException
{
    public static function staysTheSame(): self
    {
        return new self('It is counted in this way already.');
    }

    public static function factorIsNothing(): self
    {
        return new self('Say how much of the one is how much of the other; both are more than nothing.');
    }

    public static function isNotEven(string $place): self
    {
        return new self(\sprintf('What is in %s does not come out even. Count it there first, then change how it is counted.', $place));
    }

    public static function cannotBeCountedSo(string $place): self
    {
        return new self(\sprintf('What is in %s cannot be counted so: it would be more than one thing, or more than full.', $place));
    }

    public static function isInSeveralPlaces(): self
    {
        return new self('A single thing is in one place; this is in several. Bring it together first.');
    }
}
