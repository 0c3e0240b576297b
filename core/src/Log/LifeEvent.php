<?php

declare(strict_types=1);

namespace Lottel\Core\Log;

/** Something that happened to a thing: it came in, was out with a kit, or was lost; open while it has no end. */
final readonly class LifeEvent
{
    public const CAME_IN = 'came in';
    public const WITH_KIT = 'with a kit';
    public const LOST = 'lost';

    /**
     * @param self::CAME_IN|self::WITH_KIT|self::LOST $what
     * @param string $where the place in which it was found again
     */
    private function __construct(
        public string $what,
        public \DateTimeImmutable $from,
        public ?\DateTimeImmutable $until,
        public ?int $kit,
        public string $where,
    ) {
    }

    public static function cameIn(\DateTimeImmutable $at): self
    {
        return new self(self::CAME_IN, $at, $at, null, '');
    }

    public static function withKit(\DateTimeImmutable $from, int $kit): self
    {
        return new self(self::WITH_KIT, $from, null, $kit, '');
    }

    public static function lost(\DateTimeImmutable $from): self
    {
        return new self(self::LOST, $from, null, null, '');
    }

    public function ended(\DateTimeImmutable $until, string $where = ''): self
    {
        return new self($this->what, $this->from, $until, $this->kit, $where);
    }

    public function isCameIn(): bool
    {
        return self::CAME_IN === $this->what;
    }

    public function isLost(): bool
    {
        return self::LOST === $this->what;
    }

    public function isOpen(): bool
    {
        return null === $this->until;
    }

    /** How long it lasted, in words: days up to a fortnight, then weeks. */
    public function length(\DateTimeImmutable $now): string
    {
        $days = (int) $this->from->diff($this->until ?? $now)->days;

        return match (true) {
            $days < 1 => 'less than a day',
            1 === $days => '1 day',
            $days <= 14 => $days.' days',
            default => round($days / 7).' weeks',
        };
    }
}
