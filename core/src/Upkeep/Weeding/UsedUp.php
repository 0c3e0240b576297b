<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep\Weeding;

/** A use-it-up month of one kind of thing: what there was before, what went into kits, what was given away, what came in, what is left. */
final readonly class UsedUp
{
    /** All in pieces, or in things. */
    public function __construct(public int $before, public int $used, public int $partedWith, public int $cameIn, public int $left)
    {
    }

    /**
     * Returns how a month went.
     *
     * @param int $there what is in the room now
     * @param int $used what went into kits in that month
     * @param list<Passage> $since all that came and went since its first day
     * @param \DateTimeImmutable $until the first moment after it
     */
    public static function of(int $there, int $used, array $since, \DateTimeImmutable $until): self
    {
        $within = array_filter($since, static fn (Passage $passage): bool => $passage->at < $until);
        $after = array_filter($since, static fn (Passage $passage): bool => $passage->at >= $until);

        return new self(
            $there - self::net($since),
            $used,
            self::many(array_filter($within, static fn (Passage $passage): bool => $passage->isParting())),
            self::many(array_filter($within, static fn (Passage $passage): bool => $passage->isArrival())),
            $there - self::net($after),
        );
    }

    /** @param array<Passage> $some */
    private static function net(array $some): int
    {
        return array_sum(array_map(static fn (Passage $passage): int => $passage->net(), $some));
    }

    /** @param array<Passage> $some */
    private static function many(array $some): int
    {
        return array_sum(array_map(static fn (Passage $passage): int => $passage->quantity, $some));
    }

    /** Returns what went or came in another way: lost, counted, found, changed. */
    public function otherwise(): int
    {
        return $this->left - ($this->before - $this->used - $this->partedWith + $this->cameIn);
    }

    /** Returns how much of what there was is gone, in whole percent; null where there was nothing. */
    public function gone(): ?int
    {
        return 0 === $this->before ? null : (int) round(100 * min($this->before, $this->used + $this->partedWith) / $this->before);
    }
}
