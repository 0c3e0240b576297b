<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Kit;

use Lottel\Core\Kit\DueDate;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class DueDateTest extends TestCase
{
    #[DataProvider('days')]
    public function testADayIsSaidFromToday(string $day, string $text, bool $isLate): void
    {
        $due = DueDate::of(new \DateTimeImmutable($day), new \DateTimeImmutable('2026-03-10 23:59'));
        self::assertSame([$text, $isLate], [$due->text, $due->isLate]);
    }

    /** @return iterable<array{string, string, bool}> */
    public static function days(): iterable
    {
        yield ['2026-03-01', 'overdue 9 days', true];
        yield ['2026-03-08', 'overdue 2 days', true];
        yield ['2026-03-09', 'overdue 1 day', true];
        yield ['2026-03-10', 'due today', false];
        yield ['2026-03-11', 'due tomorrow', false];
        yield ['2026-03-12', 'due Thursday', false];
        yield ['2026-03-16', 'due Monday', false];
        yield ['2026-03-17', 'due 17 Mar', false];
    }

    public function testAKitMayHaveNoDateAndTheClocksMayChange(): void
    {
        self::assertSame('no date', DueDate::of(null, new \DateTimeImmutable('2026-03-10'))->text);
        $zone = new \DateTimeZone('Europe/Lisbon');
        self::assertSame('due tomorrow', DueDate::of(new \DateTimeImmutable('2026-03-30', $zone), new \DateTimeImmutable('2026-03-29 12:00', $zone))->text);
    }
}
