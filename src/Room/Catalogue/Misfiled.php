<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use Lottel\Core\Catalogue\Thing;

/** A thing that does not belong where it is. */
final readonly class Misfiled
{
    public function __construct(public Thing $thing, public string $why)
    {
    }
}
