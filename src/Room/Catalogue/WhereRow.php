<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use App\Platform\Database\Row;
use App\Room\Stores\Place;
use Lottel\Core\Kit\Stage;
use Lottel\Core\Log\PlaceNature;

/** How much of an item is in one place. */
final readonly class WhereRow
{
    private function __construct(
        public int $quantity,
        public int $placeId,
        public string $address,
        private PlaceNature $nature,
        public ?int $kitId,
        public ?string $kit,
        private ?Stage $stage,
        public bool $isLent,
        public bool $isInBasket,
    ) {
    }

    public static function of(Row $row): self
    {
        return new self(
            $row->int('quantity'),
            $row->int('place_id'),
            Place::PERSON === $row->text('place_kind') ? $row->text('place_name') : $row->text('address'),
            $row->one('nature', PlaceNature::class),
            $row->intOrNull('kit_id'),
            $row->textOrNull('kit'),
            $row->oneOrNull('kit_stage', Stage::class),
            Place::PERSON === $row->text('place_kind'),
            Place::BASKET === $row->text('place_kind'),
        );
    }

    /** Where a person goes to get it: a place of the furniture, or the heap of what is not filed. */
    public function isStored(): bool
    {
        return $this->isFiled() || $this->isOnHeap();
    }

    public function isFiled(): bool
    {
        return PlaceNature::Storage === $this->nature;
    }

    public function isOnHeap(): bool
    {
        return PlaceNature::Unfiled === $this->nature;
    }

    public function isOut(): bool
    {
        return PlaceNature::Tray === $this->nature;
    }

    /** Whether the kit that it is out with is not done with it yet. */
    public function isBeingMade(): bool
    {
        return Stage::Pulling === $this->stage || Stage::Making === $this->stage;
    }

    public function isLost(): bool
    {
        return PlaceNature::Outside === $this->nature;
    }
}
