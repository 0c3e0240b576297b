<?php

declare(strict_types=1);

namespace App\Kits\Design;

use App\Room\Catalogue\ThingLine;
use Lottel\Core\Measure\Size;

/** A die, with the size of its set that is meant, lying as the piece lies. */
final readonly class DieThatCuts
{
    public function __construct(public ThingLine $thing, public Size $size)
    {
    }
}
