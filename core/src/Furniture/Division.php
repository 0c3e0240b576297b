<?php

declare(strict_types=1);

namespace Lottel\Core\Furniture;

/** The ways in which a place is divided. */
enum Division: string
{
    case FrontBack = 'front and back';
    case LeftRight = 'left and right';
    case Layers = 'upper and lower layer';
    case Grid = 'grid';

    public const MOST = 12;

    /**
     * Returns the cells, from the left to the right and from the front to the back; layers from the top.
     *
     * @param int $rows from front to back, for a grid
     * @param int $columns from left to right, for a grid
     *
     * @return list<Cell>
     *
     * @throws InvalidUnit if a grid has no rows or columns, or too many
     */
    public function cells(int $rows = 2, int $columns = 2): array
    {
        return match ($this) {
            self::FrontBack => [new Cell(0, 500, 1000, 500, 0, 'front'), new Cell(0, 0, 1000, 500, 0, 'back')],
            self::LeftRight => [new Cell(0, 0, 500, 1000, 0, 'left'), new Cell(500, 0, 500, 1000, 0, 'right')],
            self::Layers => [new Cell(0, 0, 1000, 1000, 0, 'upper layer'), new Cell(0, 0, 1000, 1000, 1, 'lower layer')],
            self::Grid => self::grid($rows, $columns),
        };
    }

    /** Returns what a place is divided into, as it is said. */
    public function inWords(): string
    {
        return self::Grid === $this ? 'a grid' : $this->value;
    }

    /** How many cells lie on each other. */
    public function layers(): int
    {
        return self::Layers === $this ? 2 : 1;
    }

    /** @return list<Cell> */
    private static function grid(int $rows, int $columns): array
    {
        if ($rows < 1 || $rows > self::MOST) {
            throw InvalidUnit::rowsOutOfRange(1, self::MOST);
        }
        if ($columns < 1 || $columns > self::MOST) {
            throw InvalidUnit::columnsOutOfRange(1, self::MOST);
        }
        $cells = [];
        for ($row = 0; $row < $rows; ++$row) {
            for ($column = 0; $column < $columns; ++$column) {
                [$left, $right] = [intdiv(1000 * $column, $columns), intdiv(1000 * ($column + 1), $columns)];
                [$back, $front] = [intdiv(1000 * ($rows - $row - 1), $rows), intdiv(1000 * ($rows - $row), $rows)];
                $cells[] = new Cell($left, $back, $right - $left, $front - $back);
            }
        }

        return $cells;
    }
}
