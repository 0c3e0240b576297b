<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep\Safe;

/** How old the last backup is, and whether that is old enough to say so. */
final readonly class BackupAge
{
    /** A backup is made on each day on which something is written; after two more days something keeps it from being made. Common practice, no source. */
    private const OLD_SECONDS = 3 * 86_400;

    private function __construct(private ?int $seconds, private int $behind)
    {
    }

    /**
     * @param \DateTimeImmutable|null $last when the last one was made, null where there is none
     * @param \DateTimeImmutable|null $changed when the room was changed last, null where it never was
     */
    public static function of(?\DateTimeImmutable $last, ?\DateTimeImmutable $changed, \DateTimeImmutable $now): self
    {
        $unsaved = null !== $last && null !== $changed && $changed > $last;

        return new self(
            null === $last ? null : max(0, $now->getTimestamp() - $last->getTimestamp()),
            $unsaved ? $now->getTimestamp() - $last->getTimestamp() : 0,
        );
    }

    public function isThere(): bool
    {
        return null !== $this->seconds;
    }

    /** Whether there is none, or what was written since has not been kept for days. */
    public function isWarning(): bool
    {
        return null === $this->seconds || $this->behind > self::OLD_SECONDS;
    }

    /** Returns how old it is, as in “The last backup is …”. */
    public function inWords(): string
    {
        return match (true) {
            null === $this->seconds => 'not there yet',
            $this->seconds < 120 => 'a minute old',
            $this->seconds < 7_200 => \sprintf('%d minutes old', intdiv($this->seconds, 60)),
            $this->seconds < 172_800 => \sprintf('%d hours old', intdiv($this->seconds, 3_600)),
            default => \sprintf('%d days old', intdiv($this->seconds, 86_400)),
        };
    }
}
