<?php

declare(strict_types=1);

namespace App\Tests\People\Handover;

use App\People\Handover\LeftToGrownUps;
use App\Room\Catalogue\Item;
use App\Room\Log\AuditReading;
use App\Tests\RoomTestCase;
use App\Upkeep\Rounds\UpkeepRound;
use Lottel\Core\Label\ScanCode;
use PHPUnit\Framework\Attributes\DataProvider;

/** A round changes hands; a child leaves some things to a grown-up. */
final class HandoverTest extends RoomTestCase
{
    private int $kit;
    private Item $gulls;
    private Item $knife;

    protected function setUp(): void
    {
        parent::setUp();
        $this->furnish();
        [$this->gulls] = $this->putInto('C1', 'Gulls');
        [$this->knife] = $this->putInto('C4', 'Craft knife; ; 1; ; tool');
        $this->database()->executeStatement("UPDATE item SET hazards = '[\"blade\"]' WHERE id = ?", [$this->knife->id]);
        $this->entities()->clear();
        $this->kit = $this->planKit('Kiosk', [[$this->gulls, 1], [$this->knife, 1]]);
        $this->postAndFollow("/kits/{$this->kit}/pull");
    }

    public function testARoundChangesHandsAndGoesOnWhereItStands(): void
    {
        $this->postAndFollow("/kits/{$this->kit}/pull/take", ['place' => 'C1', 'needs' => [$this->needId($this->kit, $this->gulls)]]);
        $form = $this->get("/kits/{$this->kit}/hand-over")->filter('form.hand-over')->form();
        self::assertSame((string) $this->account('hank')->id, $form->getValues()['to'], 'the only other one is chosen already');
        $this->browser->submit($form, ['note' => 'Mind the wet ink']);
        self::assertStringContainsString('“Kiosk” is handed over to Hank.', $this->browser->followRedirect()->text());
        self::assertStringContainsString('You handed this to Hank', $this->get("/kits/{$this->kit}/pull")->filter('.handed')->text());
        $this->post("/kits/{$this->kit}/hand-over", ['_form' => 'hand-over', 'to' => (string) $this->account('hank')->id]);
        $this->assertCode(409, 'once is enough');

        $this->signIn('hank');
        $page = $this->get('/log');
        self::assertStringContainsString('Olive hands you the pull for “Kiosk”: Mind the wet ink', $page->filter('.handed')->text());
        $this->browser->submit($page->filter('.handed form')->form());
        $page = $this->browser->followRedirect();
        self::assertStringContainsString('1 of 2 things', $page->text());
        self::assertCount(0, $page->filter('.handed'));
        $this->postAndFollow("/kits/{$this->kit}/pull/take", ['place' => 'C4', 'needs' => [$this->needId($this->kit, $this->knife)]]);
        self::assertSame(
            'Olive Gulls, Hank Craft knife',
            $this->word("SELECT group_concat(a.name || ' ' || i.name, ', ') FROM movement m
                JOIN account a ON a.id = m.account_id JOIN item i ON i.id = m.item_id
                WHERE m.reason = 'pull'"),
            'the log says who did what',
        );
    }

    public function testItIsTakenBackOrNotWanted(): void
    {
        $this->give('hank');
        $this->browser->submit($this->get("/kits/{$this->kit}/pull")->filter('.handed form')->form());
        self::assertStringContainsString('You keep “Kiosk”.', $this->browser->followRedirect()->text());
        $this->signIn('hank');
        self::assertCount(0, $this->get('/plan')->filter('.handed'));
        $this->signIn('olive');
        $this->give('hank');
        $this->signIn('hank');
        $this->browser->submit($this->get('/plan')->filter('.handed form')->eq(1)->form());
        self::assertStringContainsString('stays with Olive', $this->browser->followRedirect()->text());
        $this->signIn('olive');
        self::assertCount(0, $this->get("/kits/{$this->kit}/pull")->filter('.handed'));
        $this->post('/handovers/'.$this->number('SELECT max(id) FROM handover').'/drop');
        $this->assertCode(409, 'an old page meets how it stands');
        self::assertStringContainsString('settled in the meantime', $this->text());
        self::assertSame([], $this->service(AuditReading::class)->report()->differences);
    }

    public function testAnUndoTakesTheHandoverBack(): void
    {
        $this->give('hank');
        $this->postAndFollow('/log/undo', ['step' => $this->word('SELECT id FROM write_request ORDER BY id DESC LIMIT 1'), 'back' => '/plan']);
        self::assertSame(0, $this->number('SELECT count(*) FROM handover'));
    }

    public function testOnlyWhomItIsGivenToTakesItOn(): void
    {
        $this->give('hank');
        $id = $this->number('SELECT max(id) FROM handover');
        $this->post("/handovers/{$id}/take");
        $this->assertCode(409);
        $this->post('/handovers/99999/take');
        $this->assertCode(404, 'one that is not there');
        foreach (['', '0', '999', (string) $this->account('olive')->id] as $to) {
            $this->post("/handovers/{$id}/drop");
            $page = $this->post("/kits/{$this->kit}/hand-over", ['_form' => 'hand-over', 'to' => $to, 'note' => 'kept']);
            $this->assertCode(422, $to);
            self::assertSame('kept', $page->filter('#hand-over-note')->attr('value'));
            self::assertStringContainsString('Who goes on with it?', $page->filter('.field-error')->text());
        }
    }

    public function testAnErrandIsHandedOverToo(): void
    {
        $this->postAndFollow('/upkeep/counts', ['which' => 'next', 'many' => '1']);
        $errand = $this->number('SELECT max(id) FROM errand');
        $this->postAndFollow("/upkeep/rounds/{$errand}/hand-over", ['to' => (string) $this->account('hank')->id]);
        self::assertStringContainsString('handed this to Hank', $this->get("/upkeep/rounds/{$errand}")->filter('.handed')->text());
        $this->signIn('hank');
        $this->browser->submit($this->get('/plan')->filter('.handed form')->form());
        $goTo = (string) parse_url((string) $this->browser->getResponse()->headers->get('Location'), \PHP_URL_PATH);
        self::assertSame("/upkeep/rounds/{$errand}", $goTo);
    }

    /** @return iterable<string, array{string, array<string, mixed>}> */
    public static function waysToTake(): iterable
    {
        yield 'on the round' => ['/kits/KIT/pull/take', ['place' => 'C4', 'needs' => ['NEED']]];
        yield 'fewer of it' => ['/kits/KIT/pull/fewer', ['place' => 'C4', 'need' => 'NEED', 'quantity' => '1']];
        yield 'at once into a kit' => ['/things/into-kit', ['kit' => 'KIT', 'items' => ['ITEM'], 'now' => '1', 'from' => 'place:C4']];
        yield 'one more at the bench' => ['/kits/KIT/make/more', ['item' => 'ITEM', 'quantity' => '1']];
        yield 'scanned on the round' => ['/scan', ['code' => 'CODE', 'on' => 'pull:KIT']];
        yield 'lent to somebody' => ['/items/ITEM/lend', ['person' => 'Maren', 'quantity' => '1', 'place' => 'C4']];
    }

    /** @param array<string, mixed> $fields */
    #[DataProvider('waysToTake')]
    public function testAChildLeavesAKnifeToAGrownUp(string $path, array $fields): void
    {
        $before = $this->movements();
        $put = ['KIT' => (string) $this->kit, 'NEED' => (string) $this->needId($this->kit, $this->knife), 'ITEM' => (string) $this->knife->id,
            'CODE' => (string) ScanCode::ofItem((int) $this->knife->id)];
        array_walk_recursive($fields, static function (mixed &$value) use ($put): void {
            $value = strtr(\is_string($value) ? $value : '', $put);
        });
        $this->childIs('hank');
        $this->post(strtr($path, $put), $fields);
        self::assertContains($this->code(), [403, 409]);
        self::assertSame($before, $this->movements(), 'no form, old or crafted, lets a child take it');
        $this->signIn('olive');
        $this->post(strtr($path, $put), $fields);
        $this->assertCode(303, $this->text());
        self::assertSame($before + 1, $this->movements(), 'a grown-up takes it so');
    }

    public function testNoUndoPutsAKnifeIntoAChildsHand(): void
    {
        $this->postAndFollow("/kits/{$this->kit}/pull/take", ['place' => 'C4', 'needs' => [(string) $this->needId($this->kit, $this->knife)]]);
        $this->postAndFollow("/kits/{$this->kit}/return");
        $this->postAndFollow("/kits/{$this->kit}/return/home", ['items' => [(string) $this->knife->id], 'cared' => ['blade']]);
        self::assertArrayHasKey('C4', $this->balances($this->knife));
        $home = $this->number("SELECT max(id) FROM movement WHERE reason = 'return'");
        $this->childIs('hank');
        $this->post("/log/{$home}/reverse");
        $this->assertCode(409);
        self::assertStringContainsString('Craft knife is not for children to take', $this->text());
        $this->signIn('olive');
        $this->postAndFollow("/log/{$home}/reverse");
        self::assertArrayHasKey('tray 1', $this->balances($this->knife), 'a grown-up may');
    }

    public function testAChildFindsNoKnife(): void
    {
        $this->postAndFollow("/kits/{$this->kit}/pull/take", ['place' => 'C4', 'needs' => [(string) $this->needId($this->kit, $this->knife)]]);
        $this->postAndFollow("/kits/{$this->kit}/return");
        $this->postAndFollow("/kits/{$this->kit}/return/lost", ['item' => (string) $this->knife->id]);
        self::assertArrayHasKey('lost', $this->balances($this->knife));
        $this->childIs('hank');
        $this->post("/items/{$this->knife->id}/found", ['address' => 'C4']);
        self::assertContains($this->code(), [403, 409]);
        $this->signIn('olive');
        $this->postAndFollow("/items/{$this->knife->id}/found", ['address' => 'C4']);
    }

    public function testAChildsRoundLeavesOutWhatAGrownUpTakes(): void
    {
        $this->childIs('hank');
        $page = $this->get("/kits/{$this->kit}/pull");
        self::assertStringContainsString('For a grown-up to take', $page->text());
        self::assertStringContainsString('C4', $page->filter('.warning-card')->text());
        $this->post("/kits/{$this->kit}/pull/take", ['place' => 'C4', 'needs' => [$this->needId($this->kit, $this->knife)]]);
        $this->assertCode(409);
        self::assertStringContainsString('Craft knife is not for children to take: ask a grown-up for it.', $this->text());
        $page = $this->postAndFollow("/kits/{$this->kit}/pull/take", ['place' => 'C1', 'needs' => [$this->needId($this->kit, $this->gulls)]]);
        self::assertStringContainsString('A grown-up takes the rest', $page->text());
        self::assertCount(0, $page->filter('.finish-line'), 'the round is not over');
        $this->signIn('olive');
        self::assertStringContainsString('One thing is left to a grown-up: Craft knife', $this->get("/kits/{$this->kit}/hand-over")->text());
        $this->postAndFollow("/kits/{$this->kit}/pull/take", ['place' => 'C4', 'needs' => [$this->needId($this->kit, $this->knife)]]);
        self::assertSame('taken', $this->word('SELECT state FROM need WHERE item_id = ?', [$this->knife->id]));
    }

    private function give(string $to): void
    {
        $this->postAndFollow("/kits/{$this->kit}/hand-over", ['to' => (string) $this->account($to)->id]);
    }

    private function childIs(string $login): void
    {
        $this->database()->executeStatement('UPDATE account SET is_child = 1 WHERE login = ?', [$login]);
        $this->entities()->clear();
        $this->signIn($login);
    }

    public function testAHandoverOfAClosedOrDeletedKitIsOver(): void
    {
        $this->give('hank');
        $this->signIn('hank');
        self::assertCount(1, $this->get('/log')->filter('.handed'));
        $this->database()->executeStatement("UPDATE kit SET removed_at = '2026-12-01 10:00:00' WHERE id = ?", [$this->kit]);
        self::assertCount(0, $this->get('/log')->filter('.handed'), 'deleted');
        $this->database()->executeStatement("UPDATE kit SET removed_at = NULL, stage = 'closed', tray_id = NULL WHERE id = ?", [$this->kit]);
        self::assertCount(0, $this->get('/log')->filter('.handed'), 'closed');
    }

    public function testWhatIsDoneOnARoundOfUpkeepIsLeftToNobody(): void
    {
        $this->postAndFollow('/upkeep/counts', ['which' => 'next', 'many' => '1']);
        $round = $this->entities()->find(UpkeepRound::class, $this->number('SELECT max(id) FROM errand'));
        self::assertNotNull($round);
        $this->database()->executeStatement('UPDATE errand_task SET item_id = ? WHERE errand_id = ?', [$this->knife->id, $round->id]);
        self::assertSame(['Craft knife'], $this->service(LeftToGrownUps::class)->of(null, $round));
        $this->database()->executeStatement("UPDATE errand_task SET state = 'done' WHERE errand_id = ?", [$round->id]);
        self::assertSame([], $this->service(LeftToGrownUps::class)->of(null, $round));
    }
}
