<?php

declare(strict_types=1);

namespace App\Kits\Making;

/** What a kit has made so far; one name may stand for several of its pieces. */
final readonly class MadePiece
{
    public function __construct(public int $item, public string $name, public ?string $home, public int $quantity)
    {
    }
}
