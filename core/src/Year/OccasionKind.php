<?php

declare(strict_types=1);

namespace Lottel\Core\Year;

/** What kind of date wants something made for it. */
enum OccasionKind: string
{
    case Birthday = 'birthday';
    case Anniversary = 'anniversary';
    case Order = 'order';
    case Class_ = 'class';
    case Season = 'season';
    case Other = 'other';

    /** Whether such a date comes again every year unless a person says otherwise. */
    public function isYearly(): bool
    {
        return !\in_array($this, [self::Order, self::Class_], true);
    }

    public function isOfAPerson(): bool
    {
        return self::Birthday === $this || self::Anniversary === $this;
    }

    /** How many days before the date a card must be done, unless a person says otherwise: the post's (common practice, no source). */
    public function usualDaysAhead(): int
    {
        return $this->isOfAPerson() ? 3 : 0;
    }

    /** Returns the place on the shelf that serves it as a rule; empty where none does. */
    public function shelf(): string
    {
        return match ($this) {
            self::Birthday => 'birthday',
            self::Anniversary => 'anniversary',
            default => '',
        };
    }
}
