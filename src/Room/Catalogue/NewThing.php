<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use App\Room\Stores\Place;
use Lottel\Core\Catalogue\PastedThing;

/** A new thing as a person has corrected it: where it goes, the one that it is more of or is, and where it is seen in a photo. */
final readonly class NewThing
{
    public function __construct(
        public PastedThing $thing,
        public ?Place $home,
        public ?Item $moreOf,
        public bool $isThatOne = false,
        public ?SeenAt $seen = null,
    ) {
    }
}
