<?php

declare(strict_types=1);

namespace Lottel\Core\Measure;

final class InvalidWeight extends \InvalidArgumentException
{
    public static function notReadable(string $text): self
    {
        return new self(\sprintf('“%s” is not a weight. Write it like 90 g, 1.2 kg, 3 oz or 2 lb 10 oz.', mb_strimwidth($text, 0, 40, '…')));
    }

    public static function outOfRange(): self
    {
        return new self('More than nothing, and a tonne at the most.');
    }
}
