<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

/** A thing that was touched in a photo, as it stands on the page: its spot as it is typed, and the name given to it. */
final readonly class Mark
{
    public function __construct(public string $spot, public string $name, public ?string $colour)
    {
    }
}
