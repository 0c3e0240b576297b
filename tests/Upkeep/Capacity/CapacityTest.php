<?php

declare(strict_types=1);

namespace App\Tests\Upkeep\Capacity;

use App\Platform\Steps\Step;
use App\Room\Catalogue\KeepHomes;
use App\Room\Catalogue\TakeIn;
use App\Tests\RoomTestCase;
use App\Upkeep\Capacity\CapacityReading;
use App\Upkeep\Capacity\FilledPlace;
use Lottel\Core\Log\Outside;
use Symfony\Component\Clock\Clock;
use Symfony\Component\Clock\MockClock;

/** Which places are over their limits, and which will be, read from what came and went. */
final class CapacityTest extends RoomTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->furnish();
    }

    private function of(string $address): FilledPlace
    {
        $found = array_values(array_filter(
            $this->service(CapacityReading::class)->now()->places,
            static fn (FilledPlace $place): bool => $place->address === $address,
        ));

        return $found[0];
    }

    public function testAPlaceOverItsLimitIsToldWithWhatIsWrong(): void
    {
        $this->putInto('C2', 'Petrel card;;4000');
        [$knife] = $this->putInto('C4', 'Craft knife');
        self::assertContains('blade', $knife->hazards);
        $this->get('/upkeep/full');
        self::assertStringContainsString('Full to bursting', $this->text());
        self::assertStringContainsString('Within children’s reach', $this->text());
        self::assertTrue($this->of('C2')->filled->isOver());
        self::assertFalse($this->of('C4')->filled->isOver());
        self::assertSame(['Craft knife'], $this->of('C4')->dangers);
    }

    public function testAChangeIsSeenAtOnce(): void
    {
        $this->get('/upkeep/full');
        self::assertStringContainsString('No place holds more than it should.', $this->text());
        $this->putInto('C2', 'Petrel card;;4000');
        $this->get('/upkeep/full');
        self::assertStringContainsString('1 over', $this->text());
    }

    public function testAPlaceThatGrowsWeekByWeekWillBeFull(): void
    {
        $clock = new MockClock('2026-03-01 10:00:00');
        $real = Clock::get();
        Clock::set($clock);
        try {
            [$card] = $this->putInto('C2', 'Petrel card;;10');
            for ($week = 0; $week < 12; ++$week) {
                $clock->sleep(7 * 86400);
                $this->step(function (Step $step) use ($card): void {
                    $item = $this->item((int) $card->id);
                    $this->service(TakeIn::class)->stock($step, $item, $this->service(KeepHomes::class)->homeOrHeap($item), 10, Outside::Bought);
                });
            }
            $place = $this->of('C2');
            self::assertTrue($place->isGrowing());
            $litresEach = 0.35 * 2.16 * 2.79 * 0.01;
            $capacity = $place->filled->contents->litres / $place->filled->share;
            self::assertEqualsWithDelta(130 * $litresEach, $place->filled->contents->litres, 1e-6);
            $weeks = (0.8 * $capacity - 130 * $litresEach) / (10 * $litresEach);
            self::assertEqualsWithDelta($weeks, $place->until->likely ?? 0.0, 2.0, 'ten sheets a week, the first and the last at the edges');
            $this->get('/upkeep/full');
            self::assertStringContainsString('full in about', $this->text());
        } finally {
            Clock::set($real);
        }
    }

    public function testAnEmptyRoomHasNothingToTell(): void
    {
        $this->get('/upkeep/full');
        $this->assertCode(200);
        self::assertStringContainsString('0 over, 0 near, 5 empty', $this->text());
    }
}
