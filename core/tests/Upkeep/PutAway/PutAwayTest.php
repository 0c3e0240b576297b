<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Upkeep\PutAway;

use Lottel\Core\Upkeep\PutAway\Age;
use Lottel\Core\Upkeep\PutAway\Homeless;
use PHPUnit\Framework\TestCase;

final class PutAwayTest extends TestCase
{
    public function testATrayGrowsOldSoonerThanAFolder(): void
    {
        self::assertSame([false, true], [(new Age(7))->isOldTray(), (new Age(8))->isOldTray()]);
        self::assertSame([false, true], [(new Age(60))->isOldTray(true), (new Age(61))->isOldTray(true)]);
        self::assertSame(['since today', '1 day', '9 days'], array_map(static fn (int $days): string => (new Age($days))->inWords(), [0, 1, 9]));
    }

    public function testWhatIsMovedAroundMostAsksForAHomeFirst(): void
    {
        $things = Homeless::inOrder([new Homeless(1, 0, 90), new Homeless(2, 4, 10), new Homeless(3, 0, 200), new Homeless(4, 2, 1)]);
        self::assertSame([2, 4, 3, 1], array_map(static fn (Homeless $one): int => $one->item, $things));
        self::assertSame([true, false, false, false], array_map(static fn (Homeless $one): bool => $one->isMovedAround(), $things));
    }
}
