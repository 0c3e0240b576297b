<?php

declare(strict_types=1);

namespace App\Kits;

use App\Database\Row;
use Lottel\Core\Log\Tracking;
use Lottel\Core\Upkeep\Hazard;

/** What a round has to know of a line that is still open. */
final readonly class OpenNeed
{
    /** @param list<Hazard> $hazards */
    private function __construct(
        public int $id,
        public int $itemId,
        public string $name,
        public Tracking $tracking,
        public array $hazards,
        public ?int $homeId,
        public int $left,
    ) {
    }

    public static function of(Row $row): self
    {
        return new self(
            $row->int('id'),
            $row->int('item_id'),
            $row->text('name'),
            $row->one('tracking', Tracking::class),
            $row->several('hazards', Hazard::class),
            $row->intOrNull('home_id'),
            $row->int('quantity') - $row->int('taken'),
        );
    }

    public static function ofLine(NeedRow $line): self
    {
        return new self($line->id, $line->itemId, $line->name, $line->tracking, $line->hazards, $line->homeId, $line->quantity - $line->taken);
    }
}
