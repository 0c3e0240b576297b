<?php

declare(strict_types=1);

namespace App\Kits\Paper;

/** How the stand-in for a scale behaves. */
enum ScaleMood: string
{
    case Steady = 'steady';
    case Drifting = 'drifting';
    case ReadsNought = 'reads nought';
    case Overloaded = 'overloaded';
}
