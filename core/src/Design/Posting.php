<?php

declare(strict_types=1);

namespace Lottel\Core\Design;

/** How thick a card is, and which envelope takes it. Lengths in the unit of Sides. */
final class Posting
{
    /**
     * Returns the thickness of a card: its base once, twice or three times as it is folded, each layer, and the foam.
     *
     * @param list<Layer> $layers
     * @param list<int> $papers of each layer, in their order
     * @param int $foam of the foam under a layer that stands on it
     */
    public static function thickness(Fold $fold, array $layers, int $base, array $papers, int $foam): int
    {
        $onFoam = \count(array_filter($layers, static fn (Layer $layer): bool => $layer->isOnFoam));

        return $fold->thicknesses() * $base + array_sum($papers) + $onFoam * $foam;
    }

    /** Returns what an envelope must take, one way round or the other: the card, what is left around it, and its thickness. */
    public static function needed(Sides $card, int $clearance, int $thickness): Sides
    {
        return new Sides($card->width + $clearance + $thickness, $card->height + $clearance + $thickness);
    }

    /**
     * Returns the envelope of least area that takes a card; the first of those that are equally large; null where none does.
     *
     * @template K of array-key
     *
     * @param array<K, Sides> $envelopes
     *
     * @return K|null
     */
    public static function envelope(array $envelopes, Sides $needed): int|string|null
    {
        $best = null;
        foreach ($envelopes as $key => $sides) {
            if ($needed->fitsIn($sides) && (null === $best || self::isLess($sides, $envelopes[$best]))) {
                $best = $key;
            }
        }

        return $best;
    }

    private static function isLess(Sides $one, Sides $other): bool
    {
        return $one->width * $one->height < $other->width * $other->height;
    }
}
