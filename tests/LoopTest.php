<?php

declare(strict_types=1);

namespace App\Tests;

use App\Room\Catalogue\Item;
use App\Room\Log\AuditReading;
use Symfony\Component\DomCrawler\Crawler;

final class LoopTest extends RoomTestCase
{
    private Item $gulls;
    private Item $terns;
    private Item $card;
    private Item $ink;
    private int $kit;

    protected function setUp(): void
    {
        parent::setUp();
        $this->furnish();
        [$this->gulls, $this->terns] = $this->putInto('C1', 'Lighthouse & gulls; Two Bollards', 'Tern and tide; Two Bollards', 'Lantern room', 'Loose rope');
        [$this->card] = $this->putInto('C2', 'Petrel card; Marrowlight Paper; 24');
        [$this->ink] = $this->putInto('C3', 'Petrel ink');
        $this->kit = $this->planKit('Kiosk gulls', [[$this->gulls, 1], [$this->card, 10], [$this->ink, 1]]);
    }

    public function testFromTheDrawerIntoAKitAndBackHome(): void
    {
        $page = $this->postAndFollow("/kits/{$this->kit}/pull");
        self::assertStringContainsString('stop 1 of 3', $this->text());
        self::assertStringContainsString('between Lantern room and Loose rope', $this->text());
        self::assertSame('C1', $page->filter('.plate.big span')->text());

        $this->take('C1', $this->gulls);
        $this->take('C2', $this->card);
        $page = $this->take('C3', $this->ink);
        self::assertStringContainsString('Everything is on tray 1', $this->text());
        $this->postAndFollow("/kits/{$this->kit}/pull/end");
        self::assertSame(['bought' => -24, 'C2' => 14, 'tray 1' => 10], $this->sorted($this->card));

        $this->postAndFollow("/kits/{$this->kit}/make/use", ['item' => $this->card->id, 'quantity' => '6', '_form' => 'use']);
        $this->postAndFollow("/kits/{$this->kit}/make/use", ['item' => $this->ink->id, 'quantity' => '3', '_form' => 'use']);
        $this->postAndFollow("/kits/{$this->kit}/make/finish", ['name' => 'Gull card', 'quantity' => '6', 'address' => 'c4']);
        $this->post("/kits/{$this->kit}/close");
        $this->assertCode(409);
        self::assertStringContainsString('4 things are still on the tray', $this->text());

        $this->postAndFollow("/kits/{$this->kit}/return");
        self::assertStringContainsString('stop 1 of 4', $this->text());
        $this->post("/kits/{$this->kit}/return/home", ['items' => [$this->gulls->id]]);
        $this->assertCode(409, 'the stamps are not clean yet');
        self::assertStringContainsString('Clean the stamps', $this->text());
        $this->postAndFollow("/kits/{$this->kit}/return/home", ['items' => [$this->gulls->id], 'cared' => ['inky']]);
        $this->postAndFollow("/kits/{$this->kit}/return/home", ['items' => [$this->card->id]]);
        $this->postAndFollow("/kits/{$this->kit}/return/home", ['items' => [$this->ink->id]]);
        $piece = $this->number("SELECT id FROM item WHERE name = 'Gull card'");
        $this->postAndFollow("/kits/{$this->kit}/return/home", ['items' => [$piece]]);
        self::assertStringContainsString('The tray is empty', $this->text());
        $this->postAndFollow("/kits/{$this->kit}/close");
        self::assertSame('closed', $this->stage($this->kit));

        self::assertSame(['bought' => -24, 'C2' => 18, 'used up' => 6], $this->sorted($this->card));
        self::assertSame(['bought' => -8, 'C3' => 5, 'used up' => 3], $this->sorted($this->ink), 'the ink goes home with what is left');
        self::assertSame([], $this->service(AuditReading::class)->report()->differences);
        $this->get("/log?kit={$this->kit}");
        foreach (['pull', 'use', 'make', 'return', 'cared for: inky', 'Olive'] as $seen) {
            self::assertStringContainsString($seen, $this->text());
        }
    }

