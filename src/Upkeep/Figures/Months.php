<?php

declare(strict_types=1);

namespace App\Upkeep\Figures;

use Symfony\Component\Clock\ClockInterface;

/** The last months of the room, such as `2026-11`, the oldest first. */
final readonly class Months
{
    private const MANY = 6;

    public function __construct(private ClockInterface $clock)
    {
    }

    /** @return list<string> */
    public function all(): array
    {
        $first = $this->clock->now()->setTimezone(new \DateTimeZone('UTC'))->modify('first day of this month');
        $months = [];
        for ($ago = self::MANY - 1; $ago >= 0; --$ago) {
            $months[] = $first->modify(\sprintf('-%d months', $ago))->format('Y-m');
        }

        return $months;
    }

    /** The first moment of the oldest, as the log writes it. */
    public function since(): string
    {
        return $this->all()[0].'-01 00:00:00';
    }
}
