<?php

declare(strict_types=1);

namespace App\Room\Stores;

use App\Platform\Database\Row;
use Lottel\Core\Furniture\Front;

/** A storage place with its front, where it is seen in the room. */
final readonly class FrontRow
{
    private function __construct(
        public int $id,
        public int $unitId,
        public ?int $parentId,
        public string $address,
        public string $title,
        public int $layer,
        public ?Front $front,
        public bool $isNamed,
    ) {
    }

    public static function of(Row $row): self
    {
        return new self(
            $row->int('id'),
            $row->int('unit_id'),
            $row->intOrNull('parent_id'),
            $row->text('address'),
            self::title($row),
            $row->int('layer'),
            self::front($row),
            '' !== $row->text('name'),
        );
    }

    /** What a place is called where there is no room for more: its name, or what it is. */
    public static function title(Row $row): string
    {
        return '' === $row->text('name') ? $row->text('kind') : $row->text('name');
    }

    public static function front(Row $row): ?Front
    {
        $sides = array_map($row->lengthOrNull(...), ['front_x', 'front_y', 'front_width', 'front_height']);

        return null === $sides[0] || null === $sides[1] || null === $sides[2] || null === $sides[3]
            ? null
            : new Front($sides[0], $sides[1], $sides[2], $sides[3]);
    }
}
