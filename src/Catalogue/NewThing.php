<?php

declare(strict_types=1);

namespace App\Catalogue;

use App\Stores\Place;
use Lottel\Core\Catalogue\PastedThing;

/** A new thing as a person has corrected it: where it goes, and the one that it is more of. */
final readonly class NewThing
{
    public function __construct(public PastedThing $thing, public ?Place $home, public ?Item $moreOf)
    {
    }
}