    public function testARoundIsGoneOnWithFromAnotherDevice(): void
    {
        $this->postAndFollow("/kits/{$this->kit}/pull");
        $this->take('C1', $this->gulls);
        $this->signIn('hank');
        $page = $this->get("/kits/{$this->kit}/pull");
        self::assertStringContainsString('stop 2 of 3', $this->text());
        self::assertSame('C2', $page->filter('.plate.big span')->text());
        self::assertSame('10 × Petrel card', $page->filter('.round-thing h2')->text());
        self::assertMatchesRegularExpression('/^Olive took Lighthouse & gulls, \d+:\d\d\.$/', $page->filter('.other-did')->text());
        self::assertStringContainsString('less than a minute left', $this->text());
        $this->take('C2', $this->card);
        self::assertCount(1, $this->browser->getCrawler()->filter('.other-did'), 'not what one did oneself');
    }

    public function testWhatIsTogetherInOnePlaceIsTakenAndBroughtHomeWithOneKey(): void
    {
        $kit = $this->planKit('Two of one drawer', [[$this->gulls, 1], [$this->terns, 1]]);
        $page = $this->postAndFollow("/kits/{$kit}/pull");
        self::assertSame('Both taken', trim(str_replace(['✓', 'space'], '', $page->filter('[data-key="space"]')->text())));
        $this->browser->submit($page->filter('.round-act form')->form());
        $this->browser->followRedirect();
        self::assertSame(2, $this->kit($kit)->needs->count());
        self::assertSame(['bought' => -1, 'tray 1' => 1], $this->sorted($this->terns));
        $this->postAndFollow("/kits/{$kit}/pull/end");
        $page = $this->postAndFollow("/kits/{$kit}/return");
        $this->browser->submit($page->filter('[data-key="space"]')->form(), ['cared' => ['inky']]);
        $this->browser->followRedirect();
        self::assertStringContainsString('The tray is empty', $this->text());
        self::assertSame(['bought' => -1, 'C1' => 1], $this->sorted($this->terns));
    }

    public function testAPartGoesHomeAndTheRestStaysOnTheTray(): void
    {
        $this->postAndFollow("/kits/{$this->kit}/pull");
        $this->take('C2', $this->card);
        $this->postAndFollow("/kits/{$this->kit}/return");
        $part = "/kits/{$this->kit}/return/part";
        $this->postAndFollow($part, ['item' => $this->card->id, 'quantity' => '4']);
        self::assertSame(['bought' => -24, 'C2' => 18, 'tray 1' => 6], $this->sorted($this->card));
        self::assertSame('6 × Petrel card', $this->browser->getCrawler()->filter('.round-thing h2')->text(), 'the stop is still to be done');
        $form = ['_form' => 'part-'.$this->card->id, 'item' => $this->card->id];
        $page = $this->post($part, $form + ['quantity' => '7']);
        $this->assertCode(422, 'more than is on the tray');
        self::assertSame('7', $page->filter('#part-'.$this->card->id)->attr('value'));
        $this->post($part, $form + ['quantity' => 'half']);
        $this->assertCode(422);
        $this->post($part, ['item' => $this->ink->id, 'quantity' => 'half']);
        $this->assertCode(422, 'it is not on the tray');
    }

    public function testAThingThatLivesElsewhereNowGoesThere(): void
    {
        $this->postAndFollow("/kits/{$this->kit}/pull");
        $this->take('C1', $this->gulls);
        $this->postAndFollow("/kits/{$this->kit}/return");
        $elsewhere = "/kits/{$this->kit}/return/elsewhere";
        $this->post($elsewhere, ['item' => $this->gulls->id, 'address' => 'C5']);
        $this->assertCode(409, 'its care is open');
        $home = 'SELECT p.address FROM item i JOIN place p ON p.id = i.home_id WHERE i.id = ?';
        self::assertSame('C1', $this->word($home, [$this->gulls->id]), 'nothing is written');
        $this->postAndFollow($elsewhere, ['item' => $this->gulls->id, 'address' => 'C5', 'cared' => ['inky']]);
        self::assertSame('C5', $this->item((int) $this->gulls->id)->home?->address);
        self::assertSame(['bought' => -1, 'C5' => 1], $this->sorted($this->gulls));
        $this->post($elsewhere, ['item' => $this->gulls->id, 'address' => 'Q9', 'cared' => ['inky']]);
        $this->assertCode(422);
        $this->signIn('hank');
        $this->post($elsewhere, ['item' => $this->gulls->id, 'address' => 'C2', 'cared' => ['inky']]);
        $this->assertCode(403, 'a helper gives no homes');
    }

