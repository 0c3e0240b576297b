<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep\Counting;

/** How right the log was: of the lines that were counted, the share that agreed. */
final readonly class Accuracy
{
    /** Two-sided 95 %, for the interval. */
    private const Z = 1.959964;

    /** @param \DateTimeImmutable|null $last when anything was counted at all, however long ago */
    public function __construct(public int $counted, public int $wrong, public ?\DateTimeImmutable $last = null)
    {
    }

    /** Returns the share from 0 to 1; null where nothing was counted. */
    public function share(): ?float
    {
        return 0 === $this->counted ? null : 1 - $this->wrong / $this->counted;
    }

    /**
     * Returns between which shares the truth lies in 95 of 100 cases (E. B. Wilson, “Probable inference”, 1927).
     *
     * @return array{float, float}
     */
    public function interval(): array
    {
        if (0 === $this->counted) {
            return [0.0, 1.0];
        }
        $n = $this->counted;
        $p = 1 - $this->wrong / $n;
        $z2 = self::Z ** 2;
        $middle = ($p + $z2 / (2 * $n)) / (1 + $z2 / $n);
        $half = self::Z / (1 + $z2 / $n) * sqrt($p * (1 - $p) / $n + $z2 / (4 * $n * $n));

        return [max(0.0, $middle - $half), min(1.0, $middle + $half)];
    }
}
