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

    /** Returns the field alone, such as `reveal`; of a part as a whole its size. */
    public function column(): string
    {
        return str_ends_with($this->field, ']') ? 'size' : substr((string) strrchr('.'.$this->field, '.'), 1);
    }

    public static function empty(string $field, string $name = 'It'): self
    {
        return new self($field, \sprintf('%s has a side that is nothing.', $name));
    }

    public static function revealTakesAll(string $field, string $name): self
    {
        return new self($field, \sprintf('So wide a reveal leaves nothing of the %s.', $name));
    }

    public static function largerThanBelow(string $field, string $name): self
    {
        return new self($field, \sprintf('The %s is larger than what it lies on.', $name));
    }

    public static function hangsOver(string $field, string $name): self
    {
        return new self($field, \sprintf('There the %s hangs over the edge of what it lies on.', $name));
    }

    public static function windowOutside(string $field, string $name): self
    {
        return new self($field, \sprintf('The window is not inside the %s.', $name));
    }

    public static function outsidePage(string $field, string $name): self
    {
        return new self($field, \sprintf('There %s lies outside the page.', $name));
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

    public static function isForOthers(Form $form): self
    {
        return new self('layout', \sprintf('This layout is one for a %s.', $form->one()));
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
