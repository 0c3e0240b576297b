<?php

declare(strict_types=1);

namespace App\Tests\Calendar\Lending;

use App\Platform\Steps\Step;
use App\Room\Catalogue\Item;
use App\Room\Log\AuditReading;
use App\Room\Log\LogBook;
use App\Tests\RoomTestCase;
use Lottel\Core\Care\Hazard;
use Lottel\Core\Log\Reason;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Component\VEvent;
use Sabre\VObject\Property;
use Sabre\VObject\Reader;
use Symfony\Component\Clock\Clock;
use Symfony\Component\Clock\MockClock;
use Symfony\Component\Clock\NativeClock;
use Symfony\Component\DomCrawler\Crawler;

final class LendingTest extends RoomTestCase
{
    private Item $stamps;
    private Item $card;

    protected function setUp(): void
    {
        parent::setUp();
        Clock::set(new MockClock('2027-03-03 10:00:00'));
        $this->furnish();
        [$this->stamps] = $this->putInto('C1', 'Gull stamps; ; 1');
        [$this->card] = $this->putInto('C2', 'White card; ; 30');
    }

    protected function tearDown(): void
    {
        Clock::set(new NativeClock());
        parent::tearDown();
    }

    /** @param array<string, string> $fields */
    private function lend(Item $item, array $fields = []): Crawler
    {
        $usual = ['_form' => 'lend', 'person' => 'Maren', 'quantity' => '5', 'until' => '2027-03-20', 'note' => ''];

        return $this->post("/items/{$item->id}/lend", $fields + $usual);
    }

    private function lastLoan(): int
    {
        return $this->number('SELECT max(id) FROM loan');
    }

    private function undoLast(): void
    {
        $this->postAndFollow('/log/undo', ['step' => $this->word('SELECT id FROM write_request ORDER BY id DESC LIMIT 1'), 'back' => '/loans']);
    }

    public function testAThingIsLentAndIsNotFreeMeanwhile(): void
    {
        $this->lend($this->stamps);
        $this->assertCode(303);
        self::assertSame(['bought' => -1, 'lent to Maren' => 1], $this->balances($this->stamps));
        self::assertStringContainsString('lent to Maren', $this->get("/items/{$this->stamps->id}")->filter('.whereabouts')->text());
        self::assertStringContainsString('lent to Maren', $this->get('/stores/places/C1')->filter('.lying .gap')->text(), 'its gap says who has it');
        $kit = $this->planKit('Gulls', [[$this->stamps, 1], [$this->card, 2]]);
        self::assertStringContainsString('Lent to Maren until 20 March.', $this->get("/kits/{$kit}")->filter('.warning')->text());
        $this->postAndFollow("/kits/{$kit}/pull");
        $pulled = $this->post("/kits/{$kit}/pull/take", ['place' => 'C1', 'needs' => [$this->needId($kit, $this->stamps)]]);
        $this->assertCode(409);
        self::assertStringContainsString('Gull stamps is not here: it is lent to Maren.', $pulled->text());
        $twice = $this->lend($this->stamps, ['person' => 'Hob']);
        $this->assertCode(409);
        self::assertStringContainsString('it is out, lent to Maren', $twice->filter('.problem')->text());
        self::assertSame([], $this->service(AuditReading::class)->report()->differences);
    }

    public function testOfWhatIsCountedSomeComesBackAndTheRestIsLost(): void
    {
        $this->lend($this->card, ['quantity' => '8']);
        self::assertSame(['C2' => 22, 'bought' => -30, 'lent to Maren' => 8], $this->balances($this->card));
        $loan = $this->lastLoan();
        $page = $this->post("/loans/{$loan}/back", ['_form' => "back-{$loan}", 'quantity' => '9']);
        $this->assertCode(422);
        self::assertStringContainsString('Not so much of White card is open with Maren', $page->filter('.loans .field-error')->text());
        $this->signIn('hank');
        $this->postAndFollow("/loans/{$loan}/back", ['quantity' => '5', 'address' => 'C3']);
        $now = ['C2' => 22, 'C3' => 5, 'bought' => -30, 'lent to Maren' => 3];
        self::assertSame($now, $this->balances($this->card), 'a helper takes it back, where it is free');
        $lost = $this->postAndFollow("/loans/{$loan}/lost");
        self::assertStringContainsString('did not come back from Maren', $lost->filter('.said')->text());
        self::assertSame(3, $this->balances($this->card)['lost'] ?? 0);
        $this->post("/loans/{$loan}/back", ['quantity' => '1']);
        $this->assertCode(409, 'an old page');
        self::assertSame([], $this->service(AuditReading::class)->report()->differences);
    }

