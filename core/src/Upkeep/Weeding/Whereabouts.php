<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep\Weeding;

/** Where a thing is, as far as a use-it-up month asks: in the room, waiting in a box to be gone, or gone. */
enum Whereabouts: string
{
    case Room = 'room';
    case Waiting = 'waiting';
    case Outside = 'outside';
}
