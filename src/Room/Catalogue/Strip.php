<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use Lottel\Core\Catalogue\Thing;

/** A stretch of what stands in a place, in filing order. */
final readonly class Strip
{
    public const LENGTH = 13;
    public const SHORT = 8;

    /** @param list<Spine> $spines */
    private function __construct(public array $spines, public int $before, public int $after)
    {
    }

    /**
     * Returns the stretch around the first marked thing, or from the beginning.
     *
     * @param list<Thing> $things in filing order
     * @param list<int> $marked items
     * @param list<int> $gaps items of which only the place is there
     */
    public static function around(array $things, array $marked, array $gaps = [], int $length = self::LENGTH): self
    {
        $from = max(0, min(self::first($things, $marked) - intdiv($length, 2), \count($things) - $length));
        $shown = \array_slice($things, $from, $length);
        $spines = array_map(static fn (Thing $thing): Spine => new Spine(
            $thing->id,
            $thing->name,
            $thing->colour,
            \in_array($thing->id, $marked, true),
            \in_array($thing->id, $gaps, true),
        ), $shown);

        return new self($spines, $from, max(0, \count($things) - $from - \count($shown)));
    }

    /**
     * @param list<Thing> $things
     * @param list<int> $marked
     */
    private static function first(array $things, array $marked): int
    {
        foreach ($things as $index => $thing) {
            if (\in_array($thing->id, $marked, true)) {
                return $index;
            }
        }

        return 0;
    }
}
