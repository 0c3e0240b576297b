<?php

declare(strict_types=1);

namespace App\Tests\Room\Catalogue;

use App\Room\Catalogue\Item;
use App\Tests\RoomTestCase;
use Symfony\Component\DomCrawler\Crawler;

/** A thing on its page: its words, its drawer, its life, and what can be done with it from there. */
final class ItemPageTest extends RoomTestCase
{
    public function testEachWordIsChangedWhereItStandsAndTheOthersStay(): void
    {
        $this->furnish();
        [$terns] = $this->putInto('C1', 'Terns');
        $url = "/items/{$terns->id}/word";
        $this->postAndFollow($url, ['word' => 'maker', 'maker' => 'Oddling']);
        $this->postAndFollow($url, ['word' => 'themes', 'themes' => 'sea, birds, sea']);
        $this->postAndFollow($url, ['word' => 'colour', 'colour' => 'navy']);
        $this->postAndFollow($url, ['word' => 'sentiments', 'sentiments' => "Fair winds\nSafe home"]);
        $page = $this->postAndFollow($url, ['word' => 'name', 'name' => 'Terns at dusk']);
        $now = $this->item((int) $terns->id);
        self::assertSame(['Terns at dusk', 'Oddling', ['sea', 'birds']], [$now->name, $now->maker, $now->themes]);
        self::assertNotNull($now->colour);
        self::assertSame(['Fair winds', 'Safe home'], $page->filter('.sentiments li')->extract(['_text']));
        $this->postAndFollow($url, ['word' => 'colour', 'colour' => '']);
        self::assertNull($this->item((int) $terns->id)->colour, 'an empty field takes the colour away');
        $page = $this->post($url, ['word' => 'colour', 'colour' => 'qwertyish', '_form' => 'word-colour']);
        $this->assertCode(422);
        self::assertSame('qwertyish', $page->filter('#word-colour-colour')->attr('value'), 'what was typed stays');
        foreach ([['word' => 'name', 'name' => ''], ['word' => 'tracking', 'tracking' => 'count'], ['name' => 'x']] as $wrong) {
            $this->post($url, $wrong);
            $this->assertCode(422);
        }
        self::assertSame('Terns at dusk', $this->item((int) $terns->id)->name);
        $this->signIn('hank');
        $this->post($url, ['word' => 'maker', 'maker' => 'Hank']);
        $this->assertCode(403);
        self::assertCount(0, $this->get("/items/{$terns->id}")->filter('.item-words details'), 'a helper reads the words');
    }

    public function testTheShelfTellsItsLifeWithoutWhatWasPutRight(): void
    {
        $this->furnish();
        [$gulls] = $this->putInto('C1', 'Gulls');
        $kit = $this->pulled('Gull cards', $gulls);
        $this->postAndFollow("/kits/{$kit}/make/finish", ['name' => 'Gull card', 'quantity' => '12']);
        self::assertSame(['new', 'now', '×12', 'so far'], $this->life($gulls));
        $this->postAndFollow("/kits/{$kit}/return/home", ['items' => [$gulls->id], 'cared' => ['inky']]);
        self::assertStringContainsString('×12', implode(' ', $this->life($gulls)));
        $this->postAndFollow("/kits/{$kit}/return/lost", ['item' => $this->number("SELECT id FROM item WHERE name = 'Gull card'")]);
        $lost = $this->pulled('Lost ones', $gulls);
        $this->postAndFollow("/kits/{$lost}/return/lost", ['item' => $gulls->id]);
        self::assertStringContainsString('lost less than a day not found yet', implode(' ', $this->life($gulls)));
        $this->postAndFollow("/items/{$gulls->id}/found", ['address' => 'C4']);
        $found = $this->word('SELECT request_id FROM movement ORDER BY id DESC LIMIT 1');
        self::assertStringContainsString('lay in C4', implode(' ', $this->life($gulls)));
        $this->postAndFollow('/log/undo', ['step' => $found, 'back' => '/plan']);
        self::assertStringContainsString('not found yet', implode(' ', $this->life($gulls)), 'what is undone is not told');
    }

    public function testAThingIsSentHomeFromItsPageWithItsCare(): void
    {
        $this->furnish();
        [$gulls] = $this->putInto('C1', 'Gulls');
        $kit = $this->pulled('Gull cards', $gulls);
        $page = $this->get("/items/{$gulls->id}");
        self::assertStringContainsString('“Gull cards” is still being made', $page->filter('.send-home')->text());
        $home = $page->selectButton('Send it home')->form();
        $this->browser->submit($home);
        $this->assertCode(409, 'its care is open');
        $this->browser->submit($page->selectButton('Send it home')->form(), ['cared' => ['inky']]);
        $this->assertCode(303);
        $page = $this->browser->followRedirect();
        self::assertSame('Gulls', $page->filter('h1')->text(), 'back on its page');
        self::assertSame(['C1' => 1, 'bought' => -1], $this->balances($gulls));
        self::assertCount(0, $page->filter('.send-home'));
        self::assertSame($kit, $this->number('SELECT id FROM kit'));
    }

