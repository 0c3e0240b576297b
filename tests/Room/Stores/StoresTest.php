<?php

declare(strict_types=1);

namespace App\Tests\Room\Stores;

use App\People\Accounts\OpenRoom;
use App\Tests\RoomTestCase;
use Symfony\Component\DomCrawler\Crawler;

final class StoresTest extends RoomTestCase
{
    public function testFromNothingToAFirstPulledThing(): void
    {
        $this->get('/');
        $this->browser->followRedirect();
        $page = $this->browser->followRedirect();
        self::assertStringContainsString('Your room', $this->text());
        $this->browser->request('POST', '/begin', [
            'room' => '',
            'measure' => 'ells',
            'name' => 'Nell',
            'login' => '',
            'password' => 'short',
            '_form' => 'begin',
        ]);
        $this->assertCode(422);
        self::assertSame('Nell', $this->browser->getCrawler()->filter('#begin-name')->attr('value'));
        self::assertCount(4, $this->browser->getCrawler()->filter('.field-error'));

        $this->browser->request('POST', '/begin', [
            'room' => 'The back room',
            'measure' => 'mm',
            'name' => 'Nell',
            'login' => 'nell',
            'password' => 'nells-password',
            'time_zone' => 'Europe/Oslo',
            '_form' => 'begin',
        ]);
        $page = $this->browser->followRedirect();
        self::assertStringContainsString('step 2 of 3', $this->text());
        $this->browser->submit(
            $page->filter('form[action$="/new-unit"]')->form(['template' => 'chest', 'rows' => '3', 'name' => 'chest', 'wall' => 'by the window']),
        );
        $page = $this->browser->followRedirect();
        self::assertSame('B1', $page->filter('.plate.big span')->text());
        $this->browser->submit($page->selectButton('Put them in')->form(['things' => "Gulls\nTerns\nPuffins"]));
        $page = $this->browser->followRedirect();
        self::assertStringContainsString('Gulls, Terns and Puffins are in B1 now.', $this->text());
        $gulls = (string) $page->filter('.lying [name="items[]"]')->attr('value');
        $this->browser->submit($page->filter('#several button[name=now]')->form(), ['items' => [$gulls]]);
        $this->assertCode(303);
        self::assertSame('tray 1', $this->database()->fetchOne("SELECT p.address FROM balance b JOIN place p ON p.id = b.place_id WHERE p.nature = 'tray'"));
        $this->get('/begin');
        $this->assertCode(302, 'a room has one first run');
    }

    public function testASecondOwnerCannotBegin(): void
    {
        $this->furnish();
        $this->browser->restart();
        $this->browser->request('POST', '/begin', ['room' => 'Mine now', 'measure' => 'in', 'name' => 'X', 'login' => 'x', 'password' => 'xxxxxxxxxxx']);
        $this->assertCode(302);
        self::assertTrue($this->service(OpenRoom::class)->isOpen());
        self::assertSame(2, $this->number('SELECT count(*) FROM account'));
    }

    public function testFindsByNameMakerSentimentThemeColourAndAddress(): void
    {
        $this->furnish();
        [$gulls, $other] = $this->putInto('C1', 'Lighthouse & gulls; Two Bollards', 'Éider family; Oddling');
        $this->postAndFollow("/items/{$gulls->id}/edit", [
            'name' => 'Lighthouse & gulls',
            'maker' => 'Two Bollards',
            'kind' => 'stamp set',
            'tracking' => 'one',
            'themes' => 'seabirds, lighthouses',
            'colour' => '#1F5C6B',
            'colour_name' => 'Petrel',
            'sentiments' => "Guide me home\nWishing you a safe harbour",
            'note' => '',
        ]);
        foreach (['light', 'gulls two', 'bollards', 'safe harb', 'seabird', 'petrel', 'c1', 'eider', 'ÉIDER fam', 'guide  home!'] as $query) {
            $this->get('/find?q='.urlencode($query));
            self::assertStringContainsString(str_contains(mb_strtolower($query), 'ider') ? 'Éider family' : 'Lighthouse & gulls', $this->text(), $query);
        }
        foreach (['zebra', '', '"', '*', 'NEAR(', "'; --", 'AND OR NOT', str_repeat('zz ', 3000)] as $query) {
            $this->get('/find?q='.urlencode($query));
            $this->assertCode(200, $query);
            self::assertStringNotContainsString('Lighthouse & gulls', $this->text());
        }
        $page = $this->get('/find?q=guide');
        self::assertCount(1, $page->filter('.beside a.place.lit'), 'its drawer lights up in the room');
        $kit = $this->planKit('Gulls', [[$gulls, 1]]);
        $this->postAndFollow("/kits/{$kit}/pull");
        $this->postAndFollow("/kits/{$kit}/pull/take", ['place' => 'C1', 'needs' => [$this->needId($kit, $gulls)]]);
        $this->get('/find?q=guide');
        self::assertStringContainsString('out: tray 1 · Gulls', $this->text());
    }

