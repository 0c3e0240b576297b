<?php

declare(strict_types=1);

namespace App\Upkeep\Lost;

use App\Platform\Database\Row;

/** How a thing was lost, or came out of sight: from where, when, with which kit it was out last. */
final readonly class Loss
{
    public function __construct(
        public int $item,
        public int $movement,
        public \DateTimeImmutable $at,
        public int $from,
        public bool $isFromTray,
        public ?int $kit,
        public ?int $home,
    ) {
    }

    public static function of(Row $row): self
    {
        return new self(
            $row->int('item_id'),
            $row->int('id'),
            $row->time('at'),
            $row->int('from_id'),
            'tray' === $row->text('from_nature'),
            $row->intOrNull('kit_id'),
            $row->intOrNull('home_id'),
        );
    }
}
