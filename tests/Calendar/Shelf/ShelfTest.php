<?php

declare(strict_types=1);

namespace App\Tests\Calendar\Shelf;

use App\Calendar\Shelf\Albums;
use App\Calendar\Shelf\ShelfReading;
use App\Calendar\Shelf\Supplies;
use App\Calendar\Year\Occasion;
use App\Kits\Making\Taken;
use App\Kits\Making\WorkAtBench;
use App\Platform\Steps\Step;
use App\Room\Catalogue\Item;
use App\Room\Log\AuditReading;
use App\Room\Log\LogBook;
use App\Room\Stores\Place;
use App\Tests\In;
use App\Tests\RoomTestCase;
use Lottel\Core\Catalogue\Kind;
use Symfony\Component\Clock\Clock;
use Symfony\Component\Clock\MockClock;
use Symfony\Component\Clock\NativeClock;
use Symfony\Component\DomCrawler\Crawler;

final class ShelfTest extends RoomTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        Clock::set(new MockClock('2027-03-03 10:00:00'));
        $this->furnish();
        $this->describePlace('C4', Kind::FinishedPiece, theme: 'birthdays', name: 'birthday cards');
    }

    protected function tearDown(): void
    {
        Clock::set(new NativeClock());
        parent::tearDown();
    }

    private function card(string $name, int $many, string $address = 'C4'): Item
    {
        [$card] = $this->putInto($address, "{$name}; ; {$many}");
        $card->describe($card->record()->with(kind: Kind::FinishedPiece));
        $this->entities()->flush();

        return $card;
    }

    private function birthday(string $person, string $on): Occasion
    {
        $this->postAndFollow('/occasions', ['kind' => 'birthday', 'person' => $person, 'on' => $on]);

        return $this->entities()->getRepository(Occasion::class)->findOneBy(['name' => $person.'’s birthday']) ?? throw new \LogicException();
    }

    /** @param array<string, string> $fields */
    private function give(Item $card, array $fields): Crawler
    {
        $empty = ['_form' => 'give', 'person' => '', 'way' => 'given', 'quantity' => '', 'day' => '', 'price' => '', 'date' => ''];

        return $this->post("/shelf/{$card->id}/give", $fields + $empty);
    }

    private function free(Item $card): int
    {
        return $this->service(ShelfReading::class)->one((int) $card->id)->free();
    }

    public function testACardIsPickedSentAndNotOfferedToThatPersonAgain(): void
    {
        [$gulls, $buoy] = [$this->card('Gulls', 3), $this->card('Buoys', 2)];
        $date = $this->birthday('Maren', '10 March')->id.':2027-03-10';
        $page = $this->get('/shelf?date='.$date);
        self::assertSame(['Gulls', 'Buoys'], $page->filter('.choice b')->each(static fn (Crawler $one): string => $one->text()));
        $this->postAndFollow("/shelf/{$gulls->id}/keep", ['date' => $date]);
        self::assertSame(2, $this->free($gulls));
        self::assertStringContainsString('kept on the shelf', $this->get('/occasions')->filter('.date-row')->text());
        $this->give($gulls, ['person' => 'Maren', 'way' => 'sent', 'date' => $date]);
        $this->assertCode(303);
        self::assertSame([2, 2], [$this->free($gulls), $this->service(ShelfReading::class)->one((int) $gulls->id)->there], 'the one that was kept went');
        self::assertStringContainsString('given', $this->get('/occasions')->filter('.date-row')->text());
        self::assertStringContainsString('sent to Maren', $this->get("/shelf/{$gulls->id}")->text());
        self::assertSame(['Buoys'], $this->get('/shelf?person=1')->filter('.choice b')->each(static fn (Crawler $one): string => $one->text()));
        $again = $this->give($gulls, ['person' => 'maren']);
        $this->assertCode(422);
        self::assertStringContainsString('Maren had Gulls on 3 March 2027 already', $again->filter('#give-person-error')->text());
        $this->give($gulls, ['person' => 'maren', 'anyway' => '1']);
        $this->assertCode(303);
        self::assertSame([], $this->service(AuditReading::class)->report()->differences);
    }

    public function testAnUndoBringsTheCardBackAndItsRecordWithIt(): void
    {
        $gulls = $this->card('Gulls', 3);
        $date = $this->birthday('Maren', '10 March')->id.':2027-03-10';
        $this->postAndFollow("/shelf/{$gulls->id}/keep", ['date' => $date]);
        $this->give($gulls, ['person' => 'Maren', 'date' => $date]);
        $this->postAndFollow('/log/undo', ['step' => $this->word('SELECT id FROM write_request ORDER BY id DESC LIMIT 1'), 'back' => '/shelf']);
        self::assertSame([2, 0], [$this->free($gulls), $this->number('SELECT count(*) FROM gift')]);
        self::assertSame(1, $this->number('SELECT count(*) FROM set_aside'), 'it is kept for that day again');
        $this->give($gulls, ['person' => 'Maren']);
        $this->postAndFollow("/log/{$this->number('SELECT max(id) FROM movement')}/reverse", ['back' => '/log']);
        self::assertStringNotContainsString('to Maren', $this->get("/shelf/{$gulls->id}")->filter('.piece-page')->text());
    }

    public function testWhatIsKeptForADayDoesNotGoToAnother(): void
    {
        $gulls = $this->card('Gulls', 1);
        $date = $this->birthday('Maren', '10 March')->id.':2027-03-10';
        $this->postAndFollow("/shelf/{$gulls->id}/keep", ['date' => $date]);
        $page = $this->give($gulls, ['person' => 'Hob']);
        $this->assertCode(422);
        self::assertSame(
            'None of Gulls are free; the others are kept for Maren’s birthday on 10 March.',
            $page->filter('#give-quantity-error')->text(),
        );
        $this->post("/shelf/{$gulls->id}/keep", ['date' => $date]);
        $this->assertCode(422, 'twice');
        $this->post("/shelf/{$gulls->id}/keep", ['date' => explode(':', $date)[0].':2027-03-11']);
        $this->assertCode(409, 'a day that is none of its');
        $this->post("/shelf/{$gulls->id}/keep", ['date' => '99:2027-03-10']);
        $this->assertCode(404);
        $aside = $this->number('SELECT id FROM set_aside');
        $this->postAndFollow("/shelf/aside/{$aside}");
        self::assertSame(1, $this->free($gulls));
        $this->post("/shelf/aside/{$aside}");
        $this->assertCode(404, 'an old page');
        $this->give($gulls, ['person' => 'Hob', 'quantity' => '2']);
        $this->assertCode(422, 'more than are there');
        $this->give($gulls, ['person' => '']);
        $this->assertCode(422, 'to nobody');
        $this->give($gulls, ['person' => '', 'way' => 'sold', 'price' => '3.50']);
        $this->assertCode(303, 'sold to somebody whose name nobody knows');
        $this->give($gulls, ['person' => 'Hob']);
        self::assertStringContainsString('No Gulls is on the shelf any more', $this->browser->getCrawler()->text());
    }

    public function testTheShelfIsLookedThroughBySize(): void
    {
        [$gulls, $tags] = [$this->card('Gulls', 3), $this->card('Little tags', 9)];
        $gulls->describe($gulls->record()->with(details: ['measures' => 'A2']));
        $tags->describe($tags->record()->with(details: ['measures' => '2 × 4']));
        $this->entities()->flush();
        self::assertStringContainsString('12 pieces', $this->get('/shelf')->filter('.page-head')->text());
        $page = $this->get('/shelf?size='.rawurlencode('2 × 4'));
        self::assertSame(['Little tags'], $page->filter('.shelf-board .sr-only')->each(static fn (Crawler $one): string => $one->text()));
        self::assertStringContainsString('9 pieces', $page->filter('.page-head')->text());
        $all = $this->get('/shelf?size=unheard')->filter('.page-head')->text();
        self::assertStringContainsString('12 pieces', $all, 'a size that there is none of is no question');
        self::assertSame(['Gulls'], $this->get('/shelf?size=A2&wants=birthday')->filter('.choice b')->each(static fn (Crawler $one): string => $one->text()));
    }

    public function testAQuestionMayLeaveAnythingOpen(): void
    {
        $this->card('Gulls', 3);
        $form = $this->get('/shelf')->selectButton('Which card?')->form(['wants' => 'birthday']);
        self::assertSame(['Gulls'], $this->browser->submit($form)->filter('.choice b')->each(static fn (Crawler $one): string => $one->text()));
        foreach (['person=x', 'person=99', 'date=x', 'date=:', 'wants=', 'rather=nothing'] as $query) {
            $this->get('/shelf?'.$query);
            $this->assertCode(200, $query);
        }
        $this->get('/shelf?date=99:2027-03-10');
        $this->assertCode(404, 'a date that is none any more');
    }

    public function testAGiftIsForADayThatTheOccasionHas(): void
    {
        $gulls = $this->card('Gulls', 3);
        $occasion = (string) $this->birthday('Maren', '10 March')->id;
        $this->give($gulls, ['person' => 'Maren', 'date' => $occasion.':2027-03-11']);
        $this->assertCode(409, 'an old page, or a crafted form');
        $this->give($gulls, ['person' => 'Maren', 'date' => $occasion.':soon']);
        $this->assertCode(422);
        self::assertSame(0, $this->number('SELECT count(*) FROM gift'));
    }

    public function testAnAlbumTakesFinishedPiecesAndKitsThatAreOpen(): void
    {
        [$white] = $this->putInto('C2', 'White card; ; 30');
        $this->postAndFollow('/albums', ['name' => 'A hundred years']);
        $this->post('/albums/1', ['item' => (string) $white->id, 'title' => '']);
        $this->assertCode(404, 'a paper is no page');
        $this->postAndFollow('/albums/1', ['item' => '', 'title' => 'p. 42']);
        $this->post('/albums/1/pages/1', ['item' => (string) $white->id, 'kit' => '']);
        $this->assertCode(404);
        $kit = $this->planKit('Gulls', []);
        $this->database()->executeStatement("UPDATE kit SET stage = 'closed', closed_at = '2027-01-01 00:00:00' WHERE id = ?", [$kit]);
        $this->post('/albums/1/pages/1', ['item' => '', 'kit' => (string) $kit]);
        $this->assertCode(409, 'a closed kit makes no page any more');
    }

    public function testWhatAPersonIsGivenIsWrittenByWhoeverWorksHereButPricesByTheOwner(): void
    {
        $gulls = $this->card('Gulls', 3);
        $this->signIn('hank');
        $this->give($gulls, ['person' => 'Maren']);
        $this->assertCode(303);
        $this->post("/items/{$gulls->id}/price", ['price' => '1', 'quantity' => '10', 'shop' => '', 'day' => '']);
        $this->assertCode(403);
    }

    public function testOnlyFinishedPiecesAreOnTheShelf(): void
    {
        [$white] = $this->putInto('C2', 'White card; ; 30');
        $this->get("/shelf/{$white->id}");
        $this->assertCode(404);
        $this->give($white, ['person' => 'Hob']);
        $this->assertCode(404);
    }

    public function testGapsAreTold(): void
    {
        self::assertStringContainsString('It will lack: no birthday card', $this->get('/shelf')->filter('.gaps')->text());
        $this->birthday('Maren', '10 March');
        self::assertStringContainsString('no birthday card, 1 wanted soon', $this->get('/shelf')->filter('.gaps')->text());
        $gulls = $this->card('Gulls', 10);
        self::assertCount(0, $this->get('/shelf')->filter('.gaps'));
        foreach (['A', 'B', 'C', 'D', 'E', 'F', 'G', 'H'] as $person) {
            $this->give($gulls, ['person' => $person]);
        }
        self::assertStringContainsString('2 birthday cards, 1 wanted soon, 8 went in a year', $this->get('/shelf')->filter('.gaps')->text());
    }

    public function testTheSupplyListComesFromTheLogWithItsCost(): void
    {
        [$white, $petrel] = $this->putInto('C2', 'White card; Marrowlight Paper; 30; ; #f4f1ea', 'Petrel card; ; 24; ; #1f5c6b');
        [$stamps] = $this->putInto('C1', 'Gull stamps; ; 1');
        $kit = $this->planKit('Gull cards', [[$white, 8], [$petrel, 4], [$stamps, 1]]);
        $this->postAndFollow("/kits/{$kit}/pull");
        foreach (['C2' => [$white, $petrel], 'C1' => [$stamps]] as $place => $items) {
            $needs = array_map(fn (Item $item): int => $this->needId($kit, $item), $items);
            $this->postAndFollow("/kits/{$kit}/pull/take", ['place' => $place, 'needs' => $needs]);
        }
        $made = null;
        $this->step(function (Step $step) use ($kit, $white, $petrel, &$made): void {
            $home = $this->entities()->find(Place::class, $this->place('C4')->id);
            $made = $this->service(WorkAtBench::class)->finish($step, $this->kit($kit), 'Gull card', 4, $home, [
                new Taken($this->item((int) $white->id), 8),
                new Taken($this->item((int) $petrel->id), 2),
            ]);
        });
        self::assertInstanceOf(Item::class, $made);
        $list = $this->service(Supplies::class)->of((int) $made->id);
        self::assertNull($list->centsEach(), 'no price is known yet');
        $this->postAndFollow("/items/{$white->id}/price", ['price' => '9.80', 'quantity' => '100', 'shop' => 'Chandlery', 'day' => '']);
        $list = $this->service(Supplies::class)->of((int) $made->id);
        self::assertSame([4, 20, 1], [$list->made, $list->centsEach(), $list->withoutPrice()], '8 of 100 for 9.80, shared by four');
        $text = $list->text('Gull card');
        foreach (['Gull card (4 made)', '8 White card, Marrowlight Paper', '2 Petrel card', "Worked with:\n– Gull stamps"] as $line) {
            self::assertStringContainsString($line, $text);
        }
        $page = $this->get("/shelf/{$made->id}");
        self::assertStringContainsString('About 0.20 each, without 1 thing of which no price is known', $page->text());
        self::assertSame(['#f4f1ea', '#1f5c6b'], $this->service(ShelfReading::class)->one((int) $made->id)->colours);
        foreach (['txt', 'csv', 'json'] as $type) {
            $this->get("/shelf/{$made->id}/supplies.{$type}");
            $this->assertCode(200);
            self::assertStringContainsString('White card', (string) $this->browser->getResponse()->getContent());
        }
        $json = json_decode((string) $this->browser->getResponse()->getContent(), true);
        $this->get("/shelf/{$made->id}/supplies.pdf");
        self::assertStringStartsWith('%PDF', (string) $this->browser->getResponse()->getContent());
        self::assertSame('White card', In::of($json, 'supplies', 1, 'what'));
        self::assertSame(78, In::of($json, 'supplies', 1, 'cents'));
    }

    public function testAPriceIsCheckedAtTheEdge(): void
    {
        [$white] = $this->putInto('C2', 'White card; ; 30');
        foreach ([['price' => 'x'], ['price' => '-1'], ['quantity' => '0'], ['quantity' => ''], ['day' => '2027-03-04'], ['day' => 'x']] as $wrong) {
            $this->post("/items/{$white->id}/price", $wrong + ['_form' => 'price', 'price' => '1', 'quantity' => '10', 'shop' => '', 'day' => '']);
            $this->assertCode(422, json_encode($wrong, \JSON_THROW_ON_ERROR));
        }
        self::assertSame(0, $this->number('SELECT count(*) FROM price'));
    }

    public function testAnAlbumHasItsPagesInOrderAndItsGaps(): void
    {
        [$forty, $more] = [$this->card('Album page 40', 1), $this->card('Album page 41', 1)];
        $this->post('/albums', ['_form' => 'album', 'name' => '']);
        $this->assertCode(422);
        $this->postAndFollow('/albums', ['name' => 'A hundred years']);
        $this->postAndFollow('/albums/1', ['item' => (string) $more->id, 'title' => '']);
        $this->postAndFollow('/albums/1', ['item' => (string) $forty->id, 'title' => '']);
        $this->postAndFollow('/albums/1', ['item' => '', 'title' => 'p. 42, storm']);
        $this->post('/albums/1', ['_form' => 'add', 'item' => '', 'title' => '']);
        $this->assertCode(422);
        $this->post('/albums/1', ['item' => (string) $forty->id, 'title' => '']);
        $this->assertCode(409, 'a page is in one place');
        self::assertCount(0, $this->get('/shelf')->filter('.shelf-board li'), 'what is in an album is not on the shelf');
        $second = $this->number('SELECT id FROM album_page WHERE item_id = ?', [(int) $forty->id]);
        $this->postAndFollow("/albums/1/pages/{$second}", ['do' => 'earlier']);
        $names = static fn (Crawler $page): array => $page->filter('.album-page .name')->each(static fn (Crawler $one): string => $one->text());
        self::assertSame(['Album page 40', 'Album page 41', 'p. 42, storm'], $names($this->get('/albums/1')));
        self::assertStringContainsString('3 pages, 1 gap', $this->get('/albums')->text());
        $this->postAndFollow("/albums/1/pages/{$second}", ['do' => 'earlier']);
        self::assertSame('Album page 40', $names($this->get('/albums/1'))[0], 'the first one stays the first');
        $kit = $this->planKit('Storm page', []);
        $gap = $this->number('SELECT id FROM album_page WHERE item_id IS NULL');
        $this->postAndFollow("/albums/1/pages/{$gap}", ['item' => '', 'kit' => (string) $kit]);
        self::assertStringContainsString('Storm page makes it', $this->get('/albums/1')->text());
        $this->post("/albums/1/pages/{$gap}", ['item' => '', 'kit' => '']);
        $this->assertCode(422);
        $this->postAndFollow("/albums/1/pages/{$second}", ['do' => 'gap']);
        self::assertSame(2, $this->service(Albums::class)->one(1)->gaps());
        $this->postAndFollow("/albums/1/pages/{$second}", ['do' => 'out']);
        $this->post("/albums/1/pages/{$second}", ['do' => 'out']);
        $this->assertCode(404);
        $this->postAndFollow('/albums/1', ['remove' => '1']);
        $this->get('/albums/1');
        $this->assertCode(404);
        self::assertCount(2, $this->service(ShelfReading::class)->loosePages(), 'its pages are loose again');
    }

    public function testAGiftThatWasPutRightWasNotGiven(): void
    {
        [$gulls, $buoys] = [$this->card('Gulls', 3), $this->card('Buoys', 2)];
        $this->give($gulls, ['person' => 'Maren', 'quantity' => '1']);
        $this->give($buoys, ['person' => 'Maren', 'quantity' => '1']);
        $contact = $this->number('SELECT max(contact_id) FROM gift');
        self::assertEqualsCanonicalizing([(int) $gulls->id, (int) $buoys->id], $this->service(ShelfReading::class)->hadBy($contact));
        $this->step(function (Step $step) use ($gulls): void {
            $line = $this->number('SELECT movement_id FROM gift WHERE item_id = ?', [$gulls->id]);
            $this->service(LogBook::class)->reverse($step, $line);
        });
        self::assertSame([(int) $buoys->id], $this->service(ShelfReading::class)->hadBy($contact));
    }
}
