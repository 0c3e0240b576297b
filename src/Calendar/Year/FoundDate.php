<?php

declare(strict_types=1);

namespace App\Calendar\Year;

use Lottel\Core\Year\OccasionKind;
use Lottel\Core\Year\Recurrence;

/** A yearly date of a person that a file names. */
final readonly class FoundDate
{
    public function __construct(public string $person, public OccasionKind $kind, public Recurrence $on, public bool $isKnown = false)
    {
    }

    public function known(): self
    {
        return new self($this->person, $this->kind, $this->on, true);
    }

    /** Returns it as one line, for a form to carry. */
    public function line(): string
    {
        return \sprintf('%s|%s|%d|%d|%s', $this->kind->value, $this->on->year ?? '', $this->on->month, $this->on->day, $this->person);
    }

    /** Reads a line; null where it is none, as nobody's form makes it. */
    public static function read(string $line): ?self
    {
        if (1 !== preg_match('/^(birthday|anniversary)\|(\d{0,4})\|(\d{1,2})\|(\d{1,2})\|(.{1,120})$/Du', $line, $m)) {
            return null;
        }
        $on = Recurrence::yearly((int) $m[3], (int) $m[4], '' === $m[2] ? null : (int) $m[2]);

        return null === $on || '' === trim($m[5]) || 0 === $on->year ? null : new self(trim($m[5]), OccasionKind::from($m[1]), $on);
    }
}
