<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Year;

use Lottel\Core\Year\Day;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class DayTest extends TestCase
{
    public function testIsReadAndWritten(): void
    {
        foreach (['1970-01-01', '2024-02-29', '2027-03-01', '1899-12-31', '9999-12-31', '0001-01-01'] as $text) {
            self::assertSame($text, Day::read($text)?->text());
        }
        self::assertSame(0, Day::read('1970-01-01')?->number);
    }

    /** @return iterable<array{string}> */
    public static function noDays(): iterable
    {
        yield from [['2027-02-29'], ['2027-13-01'], ['2027-00-10'], ['2027-1-1'], ['27-01-01'], [''], ["2027-01-01\n"], ['2027-01-01T00:00'], ['today']];
    }

    #[DataProvider('noDays')]
    public function testWhatIsNoDayIsNone(string $text): void
    {
        self::assertNull(Day::read($text));
    }

    /** The weekday, the next day and the distance agree with ICU's Gregorian calendar, which is implemented independently. */
    public function testAgreesWithIcu(): void
    {
        mt_srand(1931);
        for ($i = 0; $i < 500; ++$i) {
            $calendar = new \IntlGregorianCalendar(mt_rand(1750, 2400), mt_rand(0, 11), mt_rand(1, 28), 12, 0, 0);
            $calendar->setTimeZone(\IntlTimeZone::getGMT());
            $day = Day::on(
                $calendar->get(\IntlCalendar::FIELD_YEAR),
                $calendar->get(\IntlCalendar::FIELD_MONTH) + 1,
                $calendar->get(\IntlCalendar::FIELD_DAY_OF_MONTH),
            );
            self::assertNotNull($day);
            $sundayFirst = $calendar->get(\IntlCalendar::FIELD_DAY_OF_WEEK);
            self::assertSame(1 === $sundayFirst ? 7 : $sundayFirst - 1, $day->weekday(), $day->text());
            $days = mt_rand(-40_000, 40_000);
            $calendar->add(\IntlCalendar::FIELD_DAY_OF_MONTH, $days);
            $later = $day->plus($days);
            self::assertSame(
                [$calendar->get(\IntlCalendar::FIELD_YEAR), $calendar->get(\IntlCalendar::FIELD_MONTH) + 1, $calendar->get(\IntlCalendar::FIELD_DAY_OF_MONTH)],
                [$later->year(), $later->month(), $later->dayOfMonth()],
            );
            self::assertSame($days, $day->until($later));
        }
    }

    public function testTheDayIsThatOfTheMomentsOwnZone(): void
    {
        $moment = new \DateTimeImmutable('2027-03-27T23:30:00+00:00');
        self::assertSame('2027-03-27', Day::of($moment)->text());
        self::assertSame('2027-03-28', Day::of($moment->setTimezone(new \DateTimeZone('Europe/Paris')))->text());
        $night = new \DateTimeImmutable('2027-03-28T03:00:00', new \DateTimeZone('Europe/Paris'));
        self::assertSame(1, Day::of($night->modify('-1 day'))->until(Day::of($night)), 'the short day is a day');
    }

    public function testAWeekBeginsOnMonday(): void
    {
        $sunday = Day::read('2027-03-07');
        self::assertSame('2027-03-01', $sunday?->monday()->text());
        self::assertSame('2027-03-01', Day::read('2027-03-01')?->monday()->text());
        self::assertSame(4, Day::numbered(0)->weekday(), '1 January 1970 was a Thursday');
        self::assertSame(3, Day::numbered(-1)->weekday());
    }
}
