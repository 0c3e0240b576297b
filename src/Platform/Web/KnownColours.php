<?php

declare(strict_types=1);

namespace App\Platform\Web;

use Lottel\Core\Colour\ColourWords;

/** The names of colours that a person here may type. */
interface KnownColours
{
    /** Colours by the words that are known everywhere, and by the names that the room gives them. */
    public function words(): ColourWords;

    /** @return array<string, string> hex by name, of the colours that things of this room have */
    public function byName(): array;
}
