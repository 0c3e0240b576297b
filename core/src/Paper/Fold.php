<?php

declare(strict_types=1);

namespace Lottel\Core\Paper;

use Lottel\Core\Measure\Length;
use Lottel\Core\Measure\Size;

/** How a card base is folded. */
enum Fold: string
{
    case Top = 'top';
    case Side = 'side';
    case Gate = 'gate';
    case TriFold = 'tri-fold';
    case None = 'none';

    /** Returns the flat size of the base of a finished size. */
    public function flat(Size $finished): Size
    {
        [$width, $height] = [$finished->width->ticks, $finished->height->ticks];

        return match ($this) {
            self::Top => Size::ofTicks($width, 2 * $height),
            self::Side, self::Gate => Size::ofTicks(2 * $width, $height),
            self::TriFold => Size::ofTicks(3 * $width, $height),
            self::None => $finished,
        };
    }

    /**
     * Returns where to score: from the upper edge for a top fold, from the left edge for the others.
     *
     * @return list<Length>
     */
    public function scores(Size $finished): array
    {
        $width = $finished->width->ticks;

        return match ($this) {
            self::Top => [$finished->height],
            self::Side => [$finished->width],
            self::Gate => [Length::ofTicks(intdiv($width, 2)), Length::ofTicks(intdiv($width, 2) + $width)],
            self::TriFold => [$finished->width, Length::ofTicks(2 * $width)],
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
}
