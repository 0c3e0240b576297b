<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Upkeep;

use Lottel\Core\Upkeep\Safe\DiskSpace;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class DiskSpaceTest extends TestCase
{
    /** @return iterable<string, array{float, int, bool}> free, the room, both in bytes */
    public static function disks(): iterable
    {
        yield 'half a gigabyte is enough for a small room' => [500e6, 3_000_000, false];
        yield 'less is not' => [499e6, 3_000_000, true];
        yield 'a large room wants three times itself' => [899e6, 300_000_000, true];
        yield 'and has it' => [900e6, 300_000_000, false];
    }

    #[DataProvider('disks')]
    public function testThereMustBeRoomForTheRoomItsBackupAndItsWayBack(float $free, int $room, bool $isTight): void
    {
        self::assertSame($isTight, (new DiskSpace($free, $room))->isTight());
    }
}