    public function testAnUndoTakesALoanBackWhole(): void
    {
        $this->lend($this->stamps);
        $this->undoLast();
        self::assertSame([1, 0], [$this->balances($this->stamps)['C1'] ?? 0, $this->number('SELECT count(*) FROM loan')]);
        $this->lend($this->stamps);
        self::assertSame('lent to Maren', $this->word("SELECT address FROM place WHERE kind = 'person'"), 'the same person, the same place');
        $loan = $this->lastLoan();
        $this->postAndFollow("/loans/{$loan}/back");
        $this->undoLast();
        self::assertSame(1, $this->balances($this->stamps)['lent to Maren'] ?? 0);
        self::assertSame(0, $this->number('SELECT ended FROM loan WHERE id = ?', [$loan]));
        $this->postAndFollow("/log/{$this->number("SELECT id FROM movement WHERE reason = 'lend' ORDER BY id DESC LIMIT 1")}/reverse");
        self::assertSame(1, $this->balances($this->stamps)['C1'] ?? 0);
        self::assertSame(0, $this->number('SELECT count(*) FROM loan'), 'one line put right is the whole step');
    }

    public function testTwoPeopleWithLongNamesHaveAPlaceEach(): void
    {
        foreach (['Wilhelmina of the Northern Pier', 'Wilhelmina of the Northern Quay'] as $person) {
            $this->lend($this->card, ['person' => $person, 'quantity' => '2']);
            $this->assertCode(303);
        }
        self::assertSame(2, $this->number("SELECT count(*) FROM place WHERE kind = 'person'"));
        self::assertStringContainsString('lent to Wilhelmina of the Northern Quay', $this->get("/items/{$this->card->id}")->filter('.whereabouts')->text());
    }

    public function testWhatIsDueIsInTheYearAndWhatIsLateIsTold(): void
    {
        $this->lend($this->stamps);
        self::assertStringContainsString('Gull stamps comes back from Maren', $this->get('/year')->filter('.week-list')->text());
        Clock::set(new MockClock('2027-03-22 10:00:00'));
        self::assertStringContainsString('was to be back Sat 20 Mar', $this->get('/loans')->filter('.loans .late')->text());
        self::assertStringContainsString('that day is past', $this->get('/year?from=2027-03-15')->filter('.week-list')->text());
        $loan = $this->lastLoan();
        $this->post("/loans/{$loan}/until", ['way' => 'lent', 'until' => '2027-03-21']);
        $this->assertCode(422, 'past');
        $this->postAndFollow("/loans/{$loan}/until", ['way' => 'lent', 'until' => '2027-04-02']);
        self::assertCount(0, $this->get('/loans')->filter('.loans .late'));
    }

    public function testABorrowedThingGoesHomeToItsOwner(): void
    {
        $fields = ['_form' => 'borrow', 'things' => 'Corner rounder', 'owner' => 'Pelle', 'kind' => 'tool', 'until' => '2027-03-30', 'address' => 'C5'];
        $this->postAndFollow('/loans/borrowed', $fields);
        $item = $this->item($this->number("SELECT id FROM item WHERE name = 'Corner rounder'"));
        self::assertSame(['C5' => 1, 'borrowed' => -1], $this->balances($item));
        self::assertStringContainsString('borrowed from Pelle, until 30 Mar', $this->get("/items/{$item->id}")->filter('.whereabouts')->text());
        $page = $this->lend($item, ['person' => 'Maren']);
        $this->assertCode(409);
        self::assertStringContainsString('belongs to Pelle', $page->filter('.problem')->text());
        $kit = $this->planKit('Corners', [[$item, 1]]);
        $this->postAndFollow("/kits/{$kit}/pull");
        $this->postAndFollow("/kits/{$kit}/pull/take", ['place' => 'C5', 'needs' => [$this->needId($kit, $item)]]);
        $loan = $this->lastLoan();
        $out = $this->post("/loans/{$loan}/give-back");
        $this->assertCode(409);
        self::assertStringContainsString('it is out, on tray 1', $out->filter('.problem')->text());
        self::assertStringContainsString('belongs to Pelle, until 30 March', $this->postAndFollow("/kits/{$kit}/return")->filter('.belongs')->text());
        $this->postAndFollow("/kits/{$kit}/return/home", ['items' => [(string) $item->id]]);
        self::assertStringContainsString('Corner rounder is back with Pelle.', $this->postAndFollow("/loans/{$loan}/give-back")->filter('.said')->text());
        self::assertSame([], $this->balances($item), 'what was owed outside is even');
        $this->post("/loans/{$loan}/give-back");
        $this->assertCode(409, 'twice');
        self::assertSame([], $this->service(AuditReading::class)->report()->differences);
    }

