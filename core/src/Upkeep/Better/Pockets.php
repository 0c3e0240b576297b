<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep\Better;

/** What shares a pocket stays together. */
final class Pockets
{
    /**
     * Returns things in pockets, everything else by itself; what shares a pocket with one shares it with all that do.
     *
     * @param list<int> $items
     * @param list<array{int, int}> $pairs that share a pocket; those with one that is not among the items do not matter
     *
     * @return list<non-empty-list<int>> in the order of the items
     */
    public static function of(array $items, array $pairs): array
    {
        $pocket = array_combine($items, $items);
        foreach ($pairs as [$one, $other]) {
            if (isset($pocket[$one], $pocket[$other])) {
                $pocket = array_replace($pocket, array_fill_keys(array_keys($pocket, $pocket[$other], true), $pocket[$one]));
            }
        }
        $pockets = [];
        foreach ($pocket as $item => $first) {
            $pockets[$first][] = $item;
        }

        return array_values($pockets);
    }
}
