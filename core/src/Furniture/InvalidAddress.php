<?php

declare(strict_types=1);

namespace Lottel\Core\Furniture;

final class InvalidAddress extends \InvalidArgumentException
{
    public static function notReadable(string $text): self
    {
        return new self(\sprintf('“%s” is not an address. An address is a unit letter and a number, like C3, K2-4 or C3.b.', mb_substr($text, 0, 24)));
    }
}
