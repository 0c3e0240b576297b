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
        return $this->last?->of($this->toBuy());
    }

    /** Whether the last price is above what somebody pays. */
    public function isDear(): bool
    {
        return true === $this->last?->isAbove($this->ceiling);
    }
}
