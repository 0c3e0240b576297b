<?php

declare(strict_types=1);

namespace App\Tests\Upkeep\Restock;

use App\Kits\Kits\Kits;
use App\Kits\Kits\StartPull;
use App\Kits\Making\WorkAtBench;
use App\Kits\Rounds\PullItem;
use App\Platform\Steps\Step;
use App\Room\Catalogue\Item;
use App\Room\Catalogue\KeepHomes;
use App\Room\Catalogue\Prices;
use App\Room\Log\LogBook;
use App\Room\Stores\Places;
use App\Tests\RoomTestCase;
use App\Upkeep\Restock\AlikeReading;
use App\Upkeep\Restock\AlikeThing;
use App\Upkeep\Restock\RestockReading;
use App\Upkeep\Restock\ShoppingList;
use App\Upkeep\Restock\StockRow;
use Lottel\Core\Kit\Stage;
use Lottel\Core\Log\Outside;
use Lottel\Core\Log\Reason;
use Symfony\Component\Clock\Clock;
use Symfony\Component\Clock\MockClock;

/** What is used up runs out, is ordered in time, and goes to its home when it was bought. */
final class RestockTest extends RoomTestCase
{
    private \Symfony\Component\Clock\ClockInterface $real;
    private MockClock $clock;
    private Item $foam;

    protected function setUp(): void
    {
        parent::setUp();
        $this->real = Clock::get();
        $this->clock = new MockClock('2026-03-02 10:00:00');
        Clock::set($this->clock);
        $this->furnish();
        [$this->foam] = $this->putInto('C2', 'Foam square card; Oddling; 200; ; Petrel');
    }

    protected function tearDown(): void
    {
        Clock::set($this->real);
        parent::tearDown();
    }

    /** So much is used up each week, with a kit a week. */
    private function use(int $weeks, int $quantity): void
    {
        for ($week = 0; $week < $weeks; ++$week) {
            $this->clock->sleep(7 * 86400);
            $id = $this->planKit('Week '.$week, [[$this->foam, $quantity]]);
            $this->step(function (Step $step) use ($id, $quantity): void {
                ($this->service(StartPull::class))($step, $this->kit($id));
                $need = $this->service(Kits::class)->need($id, $this->needId($id, $this->foam));
                $this->service(PullItem::class)->take($step, $need, $this->place('C2'), $quantity);
                $this->kit($id)->goTo(Stage::Making);
            });
            $this->step(function (Step $step) use ($id, $quantity): void {
                $this->service(WorkAtBench::class)->useUp($step, $this->kit($id), $this->item((int) $this->foam->id), $quantity);
                $kit = $this->kit($id);
                $kit->goTo(Stage::Returning);
                $kit->close(0, $step->at);
            });
        }
    }

    private function stock(): StockRow
    {
        return $this->service(RestockReading::class)->all()[0];
    }

    public function testWhatIsUsedUpRunsOutInTime(): void
    {
        $this->use(8, 12);
        $row = $this->stock();
        self::assertSame(200 - 96, $row->forecast->left);
        self::assertEqualsWithDelta(12.0, $row->forecast->rate->aWeek, 0.01);
        self::assertEqualsWithDelta(7 * 104 / 12, $row->forecast->out, 0.5);
        self::assertFalse($row->forecast->isSoon());
        self::assertSame([104, 116, 128], \array_slice(array_reverse($row->levels), 0, 3), 'as it fell, week by week');
        $this->get('/upkeep/stocks');
        self::assertStringContainsString('104 left · about 12 a week', $this->text());
    }

    public function testASpareAndALeadTimeMakeItDueSooner(): void
    {
        $this->use(8, 12);
        $this->postAndFollow("/upkeep/stocks/{$this->foam->id}", ['spare' => '60', 'lead' => '28', 'ceiling' => '2.50', 'of' => '100']);
        self::assertTrue($this->stock()->forecast->isDue(), '48 while it comes, and 60 that are kept');
        $this->get('/upkeep/stocks');
        self::assertStringContainsString('order now', $this->text());
        $absurd = [['lead' => '-1'], ['lead' => 'soon'], ['spare' => 'lots'], ['ceiling' => '-3'], ['ceiling' => '3 EUR'], ['ceiling' => '2', 'of' => '0']];
        foreach ($absurd as $bad) {
            $this->post("/upkeep/stocks/{$this->foam->id}", $bad + ['_form' => 'stock-'.$this->foam->id]);
            $this->assertCode(422, json_encode($bad) ?: '');
        }
        [$gulls] = $this->putInto('C1', 'Gulls');
        $this->post("/upkeep/stocks/{$gulls->id}", ['spare' => '2']);
        $this->assertCode(409);
        self::assertStringContainsString('there is no stock of it', $this->text());
    }

