<?php

declare(strict_types=1);

namespace Lottel\Core\Cutting;

/** How many sheets it takes to come to a value. */
final class SheetCount
{
    /**
     * Returns the fewest, the most valuable sheets first; all of them where they do not come to it.
     *
     * @param list<array{int, int}> $sheets the value of each kind and how many there are
     */
    public static function for(int $wanted, array $sheets): int
    {
        rsort($sheets);
        $needed = 0;
        foreach ($sheets as [$each, $quantity]) {
            if ($wanted <= 0 || $each <= 0) {
                break;
            }
            $taken = min($quantity, intdiv($wanted + $each - 1, $each));
            $needed += $taken;
            $wanted -= $taken * $each;
        }

        return $needed;
    }
}
