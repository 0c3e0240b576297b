<?php

declare(strict_types=1);

namespace Lottel\Core\Filing;

final class InvalidScheme extends \InvalidArgumentException
{
    public static function unknown(string $text): self
    {
        return new self(
            \sprintf(
                '“%s” is not a way of filing. There are name, maker, kind, theme, colour, collection, size and season.',
                mb_substr($text, 0, 40),
            ),
        );
    }
}
