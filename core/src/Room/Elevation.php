<?php

declare(strict_types=1);

namespace Lottel\Core\Room;

use Lottel\Core\Words\TypeWidth;

/**
 * Draws walls from the front into a field of so many pixels: all to one scale, each unit with its whole name above it, every
 * unit on the floor or as high above it as it hangs. The results are in pixels, as floats: this is drawing, not measuring.
 */
final readonly class Elevation
{
    public const BOARD = 17.0;
    public const TITLE_GAP = 4.0;
    private const GAP = 14.0;
    private const MOST_GAP = 30.0;
    private const FOR_PLATES = 36.0;
    private const GAP_ABREAST = 7.0;
    public const WALL_GAP = 7.0;
    private const MOST_ROWS = 6;
    private const STEPS = 24;

    private Lettering $lettering;

    /**
     * @param float $width of the field
     * @param float $height of the field
     * @param bool $isAbreast whether the walls stand side by side, and not one below the other
     */
    public function __construct(private float $width, private float $height, private bool $isAbreast = false, ?Lettering $lettering = null)
    {
        $this->lettering = $lettering ?? Lettering::small();
    }

    /**
     * Draws the walls as large as they fit. Below each other, long walls are parted into rows where that makes all larger.
     *
     * @param list<Wall> $walls
     */
    public function draw(array $walls): DrawnRoom
    {
        $best = new DrawnRoom(0.0, []);
        foreach ($this->partings($walls) as $parted) {
            $scale = $this->largest($parted);
            if ($scale > 1.02 * $best->scale) {
                $best = $this->at($scale, $parted);
            }
        }

        return $best;
    }

    /**
     * Returns the ways to part the walls into rows, those with few rows first.
     *
     * @param list<Wall> $walls
     *
     * @return list<list<array{Wall, bool, non-empty-list<Standing>}>> wall, whether it goes on, units
     */
    private function partings(array $walls): array
    {
        $widths = array_map(static fn (Wall $wall): int => array_sum(array_map(static fn (Standing $unit): int => $unit->width, $wall->units)), $walls);
        $partings = [];
        foreach ([] === $walls ? [] : range(1, $this->isAbreast ? 1 : self::MOST_ROWS) as $most) {
            $row = max(1, max($widths ?: [1]) / $most);
            $parting = [];
            foreach ($walls as $at => $wall) {
                foreach ($wall->rows(min(\count($wall->units), (int) ceil($widths[$at] / $row - 0.05))) as $nth => $units) {
                    $parting[] = [$wall, $nth > 0, $units];
                }
            }
            $partings[] = $parting;
        }

        return $partings;
    }

    /** @param list<array{Wall, bool, non-empty-list<Standing>}> $parted */
    private function largest(array $parted): float
    {
        [$low, $high] = [0.0, $this->scaleByWidth($parted)];
        if ($this->fits($high, $parted)) {
            return $high;
        }
        for ($step = 0; $step < self::STEPS; ++$step) {
            $middle = ($low + $high) / 2;
            [$low, $high] = $this->fits($middle, $parted) ? [$middle, $high] : [$low, $middle];
        }

        return $low;
    }

    /** @param list<array{Wall, bool, non-empty-list<Standing>}> $parted */
    private function scaleByWidth(array $parted): float
    {
        $widths = array_map(static fn (array $row): int => array_sum(array_map(static fn (Standing $unit): int => $unit->width, $row[2])), $parted);
        $gaps = array_map(static fn (array $row): int => \count($row[2]) - 1, $parted);
        if ($this->isAbreast) {
            $free = $this->width - self::GAP_ABREAST * array_sum($gaps) - 2 * self::WALL_GAP * \count($parted);

            return max(0.0, $free) / max(1, array_sum($widths));
        }

        return min(array_map(fn (int $width, int $gaps): float => max(0.0, $this->width - self::GAP * $gaps) / max(1, $width), $widths, $gaps) ?: [0.0]);
    }

    /** @param list<array{Wall, bool, non-empty-list<Standing>}> $parted */
    private function fits(float $scale, array $parted): bool
    {
        $heights = array_map(static fn (DrawnRow $row): float => $row->height + self::BOARD + self::WALL_GAP, $this->at($scale, $parted)->rows);

        return ($this->isAbreast ? max($heights ?: [0.0]) : array_sum($heights)) <= $this->height + self::WALL_GAP;
    }

    /** @param list<array{Wall, bool, non-empty-list<Standing>}> $parted */
    private function at(float $scale, array $parted): DrawnRoom
    {
        $spare = $this->spare($scale, $parted);

        return new DrawnRoom($scale, array_map(fn (array $row): DrawnRow => $this->row($scale, $row[0], $row[1], $row[2], $spare), $parted));
    }

    /**
     * Returns how far apart units may stand side by side when all walls share what is left of the width.
     *
     * @param list<array{Wall, bool, non-empty-list<Standing>}> $parted
     */
    private function spare(float $scale, array $parted): float
    {
        $across = array_sum(array_map(static fn (array $row): int => array_sum(array_map(static fn (Standing $unit): int => $unit->width, $row[2])), $parted));
        $units = array_sum(array_map(static fn (array $row): int => \count($row[2]), $parted));

        return max(self::GAP_ABREAST, min(self::MOST_GAP, ($this->width - $across * $scale - self::WALL_GAP * \count($parted)) / max(1, $units)));
    }

    /** @param non-empty-list<Standing> $units */
    private function row(float $scale, Wall $wall, bool $goesOn, array $units, float $spare): DrawnRow
    {
        $across = array_sum(array_map(static fn (Standing $unit): int => $unit->width, $units)) * $scale;
        $gaps = \count($units) - 1;
        $gap = $this->isAbreast ? $spare : $this->gap($this->width - $across, $gaps);
        $width = $this->isAbreast ? $across + $gap * ($gaps + 1) : $this->width;
        $x = $this->isAbreast || 0 === $gaps ? ($width - $across - $gap * $gaps) / 2 : 0.0;
        $x = $this->isAbreast ? min($x, self::GAP_ABREAST) : $x;
        $left = [];
        foreach ($units as $unit) {
            $left[] = $x;
            $x += $unit->width * $scale + $gap;
        }
        $titles = $heights = [];
        foreach ($units as $at => $unit) {
            $titles[] = $lines = $this->title($unit, ($left[$at + 1] ?? $width) - $left[$at] - self::TITLE_GAP);
            $heights[] = $unit->top() * $scale + self::TITLE_GAP + $this->lettering->line * \count($lines[0]);
        }
        $height = max($heights);

        return new DrawnRow($wall, $width, $height, $goesOn, array_map(
            fn (Standing $unit, float $left, array $title): DrawnUnit => new DrawnUnit(
                $unit,
                $left,
                $height - $unit->top() * $scale,
                $unit->width * $scale,
                $unit->height * $scale,
                $title[0],
                $title[1],
                $this->lettering,
            ),
            $units,
            $left,
            $titles,
        ));
    }

    /** Room for plates is kept to the right of the last unit where there is enough of it. */
    private function gap(float $free, int $gaps): float
    {
        return 0 === $gaps ? 0.0 : min(self::MOST_GAP, max(self::GAP, ($free - self::FOR_PLATES) / $gaps));
    }

    /**
     * Returns the name in lines beside and below the letters; only the letters where a word is wider than that.
     *
     * @return array{non-empty-list<string>, bool} the lines, and whether those below begin under the letters
     */
    private function title(Standing $unit, float $width): array
    {
        $indent = $this->lettering->indent($unit->letters);
        $indented = TypeWidth::lines($unit->name, $this->lettering->name, [$width - $indent]);

        return null === $indented ? [TypeWidth::lines($unit->name, $this->lettering->name, [$width - $indent, $width]) ?? [''], true] : [$indented, false];
    }
}