    public function testWhatWasBorrowedAndUsedUpIsSettledOtherwise(): void
    {
        $this->postAndFollow('/loans/borrowed', ['things' => 'Gull gems; ; 20', 'owner' => 'Pelle', 'kind' => 'embellishment', 'address' => '']);
        $gems = $this->item($this->number("SELECT id FROM item WHERE name = 'Gull gems'"));
        self::assertSame(['borrowed' => -20, 'not filed' => 20], $this->balances($gems));
        $kit = $this->planKit('Gems', [[$gems, 12]]);
        $this->postAndFollow("/kits/{$kit}/pull");
        $this->postAndFollow("/kits/{$kit}/pull/take", ['place' => 'not filed', 'needs' => [$this->needId($kit, $gems)]]);
        $this->postAndFollow("/kits/{$kit}/make/use", ['item' => $gems->id, 'quantity' => '12']);
        $loan = $this->lastLoan();
        $some = $this->postAndFollow("/loans/{$loan}/give-back");
        self::assertStringContainsString('8 of Gull gems are back with Pelle; 12 still open', $some->filter('.said')->text());
        $page = $this->post("/loans/{$loan}/give-back");
        $this->assertCode(409);
        self::assertStringContainsString('Nothing of Gull gems is left to give back', $page->filter('.problem')->text());
        $this->postAndFollow("/loans/{$loan}/settled");
        self::assertStringContainsString('0 borrowed', $this->get('/loans')->filter('.page-head .count')->text());
    }

    public function testBadInputIsToldBesideItsFieldAndChangesNothing(): void
    {
        foreach ([
            ['person' => ''],
            ['quantity' => '31'],
            ['quantity' => '0'],
            ['quantity' => 'many'],
            ['until' => '2027-03-02'],
            ['until' => '2227-01-01'],
            ['until' => 'soon'],
            ['person' => str_repeat('x', 121)],
        ] as $bad) {
            $page = $this->lend($this->card, $bad);
            $this->assertCode(422, json_encode($bad, \JSON_THROW_ON_ERROR));
            self::assertCount(1, $page->filter('.field-error'), json_encode($bad, \JSON_THROW_ON_ERROR));
        }
        $mistaken = [['things' => ''], ['things' => "One\nTwo"], ['owner' => ''], ['kind' => 'unheard'], ['address' => 'Z9'], ['things' => 'Thing; ; -4']];
        foreach ($mistaken as $bad) {
            $this->post('/loans/borrowed', $bad + ['_form' => 'borrow', 'things' => 'Rounder', 'owner' => 'Pelle', 'kind' => '', 'address' => '']);
            $this->assertCode(422, json_encode($bad, \JSON_THROW_ON_ERROR));
        }
        self::assertSame([0, 2], [$this->number('SELECT count(*) FROM loan'), $this->number('SELECT count(*) FROM item')]);
        $this->lend($this->card);
        foreach (["/loans/{$this->lastLoan()}/give-back", "/loans/{$this->lastLoan()}/settled", '/loans/99/back', '/loans/99/lost'] as $wrong) {
            $this->post($wrong);
            $this->assertCode(404, $wrong);
        }
    }

    public function testWhatIsLentIsInTheCalendarThatIsGivenOut(): void
    {
        $this->lend($this->stamps);
        $punch = ['things' => 'Corner rounder', 'owner' => 'Pelle', 'kind' => 'tool', 'until' => '2027-03-30', 'address' => 'C5'];
        $this->postAndFollow('/loans/borrowed', $punch);
        $this->postAndFollow('/year/feeds', ['name' => 'my phone']);
        $address = (string) $this->get('/year')->filter('.feed-address')->attr('value');
        $this->browser->request('GET', (string) parse_url($address, \PHP_URL_PATH));
        $calendar = Reader::read((string) $this->browser->getResponse()->getContent());
        self::assertInstanceOf(VCalendar::class, $calendar);
        self::assertSame([], $calendar->validate());
        $days = [];
        foreach ($calendar->select('VEVENT') as $event) {
            self::assertInstanceOf(VEvent::class, $event);
            $days[$this->said($event, 'SUMMARY')] = $this->said($event, 'DTSTART');
        }
        self::assertSame('20270320', $days['Gull stamps comes back from Maren'] ?? '');
        self::assertSame('20270330', $days['Corner rounder goes back to Pelle'] ?? '');
    }

