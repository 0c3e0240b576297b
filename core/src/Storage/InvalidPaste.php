<?php

declare(strict_types=1);

namespace Lottel\Core\Storage;

final class InvalidPaste extends \InvalidArgumentException
{
    public static function tooManyFields(int $line): self
    {
        return new self(\sprintf('Line %d has too many semicolons; write name; maker; quantity; themes; colour.', $line));
    }

    public static function noName(int $line): self
    {
        return new self(\sprintf('Line %d has no name in front of its semicolon.', $line));
    }

    public static function tooLong(int $line): self
    {
        return new self(\sprintf('The name on line %d is too long; 200 characters at the most.', $line));
    }

    public static function badQuantity(int $line): self
    {
        return new self(\sprintf('The quantity on line %d must be a whole number from 1 to 999999.', $line));
    }

    public static function badColour(int $line): self
    {
        return new self(\sprintf('The colour on line %d is neither a name nor a code such as #1f7a6d.', $line));
    }
}
