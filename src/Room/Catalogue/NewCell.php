<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use Lottel\Core\Catalogue\PastedThing;
use Lottel\Core\Measure\Size;

/** A new thing before it is written, with what is guessed of it, to be corrected. */
final readonly class NewCell
{
    /**
     * @param string $colour as a word or code, guessed from its name where nothing was said
     * @param list<DoubleRow> $doubles what the room probably has of it
     * @param Size|null $size guessed from its name, where it is a sheet and none was said
     * @param DoubleRow|null $here the one of them that lives where it was seen
     * @param array<string, string> $wrong what cannot be read, by cell
     * @param array<string, string> $typed what stands in the cells that are wrong
     */
    public function __construct(
        public PastedThing $thing,
        public string $colour,
        public bool $isColourGuessed,
        public string $home,
        public string $whyHome,
        public array $doubles,
        public ?Size $size = null,
        public ?DoubleRow $here = null,
        public array $wrong = [],
        public array $typed = [],
    ) {
    }

    /** What stands in a cell: as it was typed where that cannot be read. */
    public function said(string $cell, string $read): string
    {
        return $this->typed[$cell] ?? $read;
    }
}
