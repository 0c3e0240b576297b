<?php

declare(strict_types=1);

namespace App\Tests\Upkeep\Figures;

use App\Kits\Kits\Kits;
use App\Kits\Kits\StartPull;
use App\Kits\Rounds\BringHome;
use App\Kits\Rounds\PullItem;
use App\Kits\Rounds\ReturnItem;
use App\Platform\Steps\Step;
use App\Tests\RoomTestCase;
use App\Upkeep\Figures\FiguresReading;
use App\Upkeep\Figures\MonthFigures;
use App\Upkeep\Figures\RoomFigures;
use Lottel\Core\Upkeep\Figures\Proportion;
use Symfony\Component\Clock\Clock;
use Symfony\Component\Clock\MockClock;

/** The figures are those of the rows that they open. */
final class FiguresTest extends RoomTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->furnish();
    }

    public function testAnEmptyRoomHasNoFigures(): void
    {
        $this->get('/upkeep/figures');
        $this->assertCode(200);
        self::assertStringContainsString('Nothing yet: no re-homing round was walked.', $this->text());
        $months = $this->service(FiguresReading::class)->now()->months;
        self::assertCount(6, $months);
        self::assertNull($months[5]->back->percent());
    }

    public function testWasteIsOfAllThatWasCut(): void
    {
        $none = new Proportion(0, 0);
        $at = '2026-03';
        $month = static fn (int $in, int $out, Proportion $waste): MonthFigures => new MonthFigures($at, $none, $none, $in, $out, $none, $waste, 0);
        $room = new RoomFigures([$month(3, 1, new Proportion(10, 100)), $month(2, 7, new Proportion(30, 300)), $month(0, 0, $none)], []);
        self::assertEquals(new Proportion(40, 400), $room->waste());
        self::assertSame(7, $room->mostScraps());
        self::assertNull((new RoomFigures([$month(0, 0, $none)], []))->waste()->percent(), 'of nothing there is no percentage');
    }

    public function testBackWithinADayIsReadFromPullAndReturn(): void
    {
        $real = Clock::get();
        $clock = new MockClock('2026-03-10 10:00:00');
        Clock::set($clock);
        try {
            $items = $this->putInto('C4', 'Gull dies', 'Tern dies', 'Puffin dies');
            foreach ([2, 20, 50] as $nth => $hours) {
                $item = $items[$nth];
                $id = $this->planKit('Kit '.$nth, [[$item, 1]]);
                $this->step(function (Step $step) use ($id, $item): void {
                    ($this->service(StartPull::class))($step, $this->kit($id));
                    $need = $this->service(Kits::class)->need($id, $this->needId($id, $item));
                    $this->service(PullItem::class)->take($step, $need, $this->place('C4'), 1);
                });
                $clock->sleep($hours * 3600);
                $this->step(function (Step $step) use ($id, $item): void {
                    $kit = $this->kit($id);
                    $this->service(BringHome::class)->begin($kit);
                    $this->service(ReturnItem::class)->home($step, $kit, $this->item((int) $item->id), $this->place('C4'), []);
                    $this->service(ReturnItem::class)->close($step, $kit);
                });
            }
            $again = $this->planKit('Once more', [[$items[2], 1]]);
            $this->step(function (Step $step) use ($again, $items): void {
                ($this->service(StartPull::class))($step, $this->kit($again));
                $need = $this->service(Kits::class)->need($again, $this->needId($again, $items[2]));
                $this->service(PullItem::class)->take($step, $need, $this->place('C4'), 1);
            });
            $now = $this->service(FiguresReading::class)->now();
            self::assertSame([2, 3], [$now->months[5]->back->part, $now->months[5]->back->whole]);
            self::assertSame(['die', 3, 3], [$now->kinds[0]->kind->value, $now->kinds[0]->used->part, $now->kinds[0]->used->whole]);
            $this->get('/upkeep/figures');
            self::assertStringContainsString('3 of 3', $this->text());
            $this->get('/upkeep/figures.csv');
            self::assertStringContainsString('2026-03,3,2,0,0,0,0,0,0,0,0', (string) $this->browser->getResponse()->getContent());
        } finally {
            Clock::set($real);
        }
    }

    public function testCountsAndScrapsAreInTheFigures(): void
    {
        [$card] = $this->putInto('C4', 'Petrel offcut');
        $this->database()->executeStatement("UPDATE item SET kind = 'scrap' WHERE id = ?", [$card->id]);
        $this->postAndFollow('/stores/places/C4/count', ['all' => '1', '_form' => 'sheet']);
        $months = $this->service(FiguresReading::class)->now()->months;
        self::assertSame([1, 1], [$months[5]->right->part, $months[5]->right->whole]);
        self::assertSame([1, 0], [$months[5]->scrapsIn, $months[5]->scrapsOut]);
    }
}
