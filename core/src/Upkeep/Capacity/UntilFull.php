<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep\Capacity;

use Lottel\Core\Words\Counted;

/** After how many weeks a place will be as full as it should be; a forecast. */
final readonly class UntilFull
{
    /** What is not full within two years is not told. */
    private const TOLD_WEEKS = 104.0;

    /** @param float|null $latest null where it may as well never be */
    public function __construct(public float $likely, public float $earliest, public ?float $latest)
    {
    }

    /** Whether it grows for certain, and soon enough to be told. */
    public function isTold(): bool
    {
        return null !== $this->latest && $this->likely <= self::TOLD_WEEKS;
    }

    /** Returns it in words. */
    public function inWords(): string
    {
        $weeks = static fn (float $number): int => max(1, (int) round($number));

        return \sprintf(
            'in about %s (from %d to %d)',
            Counted::of($weeks($this->likely), 'week'),
            $weeks($this->earliest),
            $weeks($this->latest ?? $this->likely),
        );
    }
}
