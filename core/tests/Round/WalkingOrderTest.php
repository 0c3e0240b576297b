<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Round;

use Lottel\Core\Round\Stop;
use Lottel\Core\Round\WalkingOrder;
use PHPUnit\Framework\TestCase;

final class WalkingOrderTest extends TestCase
{
    public function testUnitByUnitFromTopToBottomLowerLayersLast(): void
    {
        $stops = [
            new Stop(1, 'H8', 3, 500, 100), new Stop(2, 'C5.b', 1, 400, 10, 1), new Stop(3, 'C5.a', 1, 400, 10), new Stop(4, 'C1', 1, 10, 10),
            new Stop(5, 'A10', 0, 300, 10), new Stop(6, 'A2', 0, 10, 200), new Stop(3, 'C5.a', 1, 400, 10),
        ];
        mt_srand(3);
        for ($i = 0; $i < 50; ++$i) {
            shuffle($stops);
            self::assertSame(
                ['A2', 'A10', 'C1', 'C5.a', 'C5.b', 'H8'],
                array_map(static fn (Stop $stop): string => $stop->address, (new WalkingOrder())->of($stops)),
            );
        }
        self::assertSame([], (new WalkingOrder())->of([]));
    }
}
