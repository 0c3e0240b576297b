<?php

declare(strict_types=1);

namespace App\Kits\Paper;

/** How the papers of the room are laid out on the page. */
enum PaperOrder: string
{
    case Colour = 'colour';
    case Collection = 'collection';
    case Maker = 'maker';
    case Place = 'place';
}
