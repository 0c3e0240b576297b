<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

/** A thing as it stands in a place, seen from where it is taken out. */
final readonly class Spine
{
    /** @param bool $isGap whether only its place is there, since it is out */
    public function __construct(public int $id, public string $name, public ?string $colour, public bool $isMarked, public bool $isGap)
    {
    }
}
