<?php

declare(strict_types=1);

namespace App\Kits;

use App\Database\Row;
use Lottel\Core\Log\Tracking;
use Lottel\Core\Upkeep\Hazard;

/** A thing on a kit's tray, and its home. */
final readonly class TrayRow
{
    /** @param list<Hazard> $hazards */
    private function __construct(
        public int $itemId,
        public string $name,
        public string $maker,
        public string $kind,
        public Tracking $tracking,
        public ?string $colour,
        public array $hazards,
        public ?int $homeId,
        public ?string $home,
        public int $quantity,
    ) {
    }

    public static function of(Row $row): self
    {
        return new self(
            $row->int('item_id'),
            $row->text('name'),
            $row->text('maker'),
            $row->text('kind'),
            $row->one('tracking', Tracking::class),
            $row->textOrNull('colour'),
            $row->several('hazards', Hazard::class),
            $row->intOrNull('home_id'),
            $row->textOrNull('home'),
            $row->int('quantity'),
        );
    }
}
