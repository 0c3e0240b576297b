<?php

declare(strict_types=1);

namespace Lottel\Core\Measure;

/** A time that work takes, in whole minutes. */
final readonly class Duration
{
    private const MOST = 100_000;
    private const FRACTIONS = ['½' => 30, '¼' => 15, '¾' => 45];
    private const FRACTION = ['1/2' => 30, '1/4' => 15, '3/4' => 45];

    private function __construct(public int $minutes)
    {
    }

    public static function ofMinutes(int $minutes): self
    {
        return new self(max(0, $minutes));
    }

    /**
     * Returns the time that is written as `2 h`, `2 1/2`, `2.5 h`, `1:30`, `45 min` or `1 h 15 min`; a bare number is hours. Null where it
     * is none of these, or longer than ten weeks.
     */
    public static function read(string $text): ?self
    {
        $said = trim(mb_strtolower(str_replace(['½', '¼', '¾', ','], [' 1/2', ' 1/4', ' 3/4', '.'], $text)));
        $minutes = self::clock($said) ?? self::hoursAndMinutes($said);

        return null === $minutes || $minutes > self::MOST ? null : new self($minutes);
    }

    private static function clock(string $said): ?int
    {
        return 1 === preg_match('/^(\d{1,4})(?::|\s*h\s*)([0-5]\d)(\s*h)?$/D', $said, $m) ? 60 * (int) $m[1] + (int) $m[2] : null;
    }

    private static function hoursAndMinutes(string $said): ?int
    {
        $minutes = '(?<minutes>\d{1,6})\s*(?:m|min|mins|minutes?)';
        $hours = '(?<whole>\d{1,6}(?:\.\d{1,4})?)?(?:\s*(?<fraction>1\/2|1\/4|3\/4))?\s*(?:h|hr|hrs|hours?)?';
        if (1 === preg_match('/^'.$minutes.'$/D', $said, $m)) {
            return (int) $m['minutes'];
        }
        if ('' === $said || 1 !== preg_match('/^'.$hours.'(?:\s*'.$minutes.')?$/D', $said, $m, \PREG_UNMATCHED_AS_NULL)) {
            return null;
        }

        return (int) round(60 * (float) ($m['whole'] ?? 0)) + (self::FRACTION[$m['fraction'] ?? ''] ?? 0) + (int) ($m['minutes'] ?? 0);
    }

    /** Returns it as a person says it: `45 min`, `2 h`, `2½ h`, `2 h 10`. */
    public function text(): string
    {
        $fraction = array_search($this->minutes % 60, self::FRACTIONS, true);
        $hours = intdiv($this->minutes, 60);

        return match (true) {
            $this->minutes < 60 => $this->minutes.' min',
            0 === $this->minutes % 60 => $hours.' h',
            false !== $fraction => $hours.$fraction.' h',
            default => \sprintf('%d h %02d', $hours, $this->minutes % 60),
        };
    }

    /** Returns it in hours, to the nearest half or the next one above: `½`, `7`, `2½`. */
    public function hours(bool $isUp = false): string
    {
        $halves = (int) ($isUp ? ceil($this->minutes / 30) : round($this->minutes / 30));
        if (0 === $halves) {
            return $this->minutes > 0 ? '¼' : '0';
        }

        return (1 === $halves ? '' : (string) intdiv($halves, 2)).(1 === $halves % 2 ? '½' : '');
    }
}
