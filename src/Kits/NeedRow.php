<?php

declare(strict_types=1);

namespace App\Kits;

use App\Database\Row;
use Lottel\Core\Kit\Availability;
use Lottel\Core\Kit\NeedState;
use Lottel\Core\Log\Tracking;
use Lottel\Core\Upkeep\Hazard;

/** A line of a kit's list with its thing, and what can be had of it. */
final readonly class NeedRow
{
    /** @param list<Hazard> $hazards */
    private function __construct(
        public int $id,
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
        public int $taken,
        public NeedState $state,
        public ?string $insteadName,
        public int $stored,
        public int $onTrays,
        public int $wanted,
        public ?string $otherKits,
    ) {
    }

    public static function of(Row $row): self
    {
        return new self(
            $row->int('id'),
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
            $row->int('taken'),
            $row->one('state', NeedState::class),
            $row->textOrNull('instead_name'),
            $row->int('stored'),
            $row->int('on_trays'),
            $row->int('wanted'),
            $row->textOrNull('other_kits'),
        );
    }

    public function isOpen(): bool
    {
        return NeedState::Open === $this->state;
    }

    public function isFewer(): bool
    {
        return NeedState::Fewer === $this->state;
    }

    /** Whether the kit does without it. */
    public function isGone(): bool
    {
        return NeedState::Replaced === $this->state || NeedState::NotHere === $this->state;
    }

    /** How much of it is stored that no other kit is waiting for. */
    public function free(): int
    {
        return $this->availability()->free();
    }

    /** How much of what is still wanted cannot be had. */
    public function shortfall(): int
    {
        return $this->isOpen() ? $this->availability()->shortfall(max(0, $this->quantity - $this->taken)) : 0;
    }

    private function availability(): Availability
    {
        return new Availability($this->stored, $this->onTrays, $this->wanted);
    }
}
