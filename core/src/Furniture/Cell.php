<?php

declare(strict_types=1);

namespace Lottel\Core\Furniture;

use Lottel\Core\Measure\Length;

/** Where an inner place lies in the one around it, seen from above with the front at the bottom, in thousandths of its sides. */
final readonly class Cell
{
    /** @param int $layer how many layers lie on it */
    public function __construct(public int $x, public int $y, public int $width, public int $height, public int $layer = 0, public string $name = '')
    {
    }

    /**
     * Returns cells for inner places of which nobody has said where they lie: those of a layer side by side, as an assumption.
     *
     * @param list<int> $layers of each of them
     *
     * @return list<self> in the same order
     */
    public static function assumed(array $layers): array
    {
        $cells = $nth = [];
        $many = array_count_values($layers);
        foreach ($layers as $layer) {
            $width = intdiv(1000, $many[$layer]);
            $cells[] = new self($width * ($nth[$layer] ?? 0), 0, $width, 1000, $layer);
            $nth[$layer] = ($nth[$layer] ?? 0) + 1;
        }

        return $cells;
    }

    /** Returns the inside of the cell in a place; layers share its height. */
    public function inside(Box $outer, int $layers = 1): Box
    {
        $share = static fn (int $ticks, int $part, int $of): Length => Length::ofTicks(max(1, intdiv($ticks * $part, $of)));

        return new Box(
            $share($outer->width->ticks, $this->width, 1000),
            $share($outer->height->ticks, 1, max(1, $layers)),
            $share($outer->depth->ticks, $this->height, 1000),
        );
    }
}
