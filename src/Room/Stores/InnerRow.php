<?php

declare(strict_types=1);

namespace App\Room\Stores;

use App\Platform\Database\Row;
use Lottel\Core\Furniture\Cell;

/** A place inside another one: where it lies there, if that is known, and how many different things are in it. */
final readonly class InnerRow
{
    private function __construct(
        public string $address,
        public string $title,
        public int $layer,
        public int $things,
        public ?Cell $cell,
    ) {
    }

    public static function of(Row $row): self
    {
        return new self($row->text('address'), FrontRow::title($row), $row->int('layer'), $row->int('things'), self::cell($row));
    }

    /** Its own part of the address. */
    public function label(): string
    {
        return ltrim((string) strrchr($this->address, '.'), '.');
    }

    private static function cell(Row $row): ?Cell
    {
        $sides = array_map($row->intOrNull(...), ['cell_x', 'cell_y', 'cell_width', 'cell_height']);

        return null === $sides[0] || null === $sides[1] || null === $sides[2] || null === $sides[3]
            ? null
            : new Cell($sides[0], $sides[1], $sides[2], $sides[3], $row->int('layer'));
    }
}
