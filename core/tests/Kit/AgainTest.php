<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Kit;

use Lottel\Core\Kit\Again;
use Lottel\Core\Log\Tracking;
use PHPUnit\Framework\TestCase;

final class AgainTest extends TestCase
{
    public function testWhatIsCountedGrowsWithTheNumberAndIsRoundedUp(): void
    {
        self::assertSame(24, Again::quantity(Tracking::Count, 12, 6, 12));
        self::assertSame(7, Again::quantity(Tracking::Count, 4, 3, 5), '6.67 sheets are 7');
        self::assertSame(1, Again::quantity(Tracking::Count, 4, 100, 1));
        self::assertSame(4, Again::quantity(Tracking::Count, 4, null, 12), 'nobody knows for how many it was');
    }

    public function testWhatIsPulledWholeIsPulledOnce(): void
    {
        self::assertSame(1, Again::quantity(Tracking::One, 1, 6, 60));
    }

    public function testThereAndBackIsNeverLess(): void
    {
        mt_srand(7);
        for ($i = 0; $i < 300; ++$i) {
            [$quantity, $before, $now] = [mt_rand(1, 200), mt_rand(1, 40), mt_rand(1, 40)];
            $there = Again::quantity(Tracking::Count, $quantity, $before, $now);
            self::assertGreaterThanOrEqual($quantity, Again::quantity(Tracking::Count, $there, $now, $before));
            self::assertGreaterThanOrEqual($quantity * $now / $before, $there);
        }
    }
}
