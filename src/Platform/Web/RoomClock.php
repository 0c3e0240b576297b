<?php

declare(strict_types=1);

namespace App\Platform\Web;

use Lottel\Core\Kit\DueDate;
use Symfony\Component\Clock\ClockInterface;

/** Days as they are where the room stands. */
final readonly class RoomClock
{
    public function __construct(private RoomAtHand $room, private ClockInterface $clock)
    {
    }

    public function timeZone(): \DateTimeZone
    {
        return new \DateTimeZone($this->room->card()->timeZone);
    }

    public function today(): \DateTimeImmutable
    {
        return $this->clock->now()->setTimezone($this->timeZone());
    }

    public function due(?string $day): DueDate
    {
        return DueDate::of(null === $day ? null : new \DateTimeImmutable(substr($day, 0, 10), $this->timeZone()), $this->today());
    }
}
