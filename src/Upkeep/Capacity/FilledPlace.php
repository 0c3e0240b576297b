<?php

declare(strict_types=1);

namespace App\Upkeep\Capacity;

use Lottel\Core\Upkeep\Capacity\Filled;
use Lottel\Core\Words\Counted;

/** A place with how full it is, and when it will be full. */
final readonly class FilledPlace
{
    private const SHOWN_WEEKS = 104.0;

    /**
     * @param array{float, float, float|null}|null $weeks until it is full: likely, earliest, latest
     * @param list<string> $dangers within small children's reach
     */
    public function __construct(
        public int $id,
        public string $address,
        public string $title,
        public int $things,
        public Filled $filled,
        public ?array $weeks,
        public array $dangers,
    ) {
    }

    /** Whether what it carries is nearer its limit than what it holds. */
    public function isByWeight(): bool
    {
        return ($this->filled->load ?? 0.0) > $this->filled->share;
    }

    /** How near it is to the limit that it is nearest to, in percent. */
    public function worst(): int
    {
        return (int) round(100 * max($this->filled->share, $this->filled->load ?? 0.0));
    }

    /** Whether it grows for certain, and will be full within two years. */
    public function isGrowing(): bool
    {
        return null !== $this->weeks && null !== $this->weeks[2] && $this->weeks[0] <= self::SHOWN_WEEKS;
    }

    /** When it will be full, in words; a forecast. */
    public function when(): string
    {
        [$likely, $early, $late] = $this->weeks ?? [0.0, 0.0, null];
        $weeks = static fn (float $number): int => max(1, (int) round($number));

        return \sprintf(
            'in about %s (from %d to %d)',
            Counted::of($weeks($likely), 'week'),
            $weeks($early),
            $weeks($late ?? $likely),
        );
    }
}
