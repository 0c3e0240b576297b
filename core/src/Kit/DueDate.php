<?php

declare(strict_types=1);

namespace Lottel\Core\Kit;

/** When a kit is due, as seen from a day: in words, and whether it is late. */
final readonly class DueDate
{
    private function __construct(public string $text, public bool $isLate)
    {
    }

    /** Both are days in the room's time zone; a day's time does not count. Null for a kit without a date. */
    public static function of(?\DateTimeImmutable $day, \DateTimeImmutable $today): self
    {
        if (null === $day) {
            return new self('no date', false);
        }
        $days = (int) $today->setTime(0, 0)->diff($day->setTime(0, 0))->format('%r%a');

        return new self(match (true) {
            $days < -1 => 'overdue '.-$days.' days',
            -1 === $days => 'overdue 1 day',
            0 === $days => 'due today',
            1 === $days => 'due tomorrow',
            $days < 7 => 'due '.$day->format('l'),
            default => 'due '.$day->format('j M'),
        }, $days < 0);
    }
}
