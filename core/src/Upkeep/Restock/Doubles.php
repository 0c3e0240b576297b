<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep\Restock;

/** Finds what one has twice, perhaps by another maker or under a name that is written a little differently. */
final class Doubles
{
    /**
     * @param list<OwnedThing> $owned of one kind
     *
     * @return list<array{int, int, string}> two things, and in which way they are like each other; each pair once
     */
    public static function among(array $owned): array
    {
        $alike = new Alike($owned);
        $pairs = [];
        foreach ($owned as $thing) {
            foreach ($alike->nearlyThat($thing) as $other => $why) {
                [$one, $two] = [min($thing->id, $other), max($thing->id, $other)];
                $pairs["{$one}-{$two}"] ??= [$one, $two, $why];
            }
        }

        return array_values($pairs);
    }
}
