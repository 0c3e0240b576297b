<?php

declare(strict_types=1);

namespace App\Upkeep\Rounds;

use App\Platform\Steps\Refusal;

/** A step of an errand that cannot be done. */
final class UpkeepRoundRefused extends \DomainException implements Refusal
{
    public function field(): ?string
    {
        return null;
    }

    public static function noSuchTask(): self
    {
        return new self('This is not on the round. Look at the page anew.');
    }

    public static function isWalkedAlready(string $thing, string $round): self
    {
        return new self(\sprintf('%s is on another round already: “%s”.', $thing, $round));
    }

    public static function isOver(string $name): self
    {
        return new self(\sprintf('“%s” is over already.', $name));
    }

    public static function isDoneAlready(string $what): self
    {
        return new self(\sprintf('%s: this was done already, perhaps by somebody else.', $what));
    }

    public static function isNotThere(string $item, string $place, string $where): self
    {
        return new self(\sprintf('%s is not in %s%s.', $item, $place, '' === $where ? '' : ': it is '.$where));
    }

    public static function isNotInBasket(string $item, string $basket): self
    {
        return new self(\sprintf('%s is not in %s any more.', $item, $basket));
    }

    public static function placeIsGone(string $item, string $place): self
    {
        return new self(\sprintf('%s cannot go to %s: that place is no longer in use. Put it back, or leave it out.', $item, $place));
    }

    public static function basketIsNotEmpty(string $basket): self
    {
        return new self(\sprintf('Something is still in %s. Put it down, or back, before the round ends.', $basket));
    }

    public static function nothingToDo(): self
    {
        return new self('Nothing is left to do for such a round. Look at the page anew.');
    }

    public static function planHasChanged(): self
    {
        return new self('The room has changed since these moves were found, and not all of them are right any more. Here is what is right now.');
    }

    public static function waits(string $basket): self
    {
        return new self(\sprintf('%s is packed and waits until you have moved in. Say so on the page of the move.', ucfirst($basket)));
    }

    public static function allBasketsAreTaken(int $baskets): self
    {
        return new self(\sprintf('All %d baskets are on rounds. End one first.', $baskets));
    }

    public static function belongsHere(string $item, string $place): self
    {
        return new self(\sprintf('%s is at home in %s: it lies where it belongs.', $item, $place));
    }

    public static function basketIsTaken(string $round): self
    {
        return new self(\sprintf('“%s” has its basket now: end that round first.', $round));
    }
}
