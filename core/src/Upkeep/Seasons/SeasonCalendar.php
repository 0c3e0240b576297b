<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep\Seasons;

use Lottel\Core\Catalogue\Season;
use Lottel\Core\Year\Day;

/**
 * What of a season is at hand on a day: from about a month before the season, or before a date that speaks of the thing's theme, until
 * the season, or the date, is over (common practice, no source).
 */
final readonly class SeasonCalendar
{
    public const DAYS_AHEAD = 30;

    /**
     * @param list<SeasonDate> $dates
     * @param \DateTimeZone $zone of the room
     */
    public function __construct(private Day $day, private array $dates, private \DateTimeZone $zone = new \DateTimeZone('UTC'))
    {
    }

    /**
     * Returns why such a thing is to be brought forward; null where it is not.
     *
     * @param list<string> $themes
     */
    public function why(?Season $season, array $themes): ?string
    {
        $date = $this->date($themes);
        if (null !== $date) {
            return $date->from->number <= $this->day->number ? $date->name.' is now' : $date->name.' on '.$date->from->date()->format('j F');
        }

        return $season === Season::broughtForwardOn($this->day->date(), $this->zone) ? $season->value.' comes' : null;
    }

    /**
     * Whether it may go back: neither its season nor a date of its theme is at hand.
     *
     * @param list<string> $themes
     */
    public function isOver(?Season $season, array $themes): bool
    {
        return null === $this->date($themes) && true !== $season?->isAtHandOn($this->day->date(), $this->zone);
    }

    /** Returns the season that is brought forward now. */
    public function season(): Season
    {
        return Season::broughtForwardOn($this->day->date(), $this->zone);
    }

    /** Returns the next day on which another season is brought forward. */
    public function nextChange(): Day
    {
        $day = $this->day;
        do {
            $day = $day->plus(1);
        } while (Season::broughtForwardOn($day->date(), $this->zone) === $this->season());

        return $day;
    }

    /** @param list<string> $themes */
    private function date(array $themes): ?SeasonDate
    {
        foreach ($this->dates as $date) {
            $isNear = $this->day->until($date->from) <= self::DAYS_AHEAD && $this->day->number <= $date->until->number;
            if ($isNear && [] !== array_filter($themes, $date->isAbout(...))) {
                return $date;
            }
        }

        return null;
    }
}