    public function testHtmxGetsTheResultsAndTheRoomAlone(): void
    {
        $this->furnish();
        $this->putInto('C1', 'Tern');
        $this->browser->request('GET', '/find?q=te', [], [], ['HTTP_HX_REQUEST' => 'true', 'HTTP_HX_TARGET' => 'results']);
        $html = (string) $this->browser->getResponse()->getContent();
        self::assertSame(['C1'], (new Crawler($html))->filter('#room-drawing[hx-swap-oob] .beside a.place.lit')->extract(['data-address']));
        self::assertStringNotContainsString('<html', $html);
    }

    public function testAPlaceShowsItsContentsInOrderWhatIsOutAndItsLog(): void
    {
        $this->furnish();
        $items = $this->putInto('C1', 'Yawl', 'The anchor', 'Kelp 10', 'Kelp 2');
        $page = $this->get('/stores/places/c1');
        $names = static fn (Crawler $page): array => $page->filter('.lying-name')->each(static fn (Crawler $name): string => $name->text());
        self::assertSame(['The anchor', 'Kelp 2', 'Kelp 10', 'Yawl'], $names($page));
        $kit = $this->planKit('Yawls', [[$items[0], 1]]);
        $this->postAndFollow("/kits/{$kit}/pull");
        $this->postAndFollow("/kits/{$kit}/pull/take", ['place' => 'C1', 'needs' => [$this->needId($kit, $items[0])]]);
        $page = $this->get('/stores/places/C1');
        self::assertSame(['The anchor', 'Kelp 2', 'Kelp 10', 'Yawl'], $names($page), 'its gap stays where it stands');
        self::assertSame('Yawl out: tray 1', $page->filter('.lying .gap')->text());
        self::assertCount(1, $page->filter('.beside a.place.out'));
        self::assertStringContainsString('C1 → tray 1', $page->filter('.log-lines')->text());
        $this->get("/items/{$items[0]->id}");
        self::assertSame(
            ['its gap', 'Kelp 10', 'Kelp 2', 'The anchor'],
            $this->browser->getCrawler()->filter('.flat li > :first-child')->extract(['_text']),
            'the first at the front',
        );
    }

    public function testAPlaceInsideAPlaceTakesItsRulesOver(): void
    {
        $this->furnish();
        $this->postAndFollow('/stores/places/C1', [
            'name' => 'stamps',
            'scheme' => 'maker',
            'scheme_then' => 'name',
            'says_kind' => 'die',
            'says_maker' => 'Oddling',
            'says_theme' => 'sea',
            '_form' => 'describe',
        ]);
        $this->postAndFollow('/stores/places/C1/inner', ['label' => 'B', 'kind' => 'tray', 'inner_name' => 'lower', 'layer' => '1']);
        [$item] = $this->putInto('C1.b', 'Wave die');
        self::assertSame(['die', 'Oddling', ['sea'], 'maker,name'], [$item->kind->value, $item->maker, $item->themes, $this->place('C1.b')->scheme]);
        $this->post('/stores/places/C1/inner', ['label' => 'b', 'kind' => 'tray', 'inner_name' => '', 'layer' => '0']);
        $this->assertCode(409);
        $this->post('/stores/places/C1/inner', ['label' => 'b b', 'kind' => 'tray', 'inner_name' => '', 'layer' => '99', '_form' => 'inner']);
        $this->assertCode(422);
        $this->post('/stores/places/C1', ['scheme' => 'weight', '_form' => 'describe']);
        $this->assertCode(422);
        $this->post('/stores/places/C1/things', ['things' => "a\nb;c;d;e", '_form' => 'things']);
        $this->assertCode(422);
        self::assertStringContainsString('1 line cannot be read yet: 2 b;c;d;e', $this->text());
        self::assertSame("a\nb;c;d;e", trim($this->browser->getCrawler()->filter('#things-things')->text(normalizeWhitespace: false)));
    }

