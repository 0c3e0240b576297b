<?php

declare(strict_types=1);

namespace Lottel\Core\Paper;

final class InvalidDesign extends \InvalidArgumentException
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

    public static function windowOutside(string $field): self
    {
        return new self($field, 'The window is not inside its panel.');
    }

    public static function unknownPocket(string $field): self
    {
        return new self($field, 'There is no such pocket.');
    }

    public static function pocketCount(string $field): self
    {
        return new self($field, 'A page has from 1 to 64 pockets of a size.');
    }

    public static function outsidePage(string $field): self
    {
        return new self($field, 'This lies outside the page.');
    }

    public static function overlaps(string $field): self
    {
        return new self($field, 'This lies over another one.');
    }
}
