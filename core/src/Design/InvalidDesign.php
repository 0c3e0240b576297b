<?php

declare(strict_types=1);

namespace Lottel\Core\Design;

/** A design that cannot be; the message says why, and the field where. */
final class InvalidDesign extends \DomainException
{
    private function __construct(public readonly string $field, string $message)
    {
        parent::__construct($message);
    }

    public static function empty(string $field): self
    {
        return new self($field, 'A side must be longer than nothing.');
    }

    public static function revealTakesAll(string $field): self
    {
        return new self($field, 'So wide a reveal leaves nothing of the layer.');
    }

    public static function largerThanBelow(string $field): self
    {
        return new self($field, 'This layer is larger than what it lies on.');
    }

    public static function hangsOver(string $field): self
    {
        return new self($field, 'There it hangs over the edge of what it lies on.');
    }

    public static function windowOutside(string $field): self
    {
        return new self($field, 'The window is not inside its frame.');
    }

    public static function outsidePage(string $field): self
    {
        return new self($field, 'There it lies outside the page.');
    }

    public static function quantityIsOut(int $most): self
    {
        return new self('quantity', \sprintf('From 1 to %s of them.', number_format($most)));
    }

    public static function tooManyParts(int $most): self
    {
        return new self('', \sprintf('A design has %d parts at the most.', $most));
    }

    public static function hasNoSuchPart(): self
    {
        return new self('', 'The design has no such part any more. Here is how it stands now.');
    }

    public static function isNoRows(): self
    {
        return new self('gutter', 'These lie in no rows and columns, so that no equal gutters can be made. Move one of them first.');
    }

    public static function hasNoRoom(string $field, string $between): self
    {
        return new self($field, 'With so much between them they do not fit '.$between.'.');
    }

    public static function cannotTurn(): self
    {
        return new self('', 'Only a square page can be turned; mirror this one.');
    }

    public static function isNotRead(): self
    {
        return new self('', 'This is no design that can be read.');
    }
}
