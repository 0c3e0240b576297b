<?php

declare(strict_types=1);

namespace Lottel\Core\Paper;

/** Why a weight of paper cannot be read. */
final class InvalidGrammage extends \InvalidArgumentException
{
    public static function isNotReadable(string $text): self
    {
        return new self(\sprintf('“%s” is no weight of paper. Write it like 216 gsm or 80 lb cover.', $text));
    }

    public static function hasNoBasis(string $text): self
    {
        return new self(\sprintf('“%s” of what? Pounds mean another weight for each: write 80 lb cover, text, bond, index or tag.', $text));
    }

    public static function isOutOfRange(): self
    {
        return new self('Paper weighs from 10 to 3,000 grams a square metre.');
    }
}
