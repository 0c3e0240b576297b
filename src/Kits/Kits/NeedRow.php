<?php

declare(strict_types=1);

namespace App\Kits\Kits;

use App\Platform\Database\Row;
use App\Room\Catalogue\ThingLine;
use Lottel\Core\Kit\Availability;
use Lottel\Core\Kit\NeedState;

/** A line of a kit's list with its thing, and what can be had of it. */
final readonly class NeedRow
{
    private function __construct(
        public int $id,
        public ThingLine $thing,
        public int $quantity,
        public int $taken,
        public NeedState $state,
        public ?string $insteadName,
        public int $stored,
        private int $onTrays,
        private int $wanted,
        public ?string $otherKits,
        public int $toCut,
        public int $forDesign,
        public string $outWith,
    ) {
    }

    public static function of(Row $row): self
    {
        return new self(
            $row->int('id'),
            ThingLine::of($row),
            $row->int('quantity'),
            $row->int('taken'),
            $row->one('state', NeedState::class),
            $row->textOrNull('instead_name'),
            $row->int('stored'),
            $row->int('on_trays'),
            $row->int('wanted'),
            $row->textOrNull('other_kits'),
            $row->int('to_cut'),
            $row->int('for_design'),
            $row->textOrNull('out_with') ?? '',
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

    /** The mark that a page gives it. */
    public function look(): string
    {
        return $this->isGone() ? 'lost' : $this->state->value;
    }

    /** Whether none of it is in a drawer, and other kits have it. */
    public function isOutElsewhere(): bool
    {
        return 0 === $this->stored && $this->onTrays > 0;
    }

    /** How much of it is still to be taken. */
    public function left(): int
    {
        return $this->state->left($this->thing->tracking, $this->quantity, $this->taken);
    }

    /** How much of it is stored that no other kit is waiting for. */
    public function free(): int
    {
        return $this->availability()->free();
    }

    /** How much of what is still wanted cannot be had. */
    public function shortfall(): int
    {
        return $this->availability()->shortfall($this->left());
    }

    private function availability(): Availability
    {
        return new Availability($this->stored, $this->onTrays, $this->wanted);
    }
}
