<?php

declare(strict_types=1);

namespace App\Tests\Kits\Making;

use App\Room\Catalogue\Item;
use App\Room\Log\AuditReading;
use App\Tests\RoomTestCase;

/** A kit on the bench: the pieces one after the other, what they take, and the way home. */
final class BenchTest extends RoomTestCase
{
    private int $kit;
    private Item $stamps;
    private Item $foam;
    private Item $mats;

    protected function setUp(): void
    {
        parent::setUp();
        $this->furnish();
        [$this->stamps] = $this->putInto('C1', 'Gulls');
        [$this->foam, $this->mats] = $this->putInto('C2', 'Foam squares; Oddling; 30', 'Petrel mats; Marrowlight Paper; 10');
        $this->kit = $this->planKit('Kiosk gulls ×4', [[$this->stamps, 1], [$this->foam, 12], [$this->mats, 4]]);
        $this->postAndFollow("/kits/{$this->kit}", ['name' => 'Kiosk gulls ×4', 'makes' => '4 cards, A2, top fold']);
        $this->postAndFollow("/kits/{$this->kit}/pull");
        foreach (['C1' => [$this->stamps], 'C2' => [$this->foam, $this->mats]] as $place => $items) {
            $needs = array_map(fn (Item $item): int => $this->needId($this->kit, $item), $items);
            $this->postAndFollow("/kits/{$this->kit}/pull/take", ['place' => $place, 'needs' => $needs]);
        }
        $this->postAndFollow("/kits/{$this->kit}/pull/end");
    }

    public function testEachPieceBooksWhatItsButtonSays(): void
    {
        $page = $this->get("/kits/{$this->kit}/make");
        self::assertSame('4 to make', $page->filter('.piece-says')->text());
        self::assertStringContainsString('takes 3 Foam squares, 1 Petrel mats', $page->selectButton('Card 1 is done')->text());
        $this->browser->submit($page->selectButton('Card 1 is done')->form());
        $page = $this->browser->followRedirect();
        self::assertStringContainsString('Card 1 of “Kiosk gulls” is done.', $this->text());
        self::assertSame(['C2' => 18, 'bought' => -30, 'tray 1' => 9, 'used up' => 3], $this->sorted($this->foam));
        self::assertStringContainsString('1 done: Kiosk gulls, no home yet', $page->filter('.pieces .done')->text());

        $this->postAndFollow("/kits/{$this->kit}/make/use", ['item' => $this->mats->id, 'quantity' => '2']);
        $page = $this->get("/kits/{$this->kit}/make");
        self::assertSame('2 want Foam squares', $page->filter('.pieces .begun .piece-says')->text());
        self::assertStringContainsString('takes 3 Foam squares', $page->selectButton('Card 2 is done')->text());
        self::assertStringNotContainsString('mats', $page->selectButton('Card 2 is done')->text(), 'its mat is booked already');
        $this->browser->submit($page->selectButton('Card 2 is done')->form());
        $this->browser->followRedirect();
        $piece = $this->number("SELECT id FROM item WHERE name = 'Kiosk gulls'");
        self::assertSame(['made here' => -2, 'tray 1' => 2], $this->sorted($this->item($piece)), 'two of the same, not two things');
        self::assertStringContainsString('Finished with 2 of 4', $this->text());
        self::assertSame([], $this->service(AuditReading::class)->report()->differences);
    }

    public function testAnOldPageDoesNotMakeAPieceTwiceAndOneUndoTakesBackAllOfIt(): void
    {
        $form = ['piece' => '1', 'of' => [$this->foam->id, $this->mats->id], 'used_'.$this->foam->id => '3', 'used_'.$this->mats->id => '1'];
        $this->postAndFollow("/kits/{$this->kit}/make/piece", $form);
        $this->post("/kits/{$this->kit}/make/piece", $form);
        $this->assertCode(409);
        self::assertStringContainsString('Card 1 was done in the meantime', $this->text());
        $this->post("/kits/{$this->kit}/make/piece", ['piece' => '3'] + $form);
        $this->assertCode(409, 'nor one that is not its turn');
        $step = $this->word('SELECT request_id FROM movement ORDER BY id DESC LIMIT 1');
        $this->postAndFollow('/log/undo', ['step' => $step, 'back' => "/kits/{$this->kit}/make"]);
        self::assertSame(['C2' => 18, 'bought' => -30, 'tray 1' => 12], $this->sorted($this->foam));
        self::assertSame(['C2' => 6, 'bought' => -10, 'tray 1' => 4], $this->sorted($this->mats));
        self::assertStringContainsString('Card 1 is done', $this->text());
        $this->post("/kits/{$this->kit}/make/piece", ['piece' => '1', 'used_'.$this->foam->id => '40'] + $form);
        $this->assertCode(422, 'more than is on the tray');
        self::assertSame(['C2' => 18, 'bought' => -30, 'tray 1' => 12], $this->sorted($this->foam), 'and nothing else of it is written');
    }

