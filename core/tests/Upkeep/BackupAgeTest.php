<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Upkeep;

use Lottel\Core\Upkeep\Safe\BackupAge;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class BackupAgeTest extends TestCase
{
    /** @return iterable<string, array{string|null, string|null, string, bool}> last backup, last change, words, whether it is a warning */
    public static function ages(): iterable
    {
        yield 'none' => [null, '2027-03-10 08:00', 'not there yet', true];
        yield 'just now' => ['2027-03-10 11:59', '2027-03-10 11:00', 'a minute old', false];
        yield 'an hour' => ['2027-03-10 11:00', '2027-03-10 11:30', '60 minutes old', false];
        yield 'yesterday' => ['2027-03-09 12:00', '2027-03-10 11:30', '24 hours old', false];
        yield 'three days, to the second' => ['2027-03-07 12:00', '2027-03-10 11:30', '3 days old', false];
        yield 'older, and changed since' => ['2027-03-07 11:59', '2027-03-10 11:30', '3 days old', true];
        yield 'old, but nothing changed since' => ['2027-01-01 12:00', '2027-01-01 11:00', '68 days old', false];
        yield 'made by a clock that goes ahead' => ['2027-03-10 13:00', null, 'a minute old', false];
    }

    #[DataProvider('ages')]
    public function testAnOldBackupOfARoomThatChangedIsAWarning(?string $last, ?string $changed, string $words, bool $isWarning): void
    {
        $utc = new \DateTimeZone('UTC');
        $at = static fn (?string $when): ?\DateTimeImmutable => null === $when ? null : new \DateTimeImmutable($when, $utc);
        $age = BackupAge::of($at($last), $at($changed), new \DateTimeImmutable('2027-03-10 12:00', $utc));
        self::assertSame([$words, $isWarning, null !== $last], [$age->inWords(), $age->isWarning(), $age->isThere()]);
    }
}
