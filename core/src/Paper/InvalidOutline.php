<?php

declare(strict_types=1);

namespace Lottel\Core\Paper;

final class InvalidOutline extends \InvalidArgumentException
{
    public static function tooFewCorners(): self
    {
        return new self('An outline has at least three corners.');
    }

    public static function crossesItself(): self
    {
        return new self('The outline crosses or touches itself.');
    }

    public static function tooManyCorners(int $most): self
    {
        return new self(\sprintf('An outline has %d corners at the most, its holes counted in.', $most));
    }
}
