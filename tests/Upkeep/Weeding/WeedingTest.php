<?php

declare(strict_types=1);

namespace App\Tests\Upkeep\Weeding;

use App\Room\Catalogue\Item;
use App\Tests\RoomTestCase;
use App\Upkeep\Weeding\UnusedReading;
use Lottel\Core\Catalogue\Kind;
use Symfony\Component\Clock\Clock;
use Symfony\Component\Clock\ClockInterface;
use Symfony\Component\Clock\MockClock;

/** What nobody used is looked at drawer by drawer, and stays or goes with one key. */
final class WeedingTest extends RoomTestCase
{
    private ClockInterface $real;
    private MockClock $clock;
    private Item $gulls;
    private Item $gems;

    protected function setUp(): void
    {
        parent::setUp();
        $this->real = Clock::get();
        $this->clock = new MockClock('2025-01-10 10:00:00');
        Clock::set($this->clock);
        $this->furnish();
        [$this->gulls] = $this->putInto('C1', 'Gulls');
        [$this->gems] = $this->putInto('C4', 'Lamp gems;;40');
        $this->database()->executeStatement("UPDATE item SET kind = 'embellishment', tracking = 'count' WHERE id = ?", [$this->gems->id]);
        $this->entities()->clear();
        $this->clock->modify('2026-03-05 09:00:00');
    }

    protected function tearDown(): void
    {
        Clock::set($this->real);
        parent::tearDown();
    }

    /** @return array{int, list<int>} the round and its tasks */
    private function begin(): array
    {
        $this->postAndFollow('/upkeep/idle', ['months' => '12', 'place' => [(string) $this->place('C1')->id, (string) $this->place('C4')->id]]);
        $round = $this->number('SELECT max(id) FROM errand');

        return [$round, [$this->number('SELECT min(id) FROM errand_task'), $this->number('SELECT max(id) FROM errand_task')]];
    }

    public function testWhatWasNotUsedIsToldWithItsRoom(): void
    {
        $this->get('/upkeep/idle');
        self::assertStringContainsString('Not used for a year', $this->text());
        self::assertStringContainsString('2 things', $this->text());
        $this->get('/upkeep/idle?months=24');
        self::assertStringContainsString('Too early to say', $this->text());
        $this->database()->executeStatement("UPDATE item SET since = '2020-01-01 00:00:00', used_at = datetime('now')");
        $this->get('/upkeep/idle?months=24&kind=ink');
        self::assertStringContainsString('All of it is used', $this->text());
        $this->get('/upkeep/idle?months=-3&kind=stars');
        $this->assertCode(200);
    }

    public function testOneKeyKeepsOrParts(): void
    {
        [$round, [$first, $second]] = $this->begin();
        self::assertStringContainsString('Give away', $this->text());
        $this->postAndFollow("/upkeep/rounds/{$round}/weed", ['task' => $first, 'fate' => 'keep']);
        self::assertStringContainsString('Gulls stays.', $this->text());
        self::assertSame(1, $this->balances($this->gulls)['C1']);
        $this->postAndFollow("/upkeep/rounds/{$round}/weed", ['task' => $second, 'fate' => 'give away']);
        self::assertStringContainsString('Lamp gems is in the give-away box.', $this->text());
        self::assertSame(40, $this->balances($this->gems)['give-away box']);
        self::assertStringContainsString('The round is over', $this->text());
        $month = $this->service(UnusedReading::class)->month(Kind::Embellishment, new \DateTimeImmutable('2026-03-01'));
        self::assertSame([40, 0, 40, 0, 0, 0], [$month->before, $month->used, $month->partedWith, $month->cameIn, $month->left, $month->otherwise()]);
        $this->get('/upkeep/idle?kind=embellishment');
        self::assertStringContainsString('100 % of what there was is gone', $this->text());
        $this->postAndFollow('/log/undo', ['step' => $this->word('SELECT request_id FROM movement ORDER BY id DESC LIMIT 1'), 'back' => '/upkeep/idle']);
        self::assertSame(40, $this->balances($this->gems)['C4']);
    }

