<?php

declare(strict_types=1);

namespace Lottel\Core\Year;

/** A day of the Gregorian calendar, whatever the time zone: a number that goes up by one from day to day. */
final readonly class Day
{
    private const SECONDS = 86_400;

    /** @param int $number days since 1 January 1970 */
    private function __construct(public int $number)
    {
    }

    public static function numbered(int $number): self
    {
        return new self($number);
    }

    /** Returns the day that a moment's own time zone says it is. */
    public static function of(\DateTimeInterface $moment): self
    {
        return self::on((int) $moment->format('Y'), (int) $moment->format('n'), (int) $moment->format('j'))
            ?? throw new \LogicException('A moment is on a day.');
    }

    /** Returns the day written as 2027-03-01; null where there is no such day. */
    public static function read(string $text): ?self
    {
        return 1 === preg_match('/^(\d{4})-(\d\d)-(\d\d)$/D', $text, $parts) ? self::on((int) $parts[1], (int) $parts[2], (int) $parts[3]) : null;
    }

    /** Returns the day of a year, a month and a day; null where there is no such day. */
    public static function on(int $year, int $month, int $day): ?self
    {
        if (!checkdate($month, $day, $year)) {
            return null;
        }
        $midnight = \DateTimeImmutable::createFromFormat('!Y-n-j', \sprintf('%04d-%d-%d', $year, $month, $day), new \DateTimeZone('UTC'));

        return false === $midnight ? null : new self(intdiv($midnight->getTimestamp(), self::SECONDS));
    }

    public function plus(int $days): self
    {
        return new self($this->number + $days);
    }

    /** Returns how many days it is until another one, less than 0 where that is past. */
    public function until(self $other): int
    {
        return $other->number - $this->number;
    }

    /** Returns its number in the week, from 1 for Monday to 7 for Sunday (ISO 8601). */
    public function weekday(): int
    {
        return self::weekdayOf($this->number);
    }

    public static function weekdayOf(int $number): int
    {
        return (($number + 3) % 7 + 7) % 7 + 1;
    }

    public function monday(): self
    {
        return $this->plus(1 - $this->weekday());
    }

    public function year(): int
    {
        return (int) $this->date()->format('Y');
    }

    public function month(): int
    {
        return (int) $this->date()->format('n');
    }

    public function dayOfMonth(): int
    {
        return (int) $this->date()->format('j');
    }

    /** Returns it as 2027-03-01. */
    public function text(): string
    {
        return $this->date()->format('Y-m-d');
    }

    /** Returns its midnight, in UTC. */
    public function date(): \DateTimeImmutable
    {
        return \DateTimeImmutable::createFromFormat('U', (string) ($this->number * self::SECONDS)) ?: throw new \LogicException('A day has a date.');
    }
}
