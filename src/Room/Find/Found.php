<?php

declare(strict_types=1);

namespace App\Room\Find;

/** What fits what is looked for, best first. */
final readonly class Found
{
    /**
     * @param list<FoundItem> $items
     * @param list<FoundPlace> $places
     * @param array<string, list<string>> $instead words that were taken for misspelt ones
     * @param bool $isLoose whether these have only some of the words, since nothing has all
     * @param bool $isCut whether there may be more
     */
    public function __construct(
        public array $items = [],
        public array $places = [],
        public array $instead = [],
        public bool $isLoose = false,
        public bool $isCut = false,
    ) {
    }

    public function isNothing(): bool
    {
        return [] === $this->items && [] === $this->places;
    }
}
