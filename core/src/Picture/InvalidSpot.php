<?php

declare(strict_types=1);

namespace Lottel\Core\Picture;

/** Why a spot is none of a picture. */
final class InvalidSpot extends \InvalidArgumentException
{
    public static function isNone(string $text): self
    {
        return new self(\sprintf('“%s” is no spot of a picture. Write left, top, width and height in per cent of it, such as 10, 20, 25, 30.', $text));
    }

    public static function isOutside(): self
    {
        return new self('That spot is not wholly within the picture, or is too small to be seen.');
    }
}
