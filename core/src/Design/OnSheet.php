<?php

declare(strict_types=1);

namespace Lottel\Core\Design;

/** How many equal pieces come out of a sheet in plain rows, which is never more than a plan would find. */
final class OnSheet
{
    /** @param bool $mayTurn whether the pieces may lie turned on it */
    public static function many(Sides $sheet, Sides $piece, bool $mayTurn = true): int
    {
        $upright = intdiv($sheet->width, $piece->width) * intdiv($sheet->height, $piece->height);
        $turned = $mayTurn ? intdiv($sheet->width, $piece->height) * intdiv($sheet->height, $piece->width) : 0;

        return max($upright, $turned);
    }

    /** Returns how many sheets so many pieces take in plain rows; null where not one comes out of a sheet. */
    public static function sheets(Sides $sheet, Sides $piece, int $wanted, bool $mayTurn = true): ?int
    {
        $each = self::many($sheet, $piece, $mayTurn);

        return 0 === $each ? null : (int) ceil($wanted / $each);
    }
}
