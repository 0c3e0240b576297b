<?php

declare(strict_types=1);

namespace Lottel\Core\Colour;

final class InvalidPalette extends \InvalidArgumentException
{
    public static function hasNone(): self
    {
        return new self(
            'No colour could be read. A palette is a .gpl file, CSS with lines like --petrel: #1f7a6d, or a list with a name and a colour in each row.',
        );
    }

    public static function tooMany(int $most): self
    {
        return new self(\sprintf('That is more than %d colours, which no palette has.', $most));
    }

    public static function isTooLarge(int $mostBytes): self
    {
        return new self(\sprintf('A palette is smaller than %d KB.', intdiv($mostBytes, 1000)));
    }
}
