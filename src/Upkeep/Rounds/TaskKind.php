<?php

declare(strict_types=1);

namespace App\Upkeep\Rounds;

/** What is to be done at a stop of an errand. */
enum TaskKind: string
{
    case Carry = 'carry';
    case Look = 'look';
    case Count = 'count';
    case Home = 'home';
    case Weed = 'weed';
}
