<?php

declare(strict_types=1);

namespace App\Platform\Steps;

/** A step that makes no sense just now; the message tells a person why and what to do. */
final class StepRefused extends \DomainException implements Refusal
{
    public function field(): ?string
    {
        return null;
    }

    public static function collectionIsLarge(string $collection, int $things, int $most): self
    {
        return new self(\sprintf('“%s” has %d things; at once %d of a collection can be taken. Choose them one by one.', $collection, $things, $most));
    }

    public static function sentBySomebodyElse(): self
    {
        return new self('Somebody else has sent this form already, so nothing was written. Open its page again.');
    }

    public static function goesOnElsewhere(): self
    {
        return new self('This goes on in another window already, or was taken back in the meantime. Open its page again.');
    }

    public static function notAPlaceOfStorage(string $place): self
    {
        return new self(\sprintf('Nothing is kept in “%s”. Choose a drawer, or what is not filed.', $place));
    }

    public static function hasNoSize(string $name): self
    {
        return new self(\sprintf('How large is a sheet of %s? Say that first.', $name));
    }

    public static function isNoPaper(string $name): self
    {
        return new self(\sprintf('%s is no paper.', $name));
    }

    public static function nothingChosen(): self
    {
        return new self('Nothing is chosen yet.');
    }

    public static function intoItself(string $address, string $outer): self
    {
        return new self(\sprintf('%s cannot go into %s: that lies inside it.', $address, $outer));
    }
}