    public function testUnitsThatCannotBeAreRefused(): void
    {
        $this->furnish();
        foreach (
            [['rows' => '0'], ['rows' => '10000'], ['rows' => 'six'], ['letters' => 'C'], ['letters' => '7'], ['template' => 'moon']] as $wrong
        ) {
            $page = $this->post(
                '/stores/new-unit',
                $wrong + [
                    'template' => 'chest',
                    'rows' => '4',
                    'columns' => '1',
                    'letters' => 'D',
                    'name' => 'my chest',
                    'wall' => '',
                    '_form' => 'unit',
                ],
            );
            self::assertContains($this->code(), [409, 422], json_encode($wrong, \JSON_THROW_ON_ERROR));
            self::assertSame('my chest', $page->filter('#unit-name')->attr('value'));
        }
        self::assertSame(1, $this->number('SELECT count(*) FROM unit'));
    }

    public function testCompanionsAreShownOnBothAndAtThePull(): void
    {
        $this->furnish();
        [$stamps, $other] = $this->putInto('C1', 'Gulls', 'Other');
        [$dies] = $this->putInto('C4', 'Gull dies');
        $this->postAndFollow("/items/{$stamps->id}/companions", ['other' => $dies->id]);
        $this->get("/items/{$dies->id}");
        self::assertStringContainsString('Gulls', $this->browser->getCrawler()->filter('.companions')->text());
        $choices = $this->get("/items/{$stamps->id}?with=gull")->filter('#companion .row .name')->each(static fn (Crawler $name): string => $name->text());
        self::assertSame(['Gull dies'], $choices, 'not itself, though it is called Gulls');
        $this->post("/items/{$stamps->id}/companions", ['other' => $stamps->id]);
        $this->assertCode(409);
        $this->post("/items/{$stamps->id}/companions", ['other' => 999]);
        $this->assertCode(404);
        $kit = $this->planKit('Gulls', [[$stamps, 1]]);
        $this->postAndFollow("/kits/{$kit}/pull");
        self::assertStringContainsString('goes with Gull dies (C4)', $this->text());
    }

    public function testTheWayAThingIsCountedStaysOnceItMoved(): void
    {
        $this->furnish();
        [$tern] = $this->putInto('C1', 'Tern');
        $this->post("/items/{$tern->id}/edit", [
            'name' => 'Tern',
            'kind' => 'stamp set',
            'tracking' => 'count',
            'themes' => '',
            'colour' => '',
            '_form' => 'item',
        ]);
        $this->assertCode(409);
        $page = $this->post("/items/{$tern->id}/edit", [
            'name' => 'Tern',
            'kind' => 'stamp set',
            'tracking' => 'one',
            'themes' => '',
            'colour' => 'blueish',
            '_form' => 'item',
        ]);
        $this->assertCode(422);
        self::assertSame('blueish', $page->filter('#item-colour')->attr('value'));
    }

    public function testAHelperIsLetInAndSignsIn(): void
    {
        $this->furnish();
        $this->postAndFollow('/upkeep/people', ['name' => 'Wyn', 'login' => 'wyn', 'password' => 'wyns-password']);
        self::assertSame(['ROLE_HELPER'], $this->account('wyn')->getRoles());
        $this->post('/upkeep/people', ['name' => 'Wyn', 'login' => 'WYN', 'password' => 'wyns-password', '_form' => 'helper']);
        $this->assertCode(422);
    }

    public function testEveryPageShowsInMillimetresToo(): void
    {
        $this->furnish();
        $this->database()->executeStatement("UPDATE room SET measure = 'mm'");
        $this->get('/stores/units/c');
        self::assertStringContainsString('400 × 636 × 450 mm', $this->text());
    }

