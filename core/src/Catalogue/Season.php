<?php

declare(strict_types=1);

namespace Lottel\Core\Catalogue;

/** When in the year a thing is used, in the order of the year. */
enum Season: string
{
    case Spring = 'spring';
    case Summer = 'summer';
    case Autumn = 'autumn';
    case Winter = 'winter';

    /**
     * Returns the season that things are brought forward for on a day: about a month before it begins (common practice, no source).
     *
     * @param \DateTimeZone $zone of the room, which tells whether it lies south of the equator
     */
    public static function broughtForwardOn(\DateTimeImmutable $day, \DateTimeZone $zone): self
    {
        return match (((int) $day->format('n') + (self::isSouthern($zone) ? 6 : 0) - 1) % 12 + 1) {
            2, 3, 4 => self::Spring,
            5, 6, 7 => self::Summer,
            8, 9, 10 => self::Autumn,
            default => self::Winter,
        };
    }

    /** Returns the first season that is said, of several words that may say one; null where none does. */
    public static function firstOf(string ...$words): ?self
    {
        return array_values(array_filter(array_map(self::tryFrom(...), $words)))[0] ?? null;
    }

    /** Whether it is at hand on a day: from about a month before it begins until it ends (common practice, no source). */
    public function isAtHandOn(\DateTimeImmutable $day, \DateTimeZone $zone): bool
    {
        return $this === self::broughtForwardOn($day, $zone) || $this === self::broughtForwardOn($day->modify('first day of last month'), $zone);
    }

    /**
     * Whether a place is one of this season: by what it says, or by most of what is in it.
     *
     * @param int $ofIt how many of its $things are of this season
     */
    public function isOf(?self $says, int $ofIt, int $things): bool
    {
        return $this === $says || 2 * $ofIt > $things;
    }

    private static function isSouthern(\DateTimeZone $zone): bool
    {
        $where = $zone->getLocation();

        return false !== $where && $where['latitude'] < 0 && $where['latitude'] > -90;
    }
}