    private function said(VEvent $event, string $property): string
    {
        $found = $event->select($property)[0] ?? null;

        return $found instanceof Property ? (string) $found->getValue() : '';
    }

    public function testWhatIsLentOrBorrowedIsNotCountedOtherwiseMeanwhile(): void
    {
        $this->lend($this->card);
        $ways = ['tracking' => 'one', 'was' => '30', 'becomes' => '1'];
        $page = $this->post("/items/{$this->card->id}/tracking", $ways);
        $this->assertCode(409);
        self::assertStringContainsString('White card is lent to Maren', $page->text());
        $this->postAndFollow('/loans/borrowed', ['things' => 'Gull gems; ; 20', 'owner' => 'Pelle', 'kind' => 'embellishment', 'address' => 'C5']);
        $gems = $this->number("SELECT id FROM item WHERE name = 'Gull gems'");
        $this->post("/items/{$gems}/tracking", ['tracking' => 'level', 'was' => '20', 'becomes' => '8']);
        $this->assertCode(409);
        $this->postAndFollow("/loans/{$this->lastLoan()}/give-back");
        self::assertSame('count', $this->word('SELECT tracking FROM item WHERE id = ?', [$gems]));
        $this->postAndFollow("/loans/{$this->number('SELECT min(id) FROM loan')}/back", ['quantity' => '', 'address' => 'C2']);
        $this->postAndFollow("/items/{$this->card->id}/tracking", $ways);
        self::assertSame('one', $this->word('SELECT tracking FROM item WHERE id = ?', [$this->card->id]), 'what has come back is');
    }

    public function testWhatIsLentIsFoundAmongWhatIsOut(): void
    {
        $this->lend($this->stamps);
        $found = $this->get('/find?q=gull&where=out');
        self::assertStringContainsString('Gull stamps', $found->filter('main')->text());
        self::assertStringContainsString('lent to Maren', $found->filter('main')->text());
        self::assertStringContainsString('lent', $this->get('/log')->filter('main')->text());
        $this->post("/items/{$this->stamps->id}/delete");
        $this->assertCode(409, 'what the log speaks of stays in the catalogue');
    }

    public function testAKitThatIsReadyLacksWhatIsLentSinceThen(): void
    {
        $kit = $this->planKit('Gulls', [[$this->stamps, 1]]);
        self::assertStringContainsString('Gulls still wants it.', $this->get("/items/{$this->stamps->id}/lend")->filter('.year-warning')->text());
        $this->lend($this->stamps, ['until' => '']);
        $page = $this->get("/kits/{$kit}");
        self::assertStringContainsString('Lent to Maren.', $page->filter('.warning')->text());
        self::assertStringContainsString('0 of 1 are here; Gull stamps is lent to Maren.', $this->get('/plan')->filter('.readiness')->text());
        self::assertStringContainsString('no day said', $this->get('/loans')->filter('.loans')->text());
        $pull = $this->postAndFollow("/kits/{$kit}/pull");
        self::assertStringContainsString('lent to Maren', $pull->filter('.warning-card')->text(), 'the round says where it is');
    }

    public function testABorrowedContainerGoesBackHoweverFullItIs(): void
    {
        $this->postAndFollow('/loans/borrowed', ['things' => 'Cobalt ink; ; full', 'owner' => 'Pelle', 'kind' => 'ink', 'address' => 'C3']);
        $ink = $this->number("SELECT id FROM item WHERE name = 'Cobalt ink'");
        $this->postAndFollow("/items/{$ink}/counted", ['quantity' => 'half', 'place' => 'C3', 'why' => '']);
        $said = $this->postAndFollow("/loans/{$this->lastLoan()}/give-back")->filter('.said')->text();
        self::assertStringContainsString('Cobalt ink is back with Pelle.', $said);
        self::assertSame(0, $this->number('SELECT quantity - ended FROM loan'), 'nothing of it is still open');
    }

    public function testOnlyTheOwnerLendsAndBorrows(): void
    {
        $this->signIn('hank');
        foreach (["/items/{$this->stamps->id}/lend", '/loans/borrowed'] as $path) {
            $this->post($path, ['person' => 'Maren', 'things' => 'Rounder', 'owner' => 'Pelle']);
            $this->assertCode(403, $path);
        }
        $this->get('/loans');
        $this->assertCode(200);
    }