    public function testWhatWaitsInABoxIsGoneOrComesHome(): void
    {
        [$round, [$first, $second]] = $this->begin();
        $this->postAndFollow("/upkeep/rounds/{$round}/weed", ['task' => $first, 'fate' => 'sell']);
        $this->postAndFollow("/upkeep/rounds/{$round}/weed", ['task' => $second, 'fate' => 'give away']);
        self::assertStringContainsString('0 things out', $this->text(), 'what waits to be gone is not out with anything');
        $page = $this->get('/upkeep/parting');
        self::assertStringContainsString('2 things in boxes', $page->text());
        self::assertCount(2, $page->filter('.parting'));
        $gems = ['items' => [(string) $this->gems->id], 'fate' => 'give away'];
        $this->post('/upkeep/parting', ['fate' => 'sell'] + $gems);
        $this->assertCode(409, 'it is in another box');
        $this->post('/upkeep/parting', ['fate' => 'keep'] + $gems);
        $this->assertCode(409);
        $this->post('/upkeep/parting', ['items' => []] + $gems);
        $this->assertCode(409, 'nothing is chosen');
        self::assertStringContainsString('Lamp gems is given away.', $this->postAndFollow('/upkeep/parting', $gems)->text());
        self::assertSame(['bought' => -40, 'given away' => 40], $this->balances($this->gems));
        $month = $this->service(UnusedReading::class)->month(Kind::Embellishment, new \DateTimeImmutable('2026-03-01'));
        self::assertSame([40, 40, 0], [$month->before, $month->partedWith, $month->left], 'parted with once');
        $text = $this->postAndFollow('/upkeep/parting', ['items' => [(string) $this->gulls->id], 'fate' => 'sell', 'back' => '1'])->text();
        self::assertStringContainsString('Gulls is home again.', $text);
        self::assertSame(1, $this->balances($this->gulls)['C1']);
        self::assertStringContainsString('The boxes are empty', $text);
        $this->signIn('hank');
        $this->post('/upkeep/parting', $gems);
        $this->assertCode(403);
    }

    public function testWhatIsThereTwiceIsLookedAtSideBySide(): void
    {
        self::assertStringContainsString('Nothing is there twice', $this->get('/upkeep/doubles')->text());
        [$one, $other] = $this->putInto('C1', 'Harbour gulls stamps; Oddling', 'Gulls, harbour stamps; Two Bollards');
        $page = $this->get('/upkeep/doubles');
        self::assertStringContainsString('called nearly the same', $page->filter('.doubles')->text());
        $this->post('/upkeep/doubles', ['pair' => ['1-999']]);
        self::assertStringContainsString('The room has changed', $this->text());
        $this->post('/upkeep/doubles');
        $this->assertCode(409);
        $this->postAndFollow('/upkeep/doubles', ['pair' => ["{$one->id}-{$other->id}"]]);
        self::assertStringContainsString('1 pair that may be doubles', $this->text());
        $round = $this->number('SELECT max(id) FROM errand');
        $task = $this->number('SELECT id FROM errand_task WHERE errand_id = ? AND item_id = ?', [$round, $other->id]);
        $this->postAndFollow("/upkeep/rounds/{$round}/weed", ['task' => $task, 'fate' => 'give away']);
        self::assertStringContainsString('Nothing is there twice', $this->get('/upkeep/doubles')->text());
    }

    public function testAWeededThingMayLiveElsewhere(): void
    {
        [$round, [$first]] = $this->begin();
        $this->post("/upkeep/rounds/{$round}/weed-into", ['task' => $first, 'to' => 'Z9', '_form' => 'into-'.$first]);
        $this->assertCode(422);
        self::assertSame('Z9', $this->browser->getCrawler()->filter("#into-{$first}-to")->attr('value'));
        $text = $this->postAndFollow("/upkeep/rounds/{$round}/weed-into", ['task' => $first, 'to' => 'C2'])->text();
        self::assertStringContainsString('Gulls lives in C2 from now on.', $text);
        self::assertSame([1, 'C2'], [$this->balances($this->gulls)['C2'], $this->item((int) $this->gulls->id)->home?->address]);
        $this->post("/upkeep/rounds/{$round}/weed-into", ['task' => $first, 'to' => 'C3']);
        $this->assertCode(409, 'once');
    }

    public function testACraftedFormPartsWithNothing(): void
    {
        [$round, [$first]] = $this->begin();
        $this->post("/upkeep/rounds/{$round}/weed", ['task' => $first, 'fate' => 'burn']);
        $this->assertCode(422);
        $this->post("/upkeep/rounds/{$round}/found", ['task' => $first]);
        $this->assertCode(409, 'it is not looked for');
        $this->signIn('hank');
        $this->post("/upkeep/rounds/{$round}/weed", ['task' => $first, 'fate' => 'give away']);
        $this->assertCode(403);
        self::assertSame(1, $this->balances($this->gulls)['C1']);
    }

    public function testNothingChosenOrNothingIdleBeginsNoRound(): void
    {
        $this->post('/upkeep/idle', ['months' => '12']);
        $this->assertCode(409);
        $this->post('/upkeep/idle', ['months' => '24', 'place' => [(string) $this->place('C1')->id]]);
        $this->assertCode(409);
        $this->post('/upkeep/idle', ['months' => '12', 'place' => ['999999', 'x']]);
        $this->assertCode(409);
        self::assertSame(0, $this->number('SELECT count(*) FROM errand'));
    }
}
