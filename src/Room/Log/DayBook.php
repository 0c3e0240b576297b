<?php

declare(strict_types=1);

namespace App\Room\Log;

/** Lines of the log as a day book: by day, and within a day by the kit for which things moved one after the other. */
final readonly class DayBook
{
    /** @param list<LogRow> $lines */
    private function __construct(public \DateTimeImmutable $day, public ?int $kitId, public string $kit, public bool $beginsDay, public array $lines)
    {
    }

    /** Its day, such as “Today, Thursday 26 November”. */
    public function title(\DateTimeImmutable $today): string
    {
        $isToday = $this->day->format('Y-m-d') === $today->format('Y-m-d');

        return ($isToday ? 'Today, ' : '').$this->day->format($this->day->format('Y') === $today->format('Y') ? 'l j F' : 'l j F Y');
    }

    /**
     * @param list<LogRow> $lines newest first
     *
     * @return list<self>
     */
    public static function of(array $lines, \DateTimeZone $zone): array
    {
        $groups = [];
        foreach ($lines as $line) {
            $day = $line->at->setTimezone($zone)->setTime(0, 0);
            $last = end($groups);
            if (false !== $last && $last->day->getTimestamp() === $day->getTimestamp() && $last->kitId === $line->kitId) {
                array_pop($groups);
                $groups[] = new self($day, $line->kitId, $line->kit, $last->beginsDay, [...$last->lines, $line]);
            } else {
                $beginsDay = false === $last || $last->day->getTimestamp() !== $day->getTimestamp();
                $groups[] = new self($day, $line->kitId, $line->kit, $beginsDay, [$line]);
            }
        }

        return $groups;
    }
}
