<?php

declare(strict_types=1);

namespace Lottel\Core\Room;

/**
 * Lays the units of a room out in elevation for a panel of a given width: wall after wall, in rows whose units share one
 * scale and stand on one floor line. All results are in pixels, as floats: this is drawing, not measuring.
 */
final readonly class Elevation
{
    /**
     * @param float $width of the panel
     * @param float $gap between units
     * @param float $mostHeight of a row
     * @param float $leastPlace height that the lowest place of a row should have, so that its address can be read
     */
    public function __construct(private float $width, private float $gap = 10, private float $mostHeight = 160, private float $leastPlace = 12)
    {
    }

    /**
     * Returns the rows from top to bottom. Sizes go in as ticks; `lowest` is the height of a unit's lowest place.
     *
     * @param list<array{id: int, wall: string, width: int, height: int, lowest: int}> $units in walking order
     *
     * @return list<array{wall: string, scale: float, height: float, units: list<array{id: int, x: float, y: float, width: float, height: float}>}>
     */
    public function rows(array $units): array
    {
        $rows = [];
        foreach ($this->byWall($units) as $wall => $standing) {
            foreach ($this->split($standing) as $row) {
                $rows[] = $this->row((string) $wall, $row);
            }
        }

        return $rows;
    }

    /**
     * @param list<array{id: int, wall: string, width: int, height: int, lowest: int}> $units
     *
     * @return array<string, list<array{id: int, wall: string, width: int, height: int, lowest: int}>>
     */
    private function byWall(array $units): array
    {
        $walls = [];
        foreach ($units as $unit) {
            $walls[$unit['wall']][] = $unit;
        }

        return $walls;
    }

    /**
     * Splits a wall into the fewest rows in which every place is high enough to be labelled.
     *
     * @param list<array{id: int, wall: string, width: int, height: int, lowest: int}> $units
     *
     * @return list<list<array{id: int, wall: string, width: int, height: int, lowest: int}>>
     */
    private function split(array $units): array
    {
        $count = \count($units);
        for ($rows = 1; $rows < $count; ++$rows) {
            $split = array_chunk($units, max(1, (int) ceil($count / $rows)));
            if ([] === array_filter($split, fn (array $row): bool => !$this->isLegible($row))) {
                return $split;
            }
        }

        return array_chunk($units, 1);
    }

    /** @param list<array{id: int, wall: string, width: int, height: int, lowest: int}> $units */
    private function isLegible(array $units): bool
    {
        $scale = $this->scale($units);
        foreach ($units as $unit) {
            if ($unit['lowest'] * $scale < $this->leastPlace && \count($units) > 3) {
                return false;
            }
        }

        return \count($units) <= 5;
    }

    /** @param list<array{id: int, wall: string, width: int, height: int, lowest: int}> $units */
    private function scale(array $units): float
    {
        $across = array_sum(array_column($units, 'width'));
        $high = array_reduce($units, static fn (int $most, array $unit): int => max($most, $unit['height']), 1);

        return min(($this->width - $this->gap * (\count($units) - 1)) / max(1, $across), $this->mostHeight / $high);
    }

    /**
     * @param list<array{id: int, wall: string, width: int, height: int, lowest: int}> $units
     *
     * @return array{wall: string, scale: float, height: float, units: list<array{id: int, x: float, y: float, width: float, height: float}>}
     */
    private function row(string $wall, array $units): array
    {
        $scale = $this->scale($units);
        $height = max(array_column($units, 'height') ?: [1]) * $scale;
        $across = array_sum(array_column($units, 'width')) * $scale;
        $gap = \count($units) > 1 ? min(3 * $this->gap, ($this->width - $across) / (\count($units) - 1)) : 0;
        $placed = [];
        $x = 0.0;
        foreach ($units as $unit) {
            $placed[] = [
                'id' => $unit['id'],
                'x' => $x,
                'y' => $height - $unit['height'] * $scale,
                'width' => $unit['width'] * $scale,
                'height' => $unit['height'] * $scale,
            ];
            $x += $unit['width'] * $scale + $gap;
        }

        return ['wall' => $wall, 'scale' => $scale, 'height' => $height, 'units' => $placed];
    }
}