    public function testAPadThatWasInkedAnewLiesFlat(): void
    {
        [$pad] = $this->putInto('C3', 'Cobalt ink; ; full');
        $said = $this->postAndFollow("/items/{$pad->id}/inked", ['days' => '']);
        self::assertStringContainsString('lies flat, its lid up, until Friday 5 March, 10:00', $said->filter('.said')->text());
        self::assertStringContainsString('lies flat until Fri 5 Mar, 10:00', $this->get("/items/{$pad->id}")->filter('.whereabouts')->text());
        self::assertStringContainsString('Cobalt ink may stand again', $this->get('/year')->filter('.week-list')->text());
        $kit = $this->planKit('Cobalt', [[$pad, 8]]);
        $this->postAndFollow("/kits/{$kit}/pull");
        $this->postAndFollow("/kits/{$kit}/pull/take", ['place' => 'C3', 'needs' => [$this->needId($kit, $pad)]]);
        self::assertStringContainsString('until Friday 5 March, 10:00', $this->postAndFollow("/kits/{$kit}/return")->filter('.belongs')->text());
        $again = $this->postAndFollow("/items/{$pad->id}/inked", ['days' => '1', 'kit' => (string) $kit]);
        self::assertStringContainsString('until Thursday 4 March', $again->filter('.belongs')->text(), 'inked once more, on the way home');
        self::assertSame(1, $this->number('SELECT count(*) FROM rest'));
        Clock::set(new MockClock('2027-03-04 10:01:00'));
        self::assertCount(0, $this->get("/kits/{$kit}/return")->filter('.belongs'), 'it may stand');
        $this->post("/items/{$pad->id}/inked", ['days' => '30']);
        $this->assertCode(422);
        $this->post("/items/{$this->stamps->id}/inked", ['days' => '1']);
        $this->assertCode(409, 'stamps are no ink');
    }

    public function testAChildIsToldWhatAGrownUpTakes(): void
    {
        [$gun] = $this->putInto('C5', 'Glue gun; ; 1');
        $gun->describe($gun->record()->with(hazards: [Hazard::Hot->value]));
        $this->entities()->flush();
        $hank = $this->account('hank')->id;
        $this->postAndFollow("/upkeep/people/{$hank}/child", ['child' => '1']);
        self::assertStringContainsString('helper, a child', $this->get('/upkeep/people')->text());
        $kit = $this->planKit('Glue', [[$gun, 1]]);
        $this->postAndFollow("/kits/{$kit}/pull");
        self::assertStringNotContainsString('grown-up', $this->get("/kits/{$kit}/pull")->filter('.caution')->text());
        $this->signIn('hank');
        self::assertStringContainsString('a grown-up takes it', $this->get("/kits/{$kit}/pull")->filter('.warning-card .caution')->text());
        $this->signIn('olive');
        $this->postAndFollow("/kits/{$kit}/pull/take", ['place' => 'C5', 'needs' => [$this->needId($kit, $gun)]]);
        $this->signIn('hank');
        self::assertStringContainsString('Ask them: switched off, unplugged', $this->postAndFollow("/kits/{$kit}/return")->filter('.caution')->text());
        $this->post("/upkeep/people/{$hank}/child", []);
        $this->assertCode(403, 'a child does not grow up by itself');
        $this->signIn('olive');
        $this->postAndFollow("/upkeep/people/{$hank}/child", []);
        self::assertFalse($this->account('hank')->isChild);
        $this->post("/upkeep/people/{$this->account('olive')->id}/child", ['child' => '1']);
        $this->assertCode(409, 'whoever runs the room is grown up');
    }

    public function testWhatWasBorrowedGoesBackOutOfEachDrawerItLiesIn(): void
    {
        $this->postAndFollow('/loans/borrowed', ['things' => 'Gull gems; ; 20', 'owner' => 'Pelle', 'kind' => 'embellishment', 'address' => 'C3']);
        $gems = $this->item($this->number("SELECT id FROM item WHERE name = 'Gull gems'"));
        $this->step(function (Step $step) use ($gems): void {
            $this->service(LogBook::class)->move($step, $gems->moves(8, $this->place('C3'), $this->place('C5'), Reason::Move));
        });
        $this->postAndFollow("/loans/{$this->lastLoan()}/give-back");
        self::assertSame([], $this->balances($gems), 'nothing of it is left here');
        self::assertSame(20, $this->number('SELECT ended FROM loan WHERE id = ?', [$this->lastLoan()]));
    }
}
