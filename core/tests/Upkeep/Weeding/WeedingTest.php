<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Upkeep\Weeding;

use Lottel\Core\Furniture\Box;
use Lottel\Core\Log\Reason;
use Lottel\Core\Upkeep\Weeding\Passage;
use Lottel\Core\Upkeep\Weeding\UnusedRoom;
use Lottel\Core\Upkeep\Weeding\UnusedThing;
use Lottel\Core\Upkeep\Weeding\UsedUp;
use Lottel\Core\Upkeep\Weeding\Whereabouts;
use PHPUnit\Framework\TestCase;

final class WeedingTest extends TestCase
{
    public function testLongerIsLess(): void
    {
        $room = new UnusedRoom([
            new UnusedThing(1, 7, 100, 2.0), new UnusedThing(2, 7, 200, 3.0), new UnusedThing(3, 8, 400, 8.0), new UnusedThing(4, 8, 800, 1.0),
        ]);
        self::assertSame([3, 2, 1], array_map(static fn (int $months): int => \count($room->since($months)->things), UnusedRoom::MONTHS));
        self::assertSame([12.0, 9.0, 1.0], array_map(static fn (int $months): float => $room->since($months)->litres(), UnusedRoom::MONTHS));
        self::assertSame([8, 7], array_keys($room->byPlace()), 'where most of it lies');
    }

    public function testVolumeIsToldInDrawers(): void
    {
        $of = static fn (float $litres): array => UnusedRoom::asDrawers($litres, 10.0);
        self::assertSame([1.0, 1.0, 0.5], $of(25.0));
        self::assertSame([1.0], $of(10.0));
        self::assertSame([], $of(0.0));
        mt_srand(12);
        for ($round = 0; $round < 100; ++$round) {
            $litres = mt_rand(0, 900) / 10;
            self::assertEqualsWithDelta($litres, 10 * array_sum($of($litres)), 0.06, 'nothing is lost in the drawing');
        }
    }

    public function testAMonthAddsUp(): void
    {
        $month = new UsedUp(120, 40, 25, 10, 65);
        self::assertSame(0, $month->otherwise());
        self::assertSame(54, $month->gone());
        self::assertSame(-3, (new UsedUp(120, 40, 25, 10, 62))->otherwise(), 'three were lost');
        self::assertNull((new UsedUp(0, 0, 0, 5, 5))->gone());
        self::assertSame(100, (new UsedUp(10, 12, 0, 5, 3))->gone(), 'never more than all');
    }

    public function testAMonthIsReadFromWhatCameAndWent(): void
    {
        $line = self::passage(...);
        [$room, $box, $out] = [Whereabouts::Room, Whereabouts::Waiting, Whereabouts::Outside];
        $month = UsedUp::of(50, 7, [
            $line('2026-03-01', 10, Reason::TakeIn, $out, $room),
            $line('2026-03-04', 3, Reason::Count, $out, $room),
            $line('2026-03-02', 7, Reason::Use, $room, $out),
            $line('2026-03-03', 5, Reason::Move, $room, $box),
            $line('2026-03-09', 5, Reason::Discard, $box, $out),
            $line('2026-03-12', 4, Reason::Discard, $room, $out),
            $line('2026-03-13', 6, Reason::Discard, $room, $out, false),
            $line('2026-03-13', 6, Reason::Reverse, $out, $room, false),
            $line('2026-03-14', 2, Reason::Move, $box, $room),
            $line('2026-03-15', 1, Reason::TakeIn, $out, $box),
            $line('2026-04-01', 20, Reason::TakeIn, $out, $room),
            $line('2026-04-02', 8, Reason::Move, $room, $box),
        ], new \DateTimeImmutable('2026-04-01'));
        self::assertSame([39, 7, 9, 11, 38], [$month->before, $month->used, $month->partedWith, $month->cameIn, $month->left]);
        self::assertSame(4, $month->otherwise(), 'three were counted, two came back out of the box, one came straight into it');
    }

    public function testWhatIsUnusedIsToldAsAPartOfItsPlace(): void
    {
        self::assertSame(25, UnusedRoom::percentOf(Box::ofMillimetres(100, 100, 400), 1.0));
        self::assertNull(UnusedRoom::percentOf(null, 1.0), 'nobody has measured it');
    }

    private static function passage(string $day, int $quantity, Reason $reason, Whereabouts $from, Whereabouts $to, bool $stands = true): Passage
    {
        return new Passage(new \DateTimeImmutable($day), $quantity, $reason, $from, $to, $stands);
    }
}
