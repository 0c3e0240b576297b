<?php

declare(strict_types=1);

namespace Lottel\Core\Storage;

use Lottel\Core\Measure\Length;

/** The usual furniture, with its usual outer sizes in millimetres (common practice, no source). */
enum UnitTemplate: string
{
    case Chest = 'chest';
    case Cubes = 'cubes';
    case Cart = 'cart';
    case Shelf = 'shelf';
    case Rail = 'rail';

    private const MARGIN_MM = 18;

    /** Returns what people call it. */
    public function label(): string
    {
        return match ($this) {
            self::Chest => 'Drawer chest',
            self::Cubes => 'Cube shelf',
            self::Cart => 'Cart with tiers',
            self::Shelf => 'Shelf',
            self::Rail => 'Wall rail with hooks',
        };
    }

    /** Returns the kind of place it holds. */
    public function placeKind(): string
    {
        return match ($this) {
            self::Chest => 'drawer',
            self::Cubes => 'cubby',
            self::Cart => 'tier',
            self::Shelf => 'shelf',
            self::Rail => 'hook',
        };
    }

    public function hasColumns(): bool
    {
        return self::Cubes === $this || self::Rail === $this;
    }

    /**
     * Returns the outer width, height and depth and the height above the floor.
     *
     * @return array{width: Length, height: Length, depth: Length, above_floor: Length}
     *
     * @throws InvalidUnit if rows or columns are out of range
     */
    public function size(int $rows, int $columns = 1): array
    {
        $this->check($rows, $columns);
        [$width, $height, $depth, $floor] = match ($this) {
            self::Chest => [400, 120 * $rows + 36, 450, 0],
            self::Cubes => [330 * $columns + 36, 330 * $rows + 36, 390, 0],
            self::Cart => [420, 260 * $rows + 36, 350, 0],
            self::Shelf => [800, 280 * $rows + 36, 300, 0],
            self::Rail => [90 * $columns + 36, 180 * $rows + 36, 80, 1200],
        };

        return ['width' => self::mm($width), 'height' => self::mm($height), 'depth' => self::mm($depth), 'above_floor' => self::mm($floor)];
    }

    /**
     * Returns the places from top to bottom, from left to right. Places of one column are numbered by row alone.
     *
     * @return list<PlannedPlace>
     *
     * @throws InvalidUnit if rows or columns are out of range
     * @throws InvalidAddress if the unit's letters cannot begin an address
     */
    public function places(string $letters, int $rows, int $columns = 1): array
    {
        $size = $this->size($rows, $columns);
        $columns = $this->hasColumns() ? $columns : 1;
        $width = intdiv($size['width']->ticks - 2 * self::mm(self::MARGIN_MM)->ticks, $columns);
        $height = intdiv($size['height']->ticks - 2 * self::mm(self::MARGIN_MM)->ticks, $rows);
        $places = [];
        for ($row = 0; $row < $rows; ++$row) {
            for ($column = 0; $column < $columns; ++$column) {
                $places[] = new PlannedPlace(
                    Address::of($letters, $row * $columns + $column + 1),
                    $this->placeKind(),
                    '',
                    new Front(
                        Length::ofTicks(self::mm(self::MARGIN_MM)->ticks + $column * $width),
                        Length::ofTicks(self::mm(self::MARGIN_MM)->ticks + $row * $height),
                        Length::ofTicks($width),
                        Length::ofTicks($height),
                    ),
                );
            }
        }

        return $places;
    }

    private function check(int $rows, int $columns): void
    {
        if ($rows < 1 || $rows > 40) {
            throw InvalidUnit::rowsOutOfRange(1, 40);
        }
        if ($this->hasColumns() && ($columns < 1 || $columns > 20)) {
            throw InvalidUnit::columnsOutOfRange(1, 20);
        }
    }

    private static function mm(int $millimetres): Length
    {
        return Length::ofTenthMillimetres(10 * $millimetres);
    }
}
