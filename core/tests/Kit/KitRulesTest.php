<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Kit;

use Lottel\Core\Kit\Availability;
use Lottel\Core\Kit\NeedState;
use Lottel\Core\Kit\PullPlan;
use Lottel\Core\Kit\RefusedStage;
use Lottel\Core\Kit\Stage;
use PHPUnit\Framework\TestCase;

final class KitRulesTest extends TestCase
{
    public function testAKitGoesRoundTheLoop(): void
    {
        self::assertSame(Stage::Returning, Stage::Planned->to(Stage::Pulling)->to(Stage::Making)->to(Stage::Pulling)->to(Stage::Making)->to(Stage::Returning));
        self::assertTrue(Stage::Making->isOpen());
        self::assertFalse(Stage::Closed->isOpen());
    }

    public function testAClosedKitStaysClosed(): void
    {
        foreach ([Stage::Planned, Stage::Pulling, Stage::Making, Stage::Returning] as $next) {
            try {
                Stage::Closed->to($next);
                self::fail('reopened');
            } catch (RefusedStage $refused) {
                self::assertStringContainsString('closed', $refused->getMessage());
            }
        }
        $this->expectException(RefusedStage::class);
        Stage::Planned->to(Stage::Returning);
    }

    public function testClosesOnlyWithAnEmptyTray(): void
    {
        self::assertSame(Stage::Closed, Stage::Returning->close(0));
        $this->expectException(RefusedStage::class);
        $this->expectExceptionMessage('2 things are still on the tray');
        Stage::Returning->close(2);
    }

    public function testWhatBecomesOfALine(): void
    {
        self::assertSame(
            [NeedState::NotHere, NeedState::Fewer, NeedState::Taken, NeedState::Taken],
            array_map(static fn (int $taken): NeedState => NeedState::after(4, $taken), [0, 3, 4, 5]),
        );
    }

    public function testWhatOtherKitsWantIsNotFree(): void
    {
        $paper = new Availability(atHome: 43, onTrays: 8, wantedByOthers: 40);
        self::assertSame(3, $paper->free());
        self::assertSame(3, $paper->shortfall(6));
        self::assertSame(0, $paper->shortfall(3));
        self::assertSame(0, (new Availability(1, 0, 5))->free());
    }

    public function testPullsFromHomeFirstThenFromWhereMostIs(): void
    {
        $plan = new PullPlan();
        self::assertSame(['from' => [7 => 4, 9 => 6], 'missing' => 0], $plan->split(10, [8 => 3, 9 => 30, 7 => 4], 7, false));
        self::assertSame(['from' => [9 => 5, 8 => 3], 'missing' => 2], $plan->split(10, [8 => 3, 9 => 5], 7, false));
        self::assertSame(['from' => [8 => 5], 'missing' => 0], $plan->split(1, [8 => 5], 7, true), 'a bottle is taken with what is left in it');
        self::assertSame(['from' => [], 'missing' => 1], $plan->split(1, [], null, true));
    }

    public function testASplitNeverTakesMoreThanThereIsOrIsWanted(): void
    {
        mt_srand(11);
        for ($i = 0; $i < 2000; ++$i) {
            $stored = [];
            for ($place = 1; $place <= mt_rand(0, 5); ++$place) {
                $stored[$place] = mt_rand(0, 9);
            }
            $wanted = mt_rand(1, 30);
            $split = (new PullPlan())->split($wanted, $stored, mt_rand(1, 6), false);
            self::assertSame($wanted, array_sum($split['from']) + $split['missing']);
            self::assertSame(max(0, $wanted - array_sum($stored)), $split['missing']);
            foreach ($split['from'] as $place => $part) {
                self::assertLessThanOrEqual($stored[$place], $part);
            }
        }
    }
}
