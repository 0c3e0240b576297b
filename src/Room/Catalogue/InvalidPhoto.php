<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use App\Platform\Steps\Refusal;

/** Why a file is not kept as a photo. */
final class InvalidPhoto extends \InvalidArgumentException implements Refusal
{
    public function field(): string
    {
        return 'photo';
    }

    public static function cannotBeKept(): self
    {
        return new self('There is no room on the disk for this photo, or its folder may not be written to. The photo that was there stays.');
    }

    public static function tooLarge(int $bytes): self
    {
        return new self(\sprintf('The file is larger than %d MB. Take the photo in a smaller size.', intdiv($bytes, 1_000_000)));
    }

    public static function tooManyPixels(): self
    {
        return new self('The picture has more than 40 million pixels. Take it in a smaller size.');
    }

    public static function isNoPicture(): self
    {
        return new self('This is no JPEG, PNG or WebP picture, whatever its name says.');
    }

    public static function isCutOff(): self
    {
        return new self('A part of the picture is missing: the file is damaged. Send it once more, or take the photo anew. What was there stays.');
    }

    public static function isDamaged(): self
    {
        return new self('The picture is damaged and cannot be read.');
    }

    public static function isGone(): self
    {
        return new self('The photo is not there any more. Take another one.');
    }

    public static function didNotArrive(): self
    {
        return new self('The picture did not arrive. Choose it again.');
    }
}
