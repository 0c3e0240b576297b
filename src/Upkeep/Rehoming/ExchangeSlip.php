<?php

declare(strict_types=1);

namespace App\Upkeep\Rehoming;

use Lottel\Core\Upkeep\Better\Exchange;

/** An exchange as its slip shows it: its moves, what it saves and when it has paid for itself. */
final readonly class ExchangeSlip
{
    private const MOST_TICKS = 10;

    /** @param list<MoveSlip> $moves */
    public function __construct(public string $key, public Exchange $exchange, public array $moves)
    {
    }

    public function seconds(): int
    {
        return (int) round($this->exchange->saves());
    }

    /** After how many whole weeks it has paid for itself, at least 1. */
    public function weeks(): int
    {
        return max(1, (int) ceil($this->exchange->weeks()));
    }

    /** How many weeks are drawn. */
    public function ticks(): int
    {
        return min(self::MOST_TICKS, $this->weeks());
    }
}
