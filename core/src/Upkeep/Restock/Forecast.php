<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep\Restock;

/** When a stock runs out, and when it is to be ordered. Days from today; a forecast. */
final readonly class Forecast
{
    private const SOON_DAYS = 7;

    /** How much a stock may fall to before it is ordered: what is used up while it comes, at the upper end, and the spare. */
    public int $orderAt;

    public float $out;
    public float $outEarliest;

    /** INF where it may as well never run out. */
    public float $outLatest;

    /** In how many days it has fallen to where it is to be ordered; 0 where it has already. */
    public float $orderIn;

    /**
     * @param int $left as its tracking counts
     * @param int $wanted of it by kits that are planned
     */
    public function __construct(public int $left, public BurnRate $rate, public StockRule $rule, public int $wanted = 0)
    {
        $free = max(0, $left - $wanted);
        $days = static fn (float $quantity, float $aWeek): float => $aWeek <= 0 ? \INF : 7 * $quantity / $aWeek;
        $this->orderAt = (int) ceil($rate->most * $rule->leadDays / 7) + $rule->spare;
        $this->out = $days($free, $rate->aWeek);
        $this->outEarliest = $days($free, $rate->most);
        $this->outLatest = $days($free, $rate->least);
        $this->orderIn = $free <= $this->orderAt ? 0.0 : $days($free - $this->orderAt, $rate->aWeek);
    }

    public function isDue(): bool
    {
        return 0.0 === $this->orderIn;
    }

    /** Whether it is to be ordered within a week. */
    public function isSoon(): bool
    {
        return $this->orderIn <= self::SOON_DAYS;
    }

    /**
     * Returns how much is to be ordered so that it lasts for some weeks.
     *
     * @param int $pack in whole packs of so much
     */
    public function order(int $weeks, int $pack = 1): int
    {
        $missing = max(0, (int) ceil($this->rate->aWeek * $weeks) + $this->rule->spare + $this->wanted - $this->left);

        return self::inPacks($missing, $pack);
    }

    /** Returns at least so much in whole packs. */
    public static function inPacks(int $quantity, int $pack): int
    {
        return max(1, $pack) * (int) ceil($quantity / max(1, $pack));
    }
}
