<?php

declare(strict_types=1);

namespace Lottel\Core\Colour;

final class InvalidColour extends \InvalidArgumentException
{
    public static function unknownWord(string $text): self
    {
        return new self(\sprintf(
            '“%s” is no colour that is known here. Choose one, or write it like navy, light green or #1f7a6d.',
            mb_substr($text, 0, 20),
        ));
    }

    public static function notHex(string $text): self
    {
        return new self(\sprintf('“%s” is not a colour. Write it like #1f7a6d.', mb_substr($text, 0, 20)));
    }
}
