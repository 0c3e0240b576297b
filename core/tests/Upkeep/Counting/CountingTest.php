<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Upkeep\Counting;

use Lottel\Core\Upkeep\Counting\Accuracy;
use Lottel\Core\Upkeep\Counting\CountedLine;
use Lottel\Core\Upkeep\Counting\CountReason;
use Lottel\Core\Upkeep\Counting\CountSheet;
use Lottel\Core\Upkeep\Counting\PlaceHistory;
use Lottel\Core\Upkeep\Counting\RollingCount;
use PHPUnit\Framework\TestCase;

final class CountingTest extends TestCase
{
    public function testASheetTellsWhatDiffersAndWhatWasNotCounted(): void
    {
        $sheet = new CountSheet([new CountedLine(1, 40, 43), new CountedLine(2, 1, 0), new CountedLine(3, 5, 5), new CountedLine(4, 7, null)]);
        self::assertSame([3, -1], array_map(static fn (CountedLine $line): int => $line->difference(), $sheet->differing()));
        self::assertSame([4], array_map(static fn (CountedLine $line): int => $line->item, $sheet->uncounted()));
        self::assertSame(0, (new CountedLine(4, 7, null))->difference());
    }

    public function testAReasonFitsTheDifference(): void
    {
        $less = array_filter(CountReason::cases(), static fn (CountReason $why): bool => $why->explains(-2));
        $more = array_filter(CountReason::cases(), static fn (CountReason $why): bool => $why->explains(2));
        self::assertContains(CountReason::Lost, $less);
        self::assertNotContains(CountReason::Lost, $more);
        self::assertContains(CountReason::CameUnlogged, $more);
        self::assertNotContains(CountReason::CameUnlogged, $less);
        self::assertSame([], array_filter(CountReason::cases(), static fn (CountReason $why): bool => $why->explains(0)));
    }

    public function testThoseComeFirstWhereTheLogWasWrongMostOften(): void
    {
        $often = new PlaceHistory(1, 20, 6, 40, 30, 60);
        $seldom = new PlaceHistory(2, 20, 0, 200, 30, 60);
        $busy = new PlaceHistory(3, 20, 0, 0, 90, null);
        $asleep = new PlaceHistory(4, 20, 0, 0, 0, 1);
        $empty = new PlaceHistory(5, 0, 0, 0, 0, null);
        $next = RollingCount::next([$asleep, $seldom, $often, $empty, $busy], 3);
        self::assertSame([3, 1, 2], array_map(static fn (PlaceHistory $place): int => $place->place, $next));
        self::assertSame(0.0, RollingCount::likelyWrong($empty));
        self::assertLessThanOrEqual(20.0, RollingCount::likelyWrong(new PlaceHistory(6, 20, 90, 10, 900, 10)), 'no more lines than there are');
    }

    public function testMoreMovementsAndMoreErrorsNeverMakeACountLessUrgent(): void
    {
        mt_srand(31);
        for ($round = 0; $round < 200; ++$round) {
            $of = static fn (int $wrong, int $since, int $days): float => RollingCount::likelyWrong(new PlaceHistory(1, 30, $wrong, 50, $since, $days));
            [$wrong, $since, $days] = [mt_rand(0, 9), mt_rand(0, 90), mt_rand(0, 900)];
            $base = $of($wrong, $since, $days);
            self::assertGreaterThanOrEqual($base, $of($wrong + 1, $since, $days));
            self::assertGreaterThanOrEqual($base, $of($wrong, $since + 1, $days));
            self::assertGreaterThanOrEqual($base, $of($wrong, $since, $days + 30));
        }
    }

    /** The values are those of the worked example for 81 of 263 in R. G. Newcombe, “Two-sided confidence intervals”, 1998; from memory. */
    public function testTheIntervalIsWilsons(): void
    {
        [$low, $high] = (new Accuracy(263, 263 - 81))->interval();
        self::assertEqualsWithDelta(0.2553, $low, 5e-4);
        self::assertEqualsWithDelta(0.3662, $high, 5e-4);
        self::assertNull((new Accuracy(0, 0))->share());
        self::assertSame([0.0, 1.0], (new Accuracy(0, 0))->interval());
        self::assertSame(1.0, (new Accuracy(12, 0))->interval()[1]);
        self::assertSame(0.75, (new Accuracy(12, 3))->share());
    }
}
