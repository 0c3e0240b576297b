<?php

declare(strict_types=1);

namespace Lottel\Core\ListImport;

use Lottel\Core\Catalogue\PastedThing;
use Lottel\Core\Log\Tracking;

/** A row of somebody's list as it will be written down. */
final readonly class ListRow
{
    /**
     * @param bool $isThere whether there is any of it; a list may name what has run out
     * @param string $place as the list names it, empty where it names none
     * @param int|null $cents what one cost
     * @param bool $isBasisTaken whether it is not said of what the pounds of its weight are
     */
    public function __construct(
        public PastedThing $thing,
        public bool $isThere,
        public string $place,
        public string $words,
        public string $collection,
        public string $note,
        public ?int $cents,
        public string $shop,
        public string $season,
        public bool $isBasisTaken = false,
    ) {
    }

    /**
     * Whether it adds to a thing that is there already and is counted so: a single thing is there or not, a container is as full as it is,
     * and pieces do not add to a length.
     */
    public function addsTo(Tracking $there): bool
    {
        return $this->isThere && !$there->movesWhole() && $there === $this->thing->tracking;
    }

    /** Returns by what it is known as the same thing: its name and its maker, however they are written. */
    public function key(): string
    {
        return self::keyOf($this->thing->name, $this->thing->maker);
    }

    public static function keyOf(string $name, string $maker): string
    {
        $plain = static fn (string $text): string => trim((string) preg_replace('/[^\p{L}\p{N}]+/u', ' ', mb_strtolower($text)));

        return $plain($name).'|'.$plain($maker);
    }
}
