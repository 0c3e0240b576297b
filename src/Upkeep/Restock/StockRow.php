<?php

declare(strict_types=1);

namespace App\Upkeep\Restock;

use App\Room\Catalogue\ThingLine;
use Lottel\Core\Upkeep\Restock\Forecast;
use Lottel\Core\Upkeep\Restock\PackPrice;

/** A stock that is used up: how much is left, when it runs out, when to order, and what it cost last. */
final readonly class StockRow
{
    /** Bought, it is to last for so many weeks. */
    public const WEEKS = 8;
    private const WEEKS_IN_MONTH = 365.25 / 12 / 7;

    /**
     * @param list<int> $levels how much there was at the end of each of the last weeks, this one last
     * @param PackPrice|null $last what the last pack cost
     * @param PackPrice|null $ceiling what somebody pays at the most
     */
    public function __construct(
        public ThingLine $thing,
        public Forecast $forecast,
        public array $levels,
        public ?PackPrice $last,
        public string $shop,
        public ?PackPrice $ceiling,
    ) {
    }

    /** How much to buy, in whole packs of the size that was bought last. */
    public function toBuy(): int
    {
        return $this->forecast->order(self::WEEKS, $this->last->quantity ?? PackPrice::leastOf($this->thing->tracking));
    }

    /** What that costs at the last price; null where no price is known. */
    public function cents(): ?int
    {
        return null === $this->last ? null : (int) round($this->toBuy() * $this->last->cents / $this->last->quantity);
    }

    /** How much is used up in a time in which it is a unit at the least, and whether that is a month instead of a week. */
    public function used(): int
    {
        return max(1, (int) round($this->forecast->rate->aWeek * ($this->isByMonth() ? self::WEEKS_IN_MONTH : 1)));
    }

    public function isByMonth(): bool
    {
        return $this->forecast->rate->aWeek < 1;
    }

    /** Whether the last price is above what somebody pays. */
    public function isDear(): bool
    {
        return true === $this->last?->isAbove($this->ceiling);
    }
}