    public function testCardsOfTheCalendarTakeWhatCardsTookSoFar(): void
    {
        self::assertStringNotContainsString('Cards in the calendar', $this->get('/upkeep/shopping')->text());
        $date = ['_form' => 'occasion', 'kind' => 'other', 'person' => '', 'name' => 'Harbour day', 'on' => '20 April', 'wants' => '', 'pieces' => '30',
            'days_ahead' => '', 'lasts' => ''];
        $this->postAndFollow('/occasions', $date);
        $this->clock->sleep(14 * 86400);
        $text = $this->get('/upkeep/shopping')->text();
        self::assertStringContainsString('30 cards of the next 8 weeks have no kit yet.', $text);
        self::assertStringContainsString('The log knows no card yet', $text);
        $this->database()->executeStatement("UPDATE item SET kind = 'paper' WHERE id = ?", [$this->foam->id]);
        $this->use(2, 60);
        [$roll] = $this->putInto('C2', 'Rope wrap; ; 20 yd');
        $this->database()->executeStatement("UPDATE item SET kind = 'paper' WHERE id = ?", [$roll->id]);
        $wrap = $this->planKit('Wrapping', [[$roll, 9000]]);
        $this->step(function (Step $step) use ($wrap, $roll): void {
            ($this->service(StartPull::class))($step, $this->kit($wrap));
            $this->service(PullItem::class)->take($step, $this->service(Kits::class)->need($wrap, $this->needId($wrap, $roll)), $this->place('C2'), 9000);
            $this->kit($wrap)->goTo(Stage::Making);
            $this->service(WorkAtBench::class)->useUp($step, $this->kit($wrap), $this->item((int) $roll->id), 9000);
        });
        $kit = $this->planKit('Day cards', [[$this->foam, 1]]);
        $this->step(function (Step $step) use ($kit): void {
            ($this->service(StartPull::class))($step, $this->kit($kit));
            $this->service(WorkAtBench::class)->finish($step, $this->kit($kit), 'Day cards', 40, null, []);
        });
        $text = $this->get('/upkeep/shopping')->text();
        self::assertStringContainsString('about 90 pieces of the kind paper, 3 each as cards took so far: 11 too few of 79 that are free', $text);
        self::assertStringContainsString('an estimate from 40 pieces', $text);
    }

    public function testBoughtItGoesHomeWithItsPrice(): void
    {
        $this->use(8, 12);
        $this->postAndFollow("/upkeep/stocks/{$this->foam->id}", ['spare' => '60', 'lead' => '28', 'ceiling' => '2.50', 'of' => '100']);
        $this->step(function (): void {
            $this->service(Prices::class)->paid($this->item((int) $this->foam->id), 400, 50, new \DateTimeImmutable('2026-03-01'), 'Quayside Papers');
        });
        $this->putInto('C2', 'Petrel mats; Oddling; 30; ; Petrel');
        $this->database()->executeStatement("UPDATE item SET colour = '#1f5c6b', kind = 'paper'");
        $this->get('/upkeep/shopping');
        self::assertStringContainsString('Quayside Papers', $this->text());
        self::assertStringContainsString('running out', $this->text());
        self::assertStringContainsString('above what you pay', $this->text(), '8 a sheet is more than 2.5');
        self::assertStringContainsString('You have one like it already: Petrel mats in C2, nearly its colour.', $this->text());
        $this->postAndFollow("/upkeep/shopping/{$this->foam->id}", ['quantity' => '100', 'price' => '7.20', 'shop' => 'Quayside Papers']);
        self::assertStringContainsString('100 of Foam square card in C2, for 7.20.', $this->text());
        self::assertSame(204, $this->balances($this->foam)['C2']);
        self::assertSame(720, $this->number('SELECT cents FROM price ORDER BY id DESC LIMIT 1'));
        self::assertStringContainsString('Spent', $this->text());
        $this->postAndFollow('/log/undo', ['step' => $this->word('SELECT request_id FROM movement ORDER BY id DESC LIMIT 1'), 'back' => '/upkeep/shopping']);
        self::assertSame(104, $this->balances($this->foam)['C2']);
        self::assertSame(400, $this->number('SELECT cents FROM price ORDER BY id DESC LIMIT 1'), 'and the price is gone, too');
    }

