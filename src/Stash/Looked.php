<?php

declare(strict_types=1);

namespace App\Stash;

/** What a list would become as things stand. */
final readonly class Looked
{
    /**
     * @param list<int> $ready rows that can be taken in
     * @param list<Mistake> $mistakes
     * @param array<int, string> $doubles what they are called, by row
     * @param array<string, int> $unknownPlaces how many rows name them, by what the list calls them
     * @param array<string, int> $kinds how many there are of each
     * @param int $in rows that are in already
     * @param int $homeless rows that will wait with what is not filed
     * @param int $out rows of which there is nothing just now
     */
    public function __construct(
        public array $ready,
        public array $mistakes,
        public array $doubles,
        public array $unknownPlaces,
        public array $kinds,
        public int $in,
        public int $homeless,
        public int $out,
    ) {
    }
}
