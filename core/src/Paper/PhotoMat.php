<?php

declare(strict_types=1);

namespace Lottel\Core\Paper;

use Lottel\Core\Measure\Length;
use Lottel\Core\Measure\Size;

/** A photo on a page with a mat behind it; where the mat's left upper corner lies. */
final readonly class PhotoMat
{
    public function __construct(public string $name, public Size $photo, public Length $reveal, public Length $x, public Length $y)
    {
    }

    /** Returns the size of the mat: the photo and a reveal on each side. */
    public function mat(): Size
    {
        return Size::ofTicks($this->photo->width->ticks + 2 * $this->reveal->ticks, $this->photo->height->ticks + 2 * $this->reveal->ticks);
    }
}
