<?php

declare(strict_types=1);

namespace App\Upkeep\Capacity;

use Lottel\Core\Upkeep\Capacity\Filled;
use Lottel\Core\Upkeep\Capacity\UntilFull;

/** A place with how full it is, and when it will be full. */
final readonly class FilledPlace
{
    /**
     * @param UntilFull|null $until when it will be full; null where that is not in sight
     * @param list<string> $dangers within small children's reach
     */
    public function __construct(
        public int $id,
        public string $address,
        public string $title,
        public int $things,
        public Filled $filled,
        public ?UntilFull $until,
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

    /** Whether it grows for certain, and will be full soon enough to be told. */
    public function isGrowing(): bool
    {
        return true === $this->until?->isTold();
    }

    /** When it will be full, in words; a forecast. */
    public function when(): string
    {
        return $this->until?->inWords() ?? '';
    }
}
