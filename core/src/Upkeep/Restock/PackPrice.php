<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep\Restock;

use Lottel\Core\Log\Tracking;
use Lottel\Core\Measure\Length;

/** What a pack costs for each unit of what is in it, so that packs can be held against each other. */
final readonly class PackPrice
{
    private const TICKS_PER_FOOT = 12 * Length::TICKS_PER_INCH;

    /**
     * @param int $cents for the whole pack
     * @param int $quantity in it, above 0, as its tracking counts
     * @param int|null $sheetArea of one sheet in square ticks, where it is paper
     */
    public function __construct(public int $cents, public int $quantity, public Tracking $tracking, public ?int $sheetArea = null)
    {
    }

    /** Returns what is bought at the least where no pack is known: a foot of what has a length, a full container, or a piece. */
    public static function leastOf(Tracking $tracking): int
    {
        return match ($tracking) {
            Tracking::Length => self::TICKS_PER_FOOT,
            Tracking::Level => Tracking::FULL,
            Tracking::One, Tracking::Count => 1,
        };
    }

    /** Returns what so much would cost, in whole cents. */
    public function of(int $quantity): int
    {
        return (int) round($quantity * $this->cents / $this->quantity);
    }

    /** Returns cents by the sheet, the piece or the container. */
    public function each(): float
    {
        return $this->cents / max(1, $this->quantity) * (Tracking::Level === $this->tracking ? Tracking::FULL : 1);
    }

    /** Returns cents by the square foot of paper; null where it is none. */
    public function squareFoot(): ?float
    {
        return null === $this->sheetArea || 0 === $this->sheetArea ? null : $this->each() / ($this->sheetArea / self::TICKS_PER_FOOT ** 2);
    }

    /** Returns cents by the yard of what is measured by length; null where it is not. */
    public function yard(): ?float
    {
        return Tracking::Length === $this->tracking ? $this->cents / $this->quantity * 3 * self::TICKS_PER_FOOT : null;
    }

    /** Returns what compares packs of one thing best, lower being cheaper: by area, else by length, else by the piece. */
    public function compared(): float
    {
        return $this->squareFoot() ?? $this->yard() ?? $this->each();
    }

    /** Whether it costs more for each unit than somebody wants to pay. */
    public function isAbove(?self $ceiling): bool
    {
        return null !== $ceiling && $this->compared() > $ceiling->compared() + 1e-9;
    }
}