    public function testAllPlacesOfAUnitAreNamedAtOnce(): void
    {
        $this->furnish();
        $page = $this->get('/stores/units/C');
        self::assertSame(5, $page->filter('.names input[data-next]')->count());
        $ids = array_map(fn (string $address): int => (int) $this->place($address)->id, ['C1', 'C2', 'C3']);
        $this->database()->executeStatement("UPDATE place SET says_maker = 'Oddling' WHERE address = 'C1'");
        $this->entities()->clear();
        $this->postAndFollow('/stores/units/C/names', [
            "name_{$ids[0]}" => 'seabirds',
            "kind_{$ids[0]}" => 'stamp set',
            "name_{$ids[1]}" => '',
            "kind_{$ids[1]}" => 'paper',
            "name_{$ids[2]}" => 'inks',
            "kind_{$ids[2]}" => '',
        ]);
        self::assertStringContainsString('2 places written down.', $this->text(), 'C2 is as it was');
        self::assertSame('seabirds|stamp set|Oddling', $this->word("SELECT name || '|' || says_kind || '|' || says_maker FROM place WHERE address = 'C1'"));
        self::assertSame(1, $this->number("SELECT says_kind IS NULL FROM place WHERE address = 'C3'"));
        $this->get('/stores/labels');
        self::assertStringContainsString('seabirds', $this->text(), 'another name wants another label');
        $this->postAndFollow('/log/undo', ['step' => $this->word('SELECT id FROM write_request ORDER BY id DESC LIMIT 1'), 'back' => '/stores/units/C']);
        self::assertSame('/stores/units/C', $this->browser->getRequest()->getPathInfo(), 'one stays on the page');
        self::assertSame('', $this->word("SELECT name FROM place WHERE address = 'C1'"));
    }

    public function testTheRulesOfPlacesAreChangedWhereTheUnitIsDrawn(): void
    {
        $this->furnish();
        $this->database()->executeStatement("UPDATE place SET scheme = 'colour,name,size' WHERE address = 'C2'");
        $this->entities()->clear();
        $page = $this->get('/stores/units/C');
        $ids = array_map(fn (string $address): int => (int) $this->place($address)->id, ['C1', 'C2', 'C3']);
        $form = $page->selectButton('Keep these')->form();
        $form->setValues(["maker_{$ids[0]}" => 'Two Bollards', "theme_{$ids[0]}" => 'sea', "order_{$ids[0]}" => 'theme', "then_{$ids[0]}" => 'maker']);
        $this->browser->submit($form);
        $page = $this->browser->followRedirect();
        self::assertStringContainsString('1 place written down.', $this->text());
        self::assertStringContainsString('Two Bollards · sea · by theme, then maker', $page->filter('.rules summary')->eq(0)->text());
        self::assertSame('colour,name,size', $this->word("SELECT scheme FROM place WHERE address = 'C2'"), 'as it was, the third, too');
        $this->putInto('C1', 'Tern stamps');
        self::assertSame('Two Bollards|["sea"]', $this->word("SELECT maker || '|' || themes FROM item WHERE name = 'Tern stamps'"), 'new things take it over');
        $page = $this->post('/stores/units/C/names', ["name_{$ids[2]}" => 'inks', "order_{$ids[2]}" => 'whim', "theme_{$ids[2]}" => 'sea', '_form' => 'names']);
        $this->assertCode(422);
        self::assertSame('sea', $page->filter("[name=theme_{$ids[2]}]")->attr('value'));
        self::assertCount(1, $page->filter('.rules[open]'), 'the rules are open where something is wrong');
    }

    public function testANameThatIsTooLongLosesNothingTyped(): void
    {
        $this->furnish();
        [$first, $second] = [(int) $this->place('C1')->id, (int) $this->place('C2')->id];
        $page = $this->post('/stores/units/C/names', ["name_{$first}" => str_repeat('x', 121), "name_{$second}" => 'blues', '_form' => 'names']);
        self::assertSame(422, $this->code());
        self::assertStringContainsString('121 characters are too many', $page->filter('.names .field-error')->text());
        self::assertSame('blues', $page->filter("[name=name_{$second}]")->attr('value'));
        $this->signIn('hank');
        $this->post('/stores/units/C/names', ["name_{$first}" => 'mine']);
        self::assertSame(403, $this->code());
        self::assertSame(0, $this->get('/stores/units/C')->filter('.names input[data-next]')->count());
    }
}
