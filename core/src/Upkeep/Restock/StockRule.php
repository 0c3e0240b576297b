<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep\Restock;

/** What somebody wants of a stock: how much is always kept, and how long new things take to come. */
final readonly class StockRule
{
    /** Where nobody has said how long things take to come: a week (common practice, no source). */
    public const USUAL_LEAD_DAYS = 7;

    /**
     * @param int $spare that is always kept, as its tracking counts
     * @param int $leadDays from the order until it is here
     */
    public function __construct(public int $spare = 0, public int $leadDays = self::USUAL_LEAD_DAYS)
    {
    }
}