    public function testThePullListOnPaperIsInWalkingOrderAndTellsWhatIsNowhere(): void
    {
        $kit = $this->planKit('On paper', [[$this->ink, 1], [$this->card, 5], [$this->gulls, 1]]);
        $page = $this->get("/kits/{$kit}/pull/print");
        self::assertSame(['C1', 'C2', 'C3'], $page->filter('.print-list th[scope="row"]')->extract(['_text']));
        self::assertCount(3, $page->filter('.print-box'));
        self::assertStringContainsString('Petrel card', $page->filter('.print-list')->text());
        $this->postAndFollow("/kits/{$this->kit}/pull");
        $this->take('C1', $this->gulls);
        $page = $this->get("/kits/{$kit}/pull/print");
        self::assertSame(['C2', 'C3', '?'], $page->filter('.print-list th[scope="row"]')->extract(['_text']), 'what another kit has is in no drawer');
        $this->get('/kits/999/pull/print');
        $this->assertCode(404);
    }

    public function testWhatIsPutOffComesLast(): void
    {
        $this->postAndFollow("/kits/{$this->kit}/pull");
        $this->take('C1', $this->gulls);
        $this->take('C2', $this->card);
        $page = $this->postAndFollow("/kits/{$this->kit}/return");
        self::assertSame('C1', $page->filter('.plate.big span')->text());
        $later = $page->selectButton('Not clean yet: later: Lighthouse & gulls');
        $version = $page->filter('[data-seen]')->attr('data-seen');
        $this->browser->submit($later->form());
        $this->browser->followRedirect();
        self::assertStringContainsString('Lighthouse & gulls comes last.', $this->text());
        $this->signIn('hank');
        $page = $this->get("/kits/{$this->kit}/return");
        self::assertNotSame($version, $page->filter('[data-seen]')->attr('data-seen'), 'another device is told');
        self::assertSame('C2', $page->filter('.plate.big span')->text(), 'for whoever goes on');
        $this->browser->submit($page->filter('[data-key="space"]')->form());
        $page = $this->browser->followRedirect();
        self::assertSame('C1', $page->filter('.plate.big span')->text());
        self::assertStringContainsString('put off before', $page->filter('.round-thing')->text());
        self::assertCount(0, $page->selectButton('Not clean yet: later: Lighthouse & gulls'), 'it cannot be put off behind itself');
        $this->postAndFollow("/kits/{$this->kit}/return/home", ['items' => [$this->gulls->id], 'cared' => ['inky']]);
        self::assertSame(0, $this->number('SELECT count(*) FROM put_off'), 'it is home');
        $this->post("/kits/{$this->kit}/return/later", ['item' => $this->gulls->id]);
        $this->assertCode(422, 'what is not on the tray cannot be put off');
    }

    public function testAnUndoTakesBackWhatWasPutOff(): void
    {
        $this->postAndFollow("/kits/{$this->kit}/pull");
        $this->take('C1', $this->gulls);
        $this->take('C2', $this->card);
        $this->postAndFollow("/kits/{$this->kit}/return");
        $page = $this->postAndFollow("/kits/{$this->kit}/return/later", ['item' => $this->gulls->id]);
        $this->browser->submit($page->selectButton('Undo')->form());
        $page = $this->browser->followRedirect();
        self::assertStringContainsString('The order of the way home is as before', $this->text());
        self::assertSame('C1', $page->filter('.plate.big span')->text());
    }