    public function testBadAmountsAreRefusedAndNothingIsTakenIn(): void
    {
        $path = "/upkeep/shopping/{$this->foam->id}";
        $absurd = [['quantity' => '0'], ['quantity' => '-4'], ['quantity' => '9999999999999']];
        foreach ([...$absurd, ['quantity' => '5', 'price' => '-1'], ['quantity' => '5', 'price' => '$3']] as $bad) {
            $this->post($path, $bad);
            $this->assertCode(422, json_encode($bad) ?: '');
        }
        self::assertSame(200, $this->balances($this->foam)['C2']);
        $this->post('/upkeep/shopping/999', ['quantity' => '5']);
        $this->assertCode(404);
        $this->signIn('hank');
        $this->post($path, ['quantity' => '5']);
        $this->assertCode(403);
    }

    public function testWhatKitsLackIsOnTheList(): void
    {
        $this->planKit('A great many', [[$this->foam, 260]]);
        $this->get('/upkeep/shopping');
        self::assertStringContainsString('for A great many', $this->text());
        [$shop] = $this->service(ShoppingList::class)->shops();
        self::assertSame('', $shop->name);
        self::assertNull($shop->cents());
        self::assertSame(1, $shop->unpriced());
        $this->get('/upkeep/shopping.csv');
        self::assertStringContainsString('"Foam square card",Oddling,60,', (string) $this->browser->getResponse()->getContent());
    }

    public function testWithoutALogNothingRunsOut(): void
    {
        $this->get('/upkeep/stocks');
        self::assertStringContainsString('The log says nothing yet', $this->text());
        $this->get('/upkeep/shopping');
        self::assertStringContainsString('Nothing is to be bought', $this->text());
        $this->use(2, 5);
        self::assertSame([], $this->service(RestockReading::class)->all(), 'two weeks are too short');
        $this->step(fn (Step $step) => $this->service(KeepHomes::class)->giveHome($step, $this->item((int) $this->foam->id), $this->place('C4')));
    }

    public function testOnlyWhatLiesInADrawerIsAlike(): void
    {
        [$lent, $here] = $this->putInto('C2', 'Foam square cards; Oddling; 1; ; Petrel', 'Foam squares card; Oddling; 1; ; Petrel');
        $this->step(function (Step $step) use ($lent): void {
            $gone = $this->service(Places::class)->outside(Outside::GivenAway);
            $this->service(LogBook::class)->move($step, $this->item((int) $lent->id)->moves(1, $this->place('C2'), $gone, Reason::Discard));
        });
        $alike = $this->service(AlikeReading::class)->of([(int) $this->foam->id])[(int) $this->foam->id] ?? [];
        self::assertSame([(int) $here->id], array_map(static fn (AlikeThing $one): int => $one->thing->id, $alike));
        $id = $this->planKit('Squares', [[$here, 1]]);
        $this->step(function (Step $step) use ($id, $here): void {
            ($this->service(StartPull::class))($step, $this->kit($id));
            $this->service(PullItem::class)->take($step, $this->service(Kits::class)->need($id, $this->needId($id, $here)), $this->place('C2'), 1);
        });
        self::assertSame([], $this->service(AlikeReading::class)->of([(int) $this->foam->id]), 'on a tray it is spoken for');
    }

    public function testItIsBoughtWhereItWasBoughtLastEvenIfALaterPriceSaysNoShop(): void
    {
        $this->use(8, 12);
        $this->step(function (): void {
            $foam = $this->item((int) $this->foam->id);
            $this->service(Prices::class)->paid($foam, 400, 50, new \DateTimeImmutable('2026-03-01'), 'Quayside Papers');
            $this->service(Prices::class)->paid($foam, 500, 50, new \DateTimeImmutable('2026-03-09'), '');
        });
        self::assertSame(['Quayside Papers', 500], [$this->stock()->shop, $this->stock()->last?->cents]);
    }
}
