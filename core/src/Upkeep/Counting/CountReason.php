<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep\Counting;

use Lottel\Core\Log\Why;

/** Why a count differs from the log. */
enum CountReason: string
{
    case Lost = 'lost';
    case UsedUnlogged = 'used without a word';
    case CameUnlogged = 'came in without a word';
    case Miscounted = 'counted wrongly before';
    case Unknown = 'nobody knows';

    /** What the line of the log stands for that puts it right. */
    public function why(): ?Why
    {
        return self::UsedUnlogged === $this ? Why::UsedUnlogged : null;
    }

    /** Whether it can explain that there is so much more, or less, than the log expects. */
    public function explains(int $difference): bool
    {
        return match ($this) {
            self::Lost, self::UsedUnlogged => $difference < 0,
            self::CameUnlogged => $difference > 0,
            self::Miscounted, self::Unknown => 0 !== $difference,
        };
    }
}
