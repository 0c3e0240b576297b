<?php

declare(strict_types=1);

namespace Lottel\Core\Log;

/** What the log needs to know about a place. */
final readonly class Place
{
    public function __construct(public int $id, public PlaceNature $nature, public string $label)
    {
    }
}
