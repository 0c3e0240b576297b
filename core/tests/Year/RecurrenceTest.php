<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Year;

use Lottel\Core\Year\Day;
use Lottel\Core\Year\Recurrence;
use PHPUnit\Framework\TestCase;
use Sabre\VObject\Recur\RRuleIterator;

final class RecurrenceTest extends TestCase
{
    private static function day(string $text): Day
    {
        return Day::read($text) ?? throw new \LogicException($text);
    }

    /** @return list<string> */
    private static function texts(Recurrence $on, string $from, string $until): array
    {
        return array_map(static fn (Day $day): string => $day->text(), $on->between(self::day($from), self::day($until)));
    }

    public function testComesEveryYear(): void
    {
        $on = Recurrence::yearly(5, 3, 1950);
        self::assertNotNull($on);
        self::assertSame(['2026-05-03', '2027-05-03'], self::texts($on, '2026-05-03', '2027-05-03'));
        self::assertSame([], self::texts($on, '2026-05-04', '2027-05-02'));
        self::assertSame(77, $on->years(self::day('2027-05-03')));
        self::assertSame('2027-05-03', $on->next(self::day('2026-05-04'))?->text());
    }

    public function testIsNotKeptBeforeItBegan(): void
    {
        $on = Recurrence::yearly(5, 3, 2030);
        self::assertNotNull($on);
        self::assertSame([], self::texts($on, '2026-01-01', '2029-12-31'));
        self::assertSame('2030-05-03', $on->next(self::day('2026-01-01'))?->text());
    }

    public function testTheLeapDayIsKeptOnThe28thOfCommonYears(): void
    {
        $on = Recurrence::yearly(2, 29);
        self::assertNotNull($on);
        self::assertSame(['2027-02-28', '2028-02-29', '2029-02-28'], self::texts($on, '2027-01-01', '2029-12-31'));
        self::assertNull(Recurrence::yearly(2, 30));
    }

    public function testOnceIsOnce(): void
    {
        $on = Recurrence::once(self::day('2027-06-01'));
        self::assertSame(['2027-06-01'], self::texts($on, '2020-01-01', '2040-12-31'));
        self::assertNull($on->next(self::day('2027-06-02')));
        self::assertNull($on->years(self::day('2027-06-01')));
        self::assertSame('2027-06-01', $on->next(self::day('2027-06-01'))?->text());
    }

    /** Held against the recurrence rules of sabre/vobject (RFC 5545, FREQ=YEARLY); the leap day, which those leave out, is left out here too. */
    public function testAgreesWithYearlyRules(): void
    {
        mt_srand(5545);
        for ($i = 0; $i < 200; ++$i) {
            $born = Day::on(mt_rand(1900, 2020), mt_rand(1, 12), mt_rand(1, 28)) ?? throw new \LogicException();
            $from = Day::on(mt_rand(2021, 2040), mt_rand(1, 12), mt_rand(1, 28)) ?? throw new \LogicException();
            $rule = new RRuleIterator('FREQ=YEARLY', $born->date());
            $rule->fastForward($from->date());
            $ruled = $rule->current();
            self::assertInstanceOf(\DateTimeInterface::class, $ruled);
            self::assertSame($ruled->format('Y-m-d'), Recurrence::yearly($born->month(), $born->dayOfMonth(), $born->year())?->next($from)?->text());
        }
    }
}