    public function testNotHereIsLoggedAndFoundAgainLater(): void
    {
        $this->postAndFollow("/kits/{$this->kit}/pull");
        $this->postAndFollow("/kits/{$this->kit}/pull/not-here", ['place' => 'C1', 'need' => $this->needId($this->kit, $this->gulls)]);
        self::assertSame(['bought' => -1, 'lost' => 1], $this->sorted($this->gulls));
        $this->get('/upkeep/lost');
        self::assertStringContainsString('Lighthouse & gulls', $this->text());
        self::assertStringContainsString('not here at the pull', $this->text());
        $this->postAndFollow("/items/{$this->gulls->id}/found", ['address' => 'C2']);
        self::assertSame(['bought' => -1, 'C2' => 1], $this->sorted($this->gulls));
        $this->post("/items/{$this->gulls->id}/found", ['address' => 'C2']);
        $this->assertCode(409);
    }

    public function testFewerWithAndWithoutMoreInTheDrawer(): void
    {
        $this->postAndFollow("/kits/{$this->kit}/pull");
        $need = $this->needId($this->kit, $this->card);
        $this->postAndFollow("/kits/{$this->kit}/pull/fewer", ['place' => 'C2', 'need' => $need, 'quantity' => '7', 'no_more' => '1']);
        self::assertSame(['bought' => -24, 'lost' => 17, 'tray 1' => 7], $this->sorted($this->card));
        $this->get("/kits/{$this->kit}");
        self::assertStringContainsString('fewer: 7', $this->text());
    }

    public function testSomethingElseInsteadAndItsUndo(): void
    {
        $this->postAndFollow("/kits/{$this->kit}/pull");
        $page = $this->postAndFollow("/kits/{$this->kit}/pull/instead", [
            'place' => 'C1',
            'need' => $this->needId($this->kit, $this->gulls),
            'item' => $this->terns->id,
        ]);
        self::assertSame(['bought' => -1, 'tray 1' => 1], $this->sorted($this->terns));
        self::assertSame('replaced', $this->database()->fetchOne('SELECT state FROM need WHERE kit_id = ? AND item_id = ?', [$this->kit, $this->gulls->id]));
        $this->browser->submit($page->filter('.said form')->form());
        $this->assertCode(303);
        self::assertSame(['bought' => -1, 'C1' => 1], $this->sorted($this->terns));
        self::assertSame('open', $this->database()->fetchOne('SELECT state FROM need WHERE kit_id = ? AND item_id = ?', [$this->kit, $this->gulls->id]));
        self::assertSame(0, $this->needId($this->kit, $this->terns), 'the substitute is off the list again');
    }

    public function testSomethingThatTheCatalogueDoesNotKnowYet(): void
    {
        $this->postAndFollow("/kits/{$this->kit}/pull");
        $this->postAndFollow("/kits/{$this->kit}/pull/unknown", ['name' => 'Odd gull 🐦 עוף', 'address' => 'c1', 'quantity' => '1']);
        $item = $this->entities()->getRepository(Item::class)->findOneBy(['name' => 'Odd gull 🐦 עוף']);
        self::assertNotNull($item);
        self::assertSame('stamp set', $item->kind->value, 'it takes over what its drawer says');
        self::assertSame('C1', $item->home?->address);
        self::assertSame(['bought' => -1, 'tray 1' => 1], $this->sorted($item));
        $this->post("/kits/{$this->kit}/pull/unknown", ['name' => '', 'address' => 'Z9', 'quantity' => 'many', '_form' => 'unknown']);
        $this->assertCode(422);
        self::assertStringContainsString('Please fill this in.', $this->text());
        self::assertStringContainsString('There is no place “Z9”', $this->text());
        self::assertStringContainsString('whole number', $this->text());
    }

    public function testOneMoreThingAtTheBench(): void
    {
        $this->postAndFollow("/kits/{$this->kit}/pull");
        $page = $this->get("/kits/{$this->kit}/make?q=tern");
        $this->browser->submit($page->filter('form[action$="/make/more"]')->form());
        $this->assertCode(303);
        self::assertSame(['bought' => -1, 'tray 1' => 1], $this->sorted($this->terns));
    }

