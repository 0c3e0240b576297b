<?php

declare(strict_types=1);

namespace Lottel\Core\Label;

/** Width and height of a label in tenths of a millimetre. */
final readonly class LabelSize
{
    public const LEAST = 60;
    public const MOST = 3000;

    /** @throws InvalidLabel if a side is under 6 mm or over 300 mm */
    public function __construct(public int $width, public int $height)
    {
        if (min($width, $height) < self::LEAST || max($width, $height) > self::MOST) {
            throw InvalidLabel::size(self::LEAST, self::MOST);
        }
    }
}
