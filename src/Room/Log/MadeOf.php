<?php

declare(strict_types=1);

namespace App\Room\Log;

/** A kit with which a thing was out, and how many pieces it made. */
final readonly class MadeOf
{
    public function __construct(public int $kit, public string $name, public string $occasion, public int $pieces)
    {
    }
}