    public function testWhatIsNotOnTheTrayAtTheReturnIsLost(): void
    {
        $this->postAndFollow("/kits/{$this->kit}/pull");
        $this->take('C1', $this->gulls);
        $this->postAndFollow("/kits/{$this->kit}/return");
        $this->postAndFollow("/kits/{$this->kit}/return/lost", ['item' => $this->gulls->id]);
        self::assertSame(['bought' => -1, 'lost' => 1], $this->sorted($this->gulls));
        $this->postAndFollow("/kits/{$this->kit}/close");
        self::assertSame('closed', $this->stage($this->kit));
    }

    public function testAThingWithoutAHomeGetsOneOnTheWay(): void
    {
        $this->postAndFollow("/kits/{$this->kit}/pull");
        $this->postAndFollow("/kits/{$this->kit}/make/finish", ['name' => 'Loose card', 'quantity' => '2', 'address' => '']);
        $piece = $this->entities()->getRepository(Item::class)->findOneBy(['name' => 'Loose card']);
        self::assertNotNull($piece);
        $this->postAndFollow("/kits/{$this->kit}/return");
        self::assertStringContainsString('to give it a home', $this->text());
        $this->post("/kits/{$this->kit}/return/home", ['items' => [$piece->id], 'address' => 'Q7', '_form' => 'home']);
        $this->assertCode(422);
        $this->signIn('hank');
        $this->postAndFollow("/kits/{$this->kit}/return/home", ['items' => [$piece->id], 'address' => 'C4']);
        self::assertSame(['C4' => 2, 'made here' => -2], $this->sorted($piece));
        self::assertNull($this->item((int) $piece->id)->home, 'a helper puts it there, but gives no homes');
        $this->signIn('olive');
        $page = $this->get('/log');
        $this->browser->submit($page->filter('form[action$="/reverse"]')->eq(0)->form());
        $this->postAndFollow("/kits/{$this->kit}/return/home", ['items' => [$piece->id]]);
        self::assertSame(['made here' => -2, 'not filed' => 2], $this->sorted($piece));
        $this->postAndFollow("/items/{$piece->id}/home", ['address' => 'C5']);
        self::assertSame(['C5' => 2, 'made here' => -2], $this->sorted($piece));
    }

    public function testAListIsWrittenAndSaysWhatOtherKitsWant(): void
    {
        $this->postAndFollow('/kits', ['name' => '4 second cards, A2']);
        self::assertSame('Second cards', $this->browser->getCrawler()->filter('h1')->text());
        $second = $this->number("SELECT id FROM kit WHERE name = 'Second cards'");
        self::assertStringContainsString('4 second cards, A2', $this->get("/kits/{$second}")->filter('.lead')->text());
        $page = $this->get("/kits/{$second}?q=petrel");
        $this->browser->submit($page->filter('form[action$="/needs"]')->eq(0)->form());
        $this->postAndFollow("/kits/{$second}/needs", ['item' => $this->card->id, 'quantity' => '20']);
        self::assertStringContainsString('Also wanted by Kiosk gulls', $this->text());
        self::assertStringContainsString('free of 24', $this->text());
        $need = $this->needId($second, $this->card);
        $this->postAndFollow("/kits/{$second}/needs/{$need}", ['quantity' => '3']);
        self::assertSame(3, $this->number('SELECT quantity FROM need WHERE id = ?', [$need]));
        $this->postAndFollow("/kits/{$second}/needs/{$need}", ['remove' => '1']);
        self::assertSame(0, $this->needId($second, $this->card));
    }

    public function testStraightFromTheItemOntoATray(): void
    {
        $this->postAndFollow("/items/{$this->terns->id}/into-kit", ['kit' => '0', 'now' => '1']);
        self::assertSame(['bought' => -1, 'tray 1' => 1], $this->sorted($this->terns));
        self::assertStringContainsString('On the bench', $this->browser->getCrawler()->filter('h1')->text());
    }

    private function take(string $address, Item $item): Crawler
    {
        return $this->postAndFollow("/kits/{$this->kit}/pull/take", ['place' => $address, 'needs' => [$this->needId($this->kit, $item)]]);
    }

    /** @return array<string, int> */
    private function sorted(Item $item): array
    {
        $balances = $this->balances($item);
        uksort($balances, strcasecmp(...));

        return $balances;
    }
}