    public function testSeveralAreFinishedTogetherWithFewerThanPlanned(): void
    {
        $page = $this->get("/kits/{$this->kit}/make");
        $form = $page->selectButton('Write it down')->form();
        $values = $form->getValues();
        self::assertSame(['4', '12', '4'], [$values['quantity'], $values['used_'.$this->foam->id], $values['used_'.$this->mats->id]]);
        $this->browser->submit($form, ['quantity' => '3', 'used_'.$this->foam->id => '9', 'used_'.$this->mats->id => '', 'address' => 'C4']);
        $page = $this->browser->followRedirect();
        self::assertSame(['C2' => 6, 'bought' => -10, 'tray 1' => 4], $this->sorted($this->mats), 'nothing of what was left empty');
        self::assertStringContainsString('Finished with 3 of 4: the rest goes home', $this->text());
        self::assertStringContainsString('→ C4', $page->filter('.pieces .done')->text());
        $page = $this->post("/kits/{$this->kit}/make/finish", [
            'name' => 'Kiosk gulls',
            'quantity' => '1',
            'of' => [$this->mats->id],
            'used_'.$this->mats->id => 'lots',
            '_form' => 'finish',
        ]);
        $this->assertCode(422);
        self::assertSame('lots', $page->filter('#finish-used_'.$this->mats->id)->attr('value'));
        self::assertSame('C4', $this->item($this->number("SELECT id FROM item WHERE name = 'Kiosk gulls'"))->home?->address);
    }

    public function testStampsAndToolsAreNotUsedUpAndTheyTellTheirCare(): void
    {
        $page = $this->get("/kits/{$this->kit}/make");
        self::assertSame('Gulls to clean', $page->filter('.bench-things li')->text());
        self::assertCount(0, $page->filter('.bench-things form'));
        self::assertCount(2, $page->filter('.bench-stock li'));
        self::assertNull($page->selectButton('Done: send the rest home')->attr('data-key'), 'it asks for a deliberate press');
        self::assertStringContainsString('1 thing wants care first', $page->filter('.finish-way')->text());
    }

    public function testACraftedFormDoesNotUseUpAStampSet(): void
    {
        foreach (
            [
                'use' => ['item' => $this->stamps->id, 'quantity' => '1'],
                'piece' => ['piece' => '1', 'of' => [$this->stamps->id], 'used_'.$this->stamps->id => '1'],
                'finish' => ['name' => 'Card', 'quantity' => '1', 'of' => [$this->stamps->id], 'used_'.$this->stamps->id => '1'],
            ] as $step => $fields
        ) {
            $this->post("/kits/{$this->kit}/make/{$step}", $fields);
            $this->assertCode(409, $step);
        }
        self::assertSame(['bought' => -1, 'tray 1' => 1], $this->sorted($this->stamps));
    }

    public function testAKitThatDoesNotSayHowManyAsksForIt(): void
    {
        $this->postAndFollow("/kits/{$this->kit}", ['name' => 'Kiosk gulls', 'makes' => 'gulls for the kiosk']);
        $page = $this->get("/kits/{$this->kit}/make");
        self::assertStringContainsString('How many pieces is not said.', $this->text());
        self::assertCount(0, $page->filter('[action$="/make/piece"]'));
        $page = $this->browser->click($page->selectLink('Say it')->link());
        self::assertNotNull($page->filter('#kit-makes')->closest('details')?->attr('open'));
    }

    public function testAKitsListOffersWhatGoesWithItsThings(): void
    {
        [$dies] = $this->putInto('C5', 'Gull dies');
        $this->postAndFollow("/items/{$this->stamps->id}/companions", ['other' => $dies->id]);
        $kit = $this->planKit('Next', [[$this->stamps, 1]]);
        $page = $this->get("/kits/{$kit}");
        self::assertSame('With it goes Gull dies, in C5 Both: Gull dies too', $page->filter('.companion-offer')->text());
        $this->browser->submit($page->filter('.companion-offer')->form());
        $page = $this->browser->followRedirect();
        self::assertNotSame(0, $this->needId($kit, $dies));
        self::assertCount(0, $page->filter('.companion-offer'), 'what is on the list is not offered');
    }

    public function testPlannedKitsSayWhetherTheyCanBePulled(): void
    {
        $this->planKit('Blocked', [[$this->stamps, 1], [$this->foam, 5]]);
        $this->planKit('Ready', [[$this->foam, 5]]);
        $slips = $this->get('/plan')->filter('.kit-slip');
        self::assertSame(
            ['1 of 2 is here; Gulls is with “Kiosk gulls ×4”.', 'The one thing is here.'],
            $slips->filter('.readiness')->extract(['_text']),
        );
        self::assertCount(3, $this->browser->getCrawler()->filter('.kit-tray .thumb'));
    }

    /** @return array<string, int> */
    private function sorted(Item $item): array
    {
        $balances = $this->balances($item);
        ksort($balances);

        return $balances;
    }
}
