<?php

declare(strict_types=1);

namespace App\Tests\Kits\Kits;

use App\Room\Catalogue\Item;
use App\Room\Log\AuditReading;
use App\Tests\RoomTestCase;
use Lottel\Core\Label\ScanCode;

final class FolderTest extends RoomTestCase
{
    private Item $card;
    private Item $stamps;
    private int $kit;

    protected function setUp(): void
    {
        parent::setUp();
        $this->furnish();
        [$this->card] = $this->putInto('C2', 'White card; ; 30');
        [$this->stamps] = $this->putInto('C1', 'Gull stamps; ; 1');
        $this->kit = $this->pulled('Gulls');
    }

    private function pulled(string $name): int
    {
        $kit = $this->planKit($name, [[$this->card, 4], [$this->stamps, 1]]);
        $this->postAndFollow("/kits/{$kit}/pull");
        $this->postAndFollow("/kits/{$kit}/pull/take", ['place' => 'C2', 'needs' => [$this->needId($kit, $this->card)]]);

        return $kit;
    }

    public function testAKitWaitsInAFolderAndItsTrayIsFree(): void
    {
        $page = $this->postAndFollow("/kits/{$this->kit}/park", ['home' => 'C5']);
        self::assertStringContainsString('“Gulls” waits in folder 1 in C5', $page->filter('.said')->text());
        self::assertSame(['C2' => 26, 'bought' => -30, 'folder 1' => 4], $this->balances($this->card));
        self::assertStringContainsString('which stands in C5', $page->filter('.parked')->text());
        self::assertCount(0, $page->filter('.rail .tray, .trays .tray'), 'no tray along the bottom');
        $other = $this->pulled('Menus');
        self::assertSame('tray 1', $this->word('SELECT p.address FROM kit k JOIN place p ON p.id = k.tray_id WHERE k.id = ?', [$other]));
        self::assertStringContainsString('folder 1', $this->get('/plan')->text());
        self::assertSame('F1', $this->get('/return')->filter('.tray-number')->first()->text());
        $this->signIn('hank');
        $taken = $this->postAndFollow("/kits/{$this->kit}/take-up");
        self::assertStringContainsString('“Gulls” is on tray 2', $taken->filter('.said')->text(), 'on another device, by another person');
        self::assertSame(['C2' => 22, 'bought' => -30, 'tray 1' => 4, 'tray 2' => 4], $this->balances($this->card));
        self::assertSame([], $this->service(AuditReading::class)->report()->differences);
    }

    public function testTwiceIsToldAndChangesNothing(): void
    {
        $this->postAndFollow("/kits/{$this->kit}/park", ['home' => '']);
        $page = $this->post("/kits/{$this->kit}/park", ['home' => '']);
        $this->assertCode(409);
        self::assertStringContainsString('waits in folder 1 already', $page->text());
        $this->postAndFollow("/kits/{$this->kit}/take-up");
        $this->post("/kits/{$this->kit}/take-up");
        $this->assertCode(409);
        self::assertSame(['C2' => 26, 'bought' => -30, 'tray 1' => 4], $this->balances($this->card));
        $planned = $this->planKit('Planned', []);
        $this->post("/kits/{$planned}/park", ['home' => '']);
        $this->assertCode(409, 'what is not pulled cannot be parked');
        $page = $this->post("/kits/{$this->kit}/park", ['_form' => 'park', 'home' => 'Z9']);
        $this->assertCode(422);
        self::assertStringContainsString('Z9', $page->filter('#park-home-error')->text());
    }

    public function testAFolderIsBroughtHomeLikeATray(): void
    {
        $this->postAndFollow("/kits/{$this->kit}/park", ['home' => 'C5']);
        $this->postAndFollow("/kits/{$this->kit}/return");
        $this->postAndFollow("/kits/{$this->kit}/return/home", ['items' => [(string) $this->card->id], 'address' => 'C2']);
        $this->postAndFollow("/kits/{$this->kit}/close");
        self::assertSame('closed', $this->stage($this->kit));
        self::assertSame(['C2' => 30, 'bought' => -30], $this->balances($this->card));
        $this->postAndFollow('/kits/'.($next = $this->pulled('Menus')).'/park', ['home' => '']);
        self::assertSame('folder 1', $this->word('SELECT p.address FROM kit k JOIN place p ON p.id = k.tray_id WHERE k.id = ?', [$next]), 'it is free again');
    }

    public function testTheLogKeepsThePark(): void
    {
        $this->postAndFollow("/kits/{$this->kit}/park", ['home' => '']);
        self::assertStringContainsString('carried', $this->get('/log')->text());
        $line = $this->number("SELECT max(id) FROM movement WHERE reason = 'park'");
        $this->post("/log/{$line}/reverse");
        $this->assertCode(409, 'its tray is another kit’s by then, perhaps; taking it up is the way back');
    }

    public function testACollectionIsPulledAndPutBackAsOne(): void
    {
        [$paper, $gems, $other] = $this->putInto('C2', 'Slip paper; ; 3', 'Lamp gems; ; 12', 'Rope; ; 4');
        $ids = implode(', ', array_map(static fn (Item $item): string => (string) $item->id, [$paper, $gems, $this->stamps]));
        $this->database()->executeStatement("UPDATE item SET collection = 'Harbour lights' WHERE id IN ({$ids})");
        $this->entities()->clear();
        $kit = $this->planKit('Lights', [[$gems, 2]]);
        self::assertStringContainsString('Harbour lights, 3 things', $this->get("/kits/{$kit}")->filter('#collection-collection')->text());
        $said = $this->postAndFollow("/kits/{$kit}/collection", ['collection' => 'Harbour lights'])->filter('.said')->text();
        self::assertStringContainsString('2 things of “Harbour lights” are on the list', $said);
        $list = $this->database()->fetchAllKeyValue('SELECT item_id, quantity FROM need WHERE kit_id = ? ORDER BY item_id', [$kit]);
        self::assertEquals([(int) $this->stamps->id => 1, (int) $paper->id => 3, (int) $gems->id => 2], $list, 'all that is there; what stood there stays');
        self::assertArrayNotHasKey((int) $other->id, $list);
        $this->post("/kits/{$kit}/collection", ['collection' => 'Harbour lights']);
        $this->assertCode(409, 'once more there is nothing to add');
        $this->post("/kits/{$kit}/collection", ['collection' => 'No such']);
        $this->assertCode(409);
    }