    public function testWhatWasFoundIsChosenAndPutTogether(): void
    {
        $this->furnish();
        [$gulls, $terns, $auks] = $this->putInto('C1', 'Sea gulls', 'Sea terns', 'Sea auks');
        $kit = $this->planKit('Birds', []);
        $page = $this->get('/find?q=sea&order=walk');
        self::assertCount(3, $page->filter('#several [name="items[]"]'));
        $this->postAndFollow('/things/into-kit', ['items' => [$gulls->id, $terns->id], 'kit' => $kit]);
        self::assertSame(2, $this->number('SELECT count(*) FROM need WHERE kit_id = ?', [$kit]));
        $from = $page->filter('#several [name="from"]')->attr('value');
        $this->postAndFollow('/things/move', ['items' => [$auks->id], 'to' => 'C4', 'from' => $from]);
        $asked = $this->browser->getRequest()->query;
        self::assertSame(['sea', 'walk'], [$asked->get('q'), $asked->get('order')], 'back to what was found');
        self::assertArrayHasKey('C4', $this->balances($auks));
        $page = $this->post('/things/move', ['items' => [$auks->id], 'to' => 'Q99', 'from' => $from, '_form' => 'several']);
        $this->assertCode(422);
        self::assertSame([(string) $auks->id], $page->filter('#several [name="items[]"][checked]')->extract(['value']), 'what was ticked stays ticked');
        self::assertSame('Q99', $page->filter('#several-to')->attr('value'));
        $this->post('/things/into-kit', ['kit' => (string) $kit, 'from' => 'find:q=sea']);
        $this->assertCode(409, 'nothing was chosen');
        $this->post('/things/into-kit', ['items' => [$auks->id], 'kit' => '999', 'from' => 'https://elsewhere/']);
        $this->assertCode(404);
    }

    public function testAHelperTakesButDoesNotMove(): void
    {
        $this->furnish();
        [$gulls] = $this->putInto('C1', 'Gulls');
        $this->signIn('hank');
        $page = $this->get('/stores/places/C1');
        self::assertCount(0, $page->filter('[data-move]'));
        $this->post('/things/move', ['items' => [$gulls->id], 'to' => 'C2']);
        $this->assertCode(403);
        $this->browser->submit($page->selectButton('Take out')->form(), ['items' => [$gulls->id]]);
        $this->assertCode(303);
        self::assertSame(['bought' => -1, 'tray 1' => 1], $this->balances($gulls));
    }

    public function testLooseThingsAreOfferedThePartWhereTheyBelong(): void
    {
        $this->furnish();
        [$gulls, $terns] = $this->putInto('C1', 'Gulls', 'Terns');
        foreach (['x', 'y'] as $label) {
            $this->postAndFollow('/stores/places/C1/inner', ['label' => $label, 'kind' => 'tray', 'layer' => '0']);
        }
        $says = ['says_kind' => 'stamp set', 'says_theme' => 'sea'];
        $this->postAndFollow('/stores/places/C1.y', $says + ['name' => '', 'scheme' => 'name', 'room_to_grow' => '0']);
        $this->postAndFollow("/items/{$gulls->id}/word", ['word' => 'themes', 'themes' => 'sea']);
        $page = $this->get('/stores/places/C1');
        self::assertSame('C1.y', $page->filter("#part_{$gulls->id} option[selected]")->attr('value'));
        $this->postAndFollow('/stores/places/C1/parts', [
            'things' => [$gulls->id, $terns->id],
            'part_'.$gulls->id => 'C1.y',
            'part_'.$terns->id => '',
        ]);
        self::assertSame(['C1.y' => 1, 'bought' => -1], $this->balances($gulls));
        self::assertSame(['C1' => 1, 'bought' => -1], $this->balances($terns), 'it stays loose');
        $this->post('/stores/places/C1/parts', ['things' => [$terns->id], 'part_'.$terns->id => 'C4', '_form' => 'parts']);
        $this->assertCode(422, 'C4 is no part of C1');
    }

    private function pulled(string $name, Item $item): int
    {
        $kit = $this->planKit($name, [[$item, 1]]);
        $this->postAndFollow("/kits/{$kit}/pull");
        $this->postAndFollow("/kits/{$kit}/pull/take", ['place' => array_key_first($this->balances($item)), 'needs' => [$this->needId($kit, $item)]]);
        $this->postAndFollow("/kits/{$kit}/pull/end");

        return $kit;
    }

    /** @return list<string> what is written above its shelf */
    private function life(Item $item): array
    {
        return $this->get("/items/{$item->id}")->filter('.life text:not(.board-month)')->each(static fn (Crawler $text): string => $text->text());
    }
}
