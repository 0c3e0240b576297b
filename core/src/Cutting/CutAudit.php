<?php

declare(strict_types=1);

namespace Lottel\Core\Cutting;

/** Looks for cuts in the log that break the fifth law, or do not agree with what moved. */
final class CutAudit
{
    /**
     * Returns what is wrong with a cut that is written down, or null where all is well.
     *
     * @param int $left how many sheets left the tray with it
     * @param list<YieldedPart> $parts what it became
     * @param list<int> $came how many of each part came in, 0 of waste, in the order of the parts
     */
    public static function wrong(int $width, int $height, int $sheets, int $left, array $parts, array $came): ?string
    {
        try {
            CutYield::counted($width, $height, $sheets, $parts);
        } catch (RefusedCut $broken) {
            return $broken->getMessage();
        }
        if ($sheets !== $left) {
            return \sprintf('%d sheets are cut, but %d left the tray', $sheets, $left);
        }
        foreach ($parts as $at => $part) {
            $wanted = PartFate::Waste === $part->fate ? 0 : $part->quantity;
            if (($came[$at] ?? 0) !== $wanted) {
                return \sprintf('%d of a part were cut, but %d came in', $wanted, $came[$at] ?? 0);
            }
        }

        return null;
    }
}