    public function testACollectionIsKeptWholeAndBrokenUp(): void
    {
        [$paper] = $this->putInto('C2', 'Slip paper; ; 3');
        [$gems] = $this->putInto('C3', 'Lamp gems; ; 12');
        $this->database()->executeStatement("UPDATE item SET collection = 'Harbour lights' WHERE id IN (?, ?, ?)", [$paper->id, $gems->id, $this->stamps->id]);
        $this->entities()->clear();
        self::assertStringContainsString('in 3 places', $this->get('/stores/collections')->filter('.collection')->text());
        $this->signIn('hank');
        foreach (['together', 'broken-up'] as $what) {
            $this->post("/stores/collections/{$what}", ['collection' => 'Harbour lights', 'address' => 'C5']);
            $this->assertCode(403, 'a helper does not change the room');
        }
        $this->signIn('olive');
        $wrong = $this->post('/stores/collections/together', ['_form' => 'together-1', 'collection' => 'Harbour lights', 'address' => 'Z9']);
        $this->assertCode(422);
        self::assertStringContainsString('Z9', $wrong->filter('.collection .field-error')->text());
        $this->postAndFollow('/stores/collections/together', ['collection' => 'Harbour lights', 'address' => 'C5']);
        self::assertStringContainsString('kept whole in', $this->get('/stores/collections')->filter('.collection')->text());
        self::assertSame([3, 12], [$this->balances($this->item((int) $paper->id))['C5'], $this->balances($this->item((int) $gems->id))['C5']]);
        $said = $this->postAndFollow('/stores/collections/broken-up', ['collection' => 'Harbour lights'])->filter('.said')->text();
        self::assertStringContainsString('3 things wait for homes of their own', $said);
        self::assertSame(['bought' => -12, 'not filed' => 12], $this->balances($this->item((int) $gems->id)));
        self::assertNull($this->item((int) $this->stamps->id)->home, 'what is out with a kit has no home either');
        $this->post('/stores/collections/broken-up', ['collection' => 'Harbour lights']);
        $this->assertCode(404, 'an old page');
        $step = $this->word('SELECT id FROM write_request WHERE is_undoable ORDER BY id DESC LIMIT 1');
        $this->postAndFollow('/log/undo', ['step' => $step, 'back' => '/stores']);
        self::assertStringContainsString('kept whole in', $this->get('/stores/collections')->filter('.collection')->text(), 'the undo keeps it whole again');
        self::assertSame(12, $this->balances($this->item((int) $gems->id))['C5']);
        self::assertSame([], $this->service(AuditReading::class)->report()->differences);
    }

    public function testAFolderHasALabelThatIsScanned(): void
    {
        $this->get('/stores/folders/1/label');
        $this->assertCode(404, 'a place of the room is no folder');
        $this->postAndFollow("/kits/{$this->kit}/park", ['home' => 'C5']);
        $folder = $this->number('SELECT tray_id FROM kit WHERE id = ?', [$this->kit]);
        $label = $this->get("/kits/{$this->kit}")->filter('.parked a.link')->attr('href');
        self::assertSame("/stores/folders/{$folder}/label", $label);
        $page = $this->get($label);
        self::assertSame('Label of F1', $page->filter('h1')->text());
        self::assertStringContainsString('Gulls', $page->filter('.label-stage')->text());
        $large = $this->get($label.'?format=front&width=90+mm&height=40+mm&code=1')->filter('.label-stage')->text();
        self::assertStringContainsString('stands in C5', $large);
        $this->get("/stores/labels/folder/{$folder}.pdf?code=1");
        self::assertStringStartsWith('%PDF', $this->browser->getInternalResponse()->getContent());
        $scanned = $this->postAndFollow('/scan', ['code' => (string) ScanCode::ofPlace($folder)]);
        self::assertSame('Gulls', $scanned->filter('h1')->text(), 'scanned, it leads to its kit');
        $this->postAndFollow("/kits/{$this->kit}/take-up");
        $this->get($label);
        $this->assertCode(404, 'nothing waits in it');
        $this->post('/scan', ['_form' => 'scan', 'code' => (string) ScanCode::ofPlace($folder)]);
        $this->assertCode(404);
    }

    public function testADueDayInTwoHundredYearsIsAskedAbout(): void
    {
        $fields = ['_form' => 'kit', 'name' => 'Gulls', 'makes' => '', 'due_on' => '2227-01-01', 'for_whom' => '', 'occasion' => '', 'note' => ''];
        $page = $this->post("/kits/{$this->kit}", $fields);
        $this->assertCode(422);
        self::assertStringContainsString('more than twenty years ahead', $page->filter('#kit-due_on-error')->text());
        $past = $this->postAndFollow("/kits/{$this->kit}", ['due_on' => '2020-01-01'] + $fields);
        self::assertStringContainsString('That day is past', $past->filter('.said')->text());
    }
}
