<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Year;

use Lottel\Core\Year\Day;
use Lottel\Core\Year\Daylight;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class DaylightTest extends TestCase
{
    private static function at(string $zone, string $day): ?Daylight
    {
        return Daylight::on(Day::read($day) ?? throw new \LogicException(), new \DateTimeZone($zone));
    }

    /** @return iterable<string, array{string, string, string, string}> sunrise and sunset as almanacs give them for the city, from memory */
    public static function almanac(): iterable
    {
        yield 'London, midsummer' => ['Europe/London', '2026-06-21', '4:43', '21:21'];
        yield 'London, midwinter' => ['Europe/London', '2026-12-21', '8:04', '15:53'];
        yield 'Nairobi, the equinox' => ['Africa/Nairobi', '2026-03-20', '6:32', '18:39'];
        yield 'New York, midwinter' => ['America/New_York', '2026-12-21', '7:17', '16:32'];
    }

    #[DataProvider('almanac')]
    public function testTheSunRisesAndSetsAsTheAlmanacSays(string $zone, string $day, string $rise, string $set): void
    {
        $light = self::at($zone, $day);
        self::assertNotNull($light);
        foreach ([[$light->from, $rise], [$light->until, $set]] as [$moment, $said]) {
            [$hour, $minute] = array_map(intval(...), explode(':', $said));
            $minutes = 60 * (int) $moment->format('G') + (int) $moment->format('i');
            self::assertEqualsWithDelta(60 * $hour + $minute, $minutes, 6, $zone.' '.$moment->format('G:i'));
        }
    }

    public function testItIsToldToFiveMinutes(): void
    {
        $said = self::at('Europe/London', '2026-11-03')?->inWords() ?? '';
        self::assertMatchesRegularExpression('/^Daylight from about \d{1,2}:\d[05] to \d{1,2}:\d[05]\.$/', $said);
    }

    public function testNothingIsSaidWhereTheSunDoesNotSetOrNobodyKnowsWhere(): void
    {
        self::assertNull(self::at('UTC', '2026-06-21'));
        self::assertNull(self::at('Arctic/Longyearbyen', '2026-06-21'), 'the sun does not set');
        self::assertNull(self::at('Arctic/Longyearbyen', '2026-12-21'), 'nor rise');
        self::assertNotNull(self::at('Arctic/Longyearbyen', '2026-03-21'));
    }

    public function testTheNightWhenClocksChangeIsNoTrouble(): void
    {
        $before = self::at('Europe/London', '2026-10-24');
        $after = self::at('Europe/London', '2026-10-25');
        self::assertNotNull($before);
        self::assertNotNull($after);
        $minutes = static fn (Daylight $light): int => 60 * (int) $light->from->format('G') + (int) $light->from->format('i');
        self::assertEqualsWithDelta(-58, $minutes($after) - $minutes($before), 3, 'an hour earlier by the clock, two minutes later by the sun');
    }
}
