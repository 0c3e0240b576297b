<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Measure;

use Lottel\Core\Measure\Duration;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class DurationTest extends TestCase
{
    /** @return iterable<array{string, int|null}> */
    public static function said(): iterable
    {
        yield from [
            ['2 h', 120], ['2', 120], ['2½', 150], ['2 1/2', 150], ['2.5 h', 150], ['2,5', 150], ['1:30', 90], ['45 min', 45], ['1 h 15 min', 75],
            ['1h15m', 75], ['2 h 10', 130], ['3/4 h', 45], ['0', 0], ['', null], ['x', null], ['1:75', null], ['1/3 h', null], ['-1', null],
            ['2000 h', null], ['1 day', null],
        ];
    }

    #[DataProvider('said')]
    public function testIsRead(string $text, ?int $minutes): void
    {
        self::assertSame($minutes, Duration::read($text)?->minutes);
    }

    public function testWhatIsWrittenIsReadBack(): void
    {
        foreach ([0, 5, 45, 59, 60, 75, 90, 130, 150, 600, 1439, 6000] as $minutes) {
            self::assertSame($minutes, Duration::read(Duration::ofMinutes($minutes)->text())?->minutes);
        }
    }

    public function testHoursAreToTheNearestHalf(): void
    {
        $hours = array_map(static fn (int $of): string => Duration::ofMinutes($of)->hours(), [0, 10, 30, 60, 80, 425]);
        self::assertSame(['0', '¼', '½', '1', '1½', '7'], $hours);
        self::assertSame(['0', '½', '4½'], array_map(static fn (int $of): string => Duration::ofMinutes($of)->hours(true), [0, 1, 245]));
    }
}
