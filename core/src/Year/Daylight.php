<?php

declare(strict_types=1);

namespace Lottel\Core\Year;

/** From when to when a day is light, by which colours are judged best: about, since only the middle of a time zone's land is known. */
final readonly class Daylight
{
    private function __construct(public \DateTimeImmutable $from, public \DateTimeImmutable $until)
    {
    }

    /**
     * Returns when the sun rises and sets there; null where the zone is no place on Earth, or the sun does not set or rise that day.
     * The source is PHP's own sun tables, the place that of the zone in the tz database.
     */
    public static function on(Day $day, \DateTimeZone $zone): ?self
    {
        $where = $zone->getLocation();
        if (false === $where || '??' === $where['country_code']) {
            return null;
        }
        $noon = \DateTimeImmutable::createFromFormat('!Y-m-d H:i', $day->text().' 12:00', $zone);
        $sun = false === $noon ? [] : date_sun_info($noon->getTimestamp(), $where['latitude'], $where['longitude']);
        [$rise, $set] = [$sun['sunrise'] ?? false, $sun['sunset'] ?? false];
        if (!\is_int($rise) || !\is_int($set)) {
            return null;
        }

        return new self(self::at($rise, $zone), self::at($set, $zone));
    }

    /** Returns such as “Daylight from about 8:55 to 15:10”, to five minutes. */
    public function inWords(): string
    {
        return \sprintf('Daylight from about %s to %s.', self::rounded($this->from), self::rounded($this->until));
    }

    private static function at(int $seconds, \DateTimeZone $zone): \DateTimeImmutable
    {
        $moment = \DateTimeImmutable::createFromFormat('U', (string) $seconds);

        return false === $moment ? throw new \LogicException('Seconds are a moment.') : $moment->setTimezone($zone);
    }

    private static function rounded(\DateTimeImmutable $moment): string
    {
        return $moment->setTimestamp((int) round($moment->getTimestamp() / 300) * 300)->format('G:i');
    }
}
