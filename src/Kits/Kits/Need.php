<?php

declare(strict_types=1);

namespace App\Kits\Kits;

use App\Room\Catalogue\Item;
use Doctrine\ORM\Mapping as ORM;
use Lottel\Core\Kit\NeedState;
use Lottel\Core\Log\RefusedMovement;

/** A line of a kit's list. Quantities as the item's tracking counts. */
#[ORM\Entity]
#[ORM\Index(name: 'need_kit', columns: ['kit_id', 'item_id'])]
#[ORM\Index(name: 'need_item', columns: ['item_id'])]
#[ORM\Index(name: 'need_instead_of', columns: ['instead_of_id'])]
class Need
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    public ?int $id = null;

    #[ORM\ManyToOne, ORM\JoinColumn(onDelete: 'SET NULL')]
    protected ?Need $insteadOf = null;

    #[ORM\Column(options: ['default' => 0])]
    private int $taken = 0;

    /** How many of them are for the kit's cuts; what is wanted besides, a person has asked for. */
    #[ORM\Column(options: ['default' => 0])]
    private int $toCut = 0;

    /** How many of them the kit's design wants. */
    #[ORM\Column(options: ['default' => 0])]
    private int $forDesign = 0;

    #[ORM\Column(length: 10)]
    private NeedState $state = NeedState::Open;

    public function __construct(
        #[ORM\ManyToOne(inversedBy: 'needs'), ORM\JoinColumn(nullable: false)]
        public Kit $kit,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
        public Item $item,
        #[ORM\Column]
        private int $quantity,
    ) {
    }

    public function state(): NeedState
    {
        return $this->state;
    }

    /** Whether some of it is on the tray, or was. */
    public function isBegun(): bool
    {
        return $this->taken > 0;
    }

    /** Whether the kit's cuts want it, and how many. */
    public function toCut(): int
    {
        return $this->toCut;
    }

    /** Whether anything is left of the line when the cuts want so many: by hand, or on the tray already. */
    public function isWantedWithCuts(int $sheets): bool
    {
        return $this->taken > 0 || $this->quantity - $this->toCut + $sheets > 0;
    }

    /** So many of them are for the kit's cuts from now on. */
    public function wantForCuts(int $sheets, ?int $byHand = null): void
    {
        $byHand ??= $this->quantity - $this->toCut;
        $quantity = max($this->taken, $byHand + $sheets);
        $this->want($quantity);
        $this->toCut = $quantity - $byHand;
    }

    /** How much of it the kit's design wants. */
    public function forDesign(): int
    {
        return $this->forDesign;
    }

    /** How much of it a person has asked for, besides cuts and design. */
    public function byHand(): int
    {
        return max(0, $this->quantity - $this->toCut - $this->forDesign);
    }

    /** All of it is for the design, as the line that it stands for was. */
    public function isForDesign(): void
    {
        $this->forDesign = $this->quantity - $this->toCut;
    }

    /** Whether anything is left of the line when the design wants so much. */
    public function isWantedWithDesign(int $quantity): bool
    {
        return $this->taken > 0 || $this->quantity - $this->forDesign + $quantity > 0;
    }

    /** So much of it is for the kit's design from now on; a thing that is pulled whole is wanted once. */
    public function wantForDesign(int $quantity): void
    {
        $otherwise = $this->quantity - $this->forDesign;
        $isWhole = $this->item->tracking->movesWhole();
        $all = max($this->taken, $isWhole ? min(1, $otherwise + $quantity) : $otherwise + $quantity);
        $this->want($all);
        $this->forDesign = min($quantity, $all);
    }

    /**
     * So much of it is wanted from now on.
     *
     * @throws RefusedMovement if the quantity cannot be
     */
    public function want(int $quantity): void
    {
        $this->item->tracking->check($quantity);
        $this->quantity = $quantity;
        $this->settle($this->taken);
    }

    /**
     * So much more of it is wanted; a thing that is pulled whole is wanted once.
     *
     * @throws RefusedMovement if the quantity cannot be
     */
    public function wantMore(int $quantity): void
    {
        $this->want($this->item->tracking->movesWhole() ? $this->quantity : $this->quantity + $quantity);
    }

    /** It is taken instead of another line's thing. */
    public function takenInsteadOf(self $other): void
    {
        $this->insteadOf = $other;
        $other->state = NeedState::Replaced;
    }

    /** How much of it is still to be taken. */
    public function left(): int
    {
        return $this->state->left($this->item->tracking, $this->quantity, $this->taken);
    }

    /** It was taken and has gone home since; it is to be taken once more. */
    public function wantAgain(): void
    {
        $this->settle(0);
    }

    public function took(int $quantity): void
    {
        $this->settle($this->taken + $quantity);
    }

    /** The person says that no more of this is coming. */
    public function thatIsAll(): void
    {
        $this->state = NeedState::after($this->quantity, $this->taken);
    }

    private function settle(int $taken): void
    {
        $this->taken = $taken;
        $this->state = NeedState::settled($this->item->tracking, $this->quantity, $taken);
    }
}
