<?php

declare(strict_types=1);

namespace Lottel\Core\Design;

use Lottel\Core\Cutting\Crease;

/** How a card base is folded. */
enum Fold: string
{
    case Top = 'top';
    case Side = 'side';
    case Gate = 'gate';
    case TriFold = 'tri-fold';
    case None = 'none';

    /** Returns the flat size of the base of a finished size. */
    public function flat(Sides $finished): Sides
    {
        [$width, $height] = [$finished->width, $finished->height];

        return match ($this) {
            self::Top => new Sides($width, 2 * $height),
            self::Side, self::Gate => new Sides(2 * $width, $height),
            self::TriFold => new Sides(3 * $width, $height),
            self::None => $finished,
        };
    }

    /**
     * Returns where to score: from the upper edge for a top fold, from the left edge for the others.
     *
     * @return list<Crease>
     */
    public function scores(Sides $finished): array
    {
        [$width, $height] = [$finished->width, $finished->height];

        return match ($this) {
            self::Top => [new Crease(false, $height)],
            self::Side => [new Crease(true, $width)],
            self::Gate => [new Crease(true, intdiv($width, 2)), new Crease(true, intdiv($width, 2) + $width)],
            self::TriFold => [new Crease(true, $width), new Crease(true, 2 * $width)],
            self::None => [],
        };
    }

    /** Returns how many thicknesses of the base lie on each other in the folded card. */
    public function thicknesses(): int
    {
        return match ($this) {
            self::None => 1,
            self::Top, self::Side, self::Gate => 2,
            self::TriFold => 3,
        };
    }

    public function inWords(): string
    {
        return match ($this) {
            self::Top => 'top fold',
            self::Side => 'side fold',
            self::Gate => 'gate fold',
            self::TriFold => 'tri-fold',
            self::None => 'flat',
        };
    }
}
