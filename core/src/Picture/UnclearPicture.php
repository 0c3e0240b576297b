<?php

declare(strict_types=1);

namespace Lottel\Core\Picture;

/** A photo in which a scrap cannot be measured; the message says how to take a better one. */
final class UnclearPicture extends \DomainException
{
    public static function sheetIsNotSeen(): self
    {
        return new self('The sheet is not seen whole. Lay it on a table of another colour, all four corners in the picture.');
    }

    public static function nothingLiesOnIt(): self
    {
        return new self('No scrap is seen on the sheet. Lay it away from the edges, on a sheet of another colour.');
    }

    public static function severalLieOnIt(): self
    {
        return new self('More than one scrap is seen. Lay one on the sheet at a time.');
    }

    public static function isNoRectangle(): self
    {
        return new self('What lies there is no rectangle. Type its size, such as 6 × 8 without 3 × 5.');
    }
}
