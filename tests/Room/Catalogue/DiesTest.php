<?php

declare(strict_types=1);

namespace App\Tests\Room\Catalogue;

use App\Room\Catalogue\DieReading;
use App\Room\Catalogue\DieRow;
use App\Room\Catalogue\Item;
use App\Tests\RoomTestCase;
use Symfony\Component\DomCrawler\Crawler;

/** Dies say what they cut, wherever that is asked, and the board looks for it. */
final class DiesTest extends RoomTestCase
{
    private const INCH = 8128;
    private Item $gulls;
    private Item $ovals;
    private Item $circles;

    protected function setUp(): void
    {
        parent::setUp();
        $this->furnish();
        $this->putInto('C2', 'Petrel card; ; 24; ; Petrel; 8 1/2 × 11');
        [$this->gulls, $this->ovals, $this->circles] = $this->putInto(
            'C4',
            'Gull dies; Two Bollards; 1; sea; ; 1 3/4 × 3/4, 3 × 3',
            'Oval dies',
            'Circle dies; ; 1; ; ; 2 × 2',
        );
    }

    public function testALineOfTheFrontDoorSaysIt(): void
    {
        self::assertSame([[3 * self::INCH, 3 * self::INCH], [7 * self::INCH / 4, 3 * self::INCH / 4]], $this->gulls->cutSizes);
        self::assertNull($this->ovals->cutSizes);
        $cells = $this->post('/take-in/look', ['things' => "Star dies; ; 1; ; ; 3 × 3, 2 × 2\nCard; ; 4; ; ; 4 × 6"]);
        self::assertSame('3 in × 3 in; 2 in × 2 in', $cells->filter('#new-size_0')->attr('value'));
    }

    public function testItIsWrittenDownWhereItStands(): void
    {
        $page = $this->get("/items/{$this->ovals->id}");
        self::assertStringContainsString('add the sizes it cuts', $page->filter('.item-words')->text());
        $page = $this->post("/items/{$this->ovals->id}/word", ['word' => 'cuts', 'cuts' => '3 × 4, large', '_form' => 'word-cuts']);
        $this->assertCode(422);
        self::assertStringContainsString('“large” is no size', $page->filter('#word-cuts-cuts-error')->text());
        self::assertSame('3 × 4, large', $page->filter('#word-cuts-cuts')->attr('value'), 'nothing typed is lost');
        $page = $this->postAndFollow("/items/{$this->ovals->id}/word", ['word' => 'cuts', 'cuts' => '2 × 3; 3 × 4']);
        self::assertStringContainsString('cuts 3 × 4, 2 × 3', $page->filter('.item-words')->text());
        $this->get('/find?q=3x4');
        self::assertStringContainsString('Oval dies', $this->text(), 'its sizes are found');
        $this->undo();
        self::assertNull($this->item((int) $this->ovals->id)->cutSizes);
        $card = $this->number("SELECT id FROM item WHERE name = 'Petrel card'");
        $this->post("/items/{$card}/word", ['word' => 'cuts', 'cuts' => '2 × 3', '_form' => 'word-cuts']);
        $this->assertCode(422, 'a paper cuts nothing');
    }

    public function testTheRecordKeepsIt(): void
    {
        $form = $this->get("/items/{$this->gulls->id}/edit")->selectButton('Write it down')->form();
        self::assertSame('3 in × 3 in; 1 3/4 in × 3/4 in', $form->getValues()['cut_sizes']);
        $this->browser->submit($form, ['cut_sizes' => '5 × 2']);
        self::assertSame([[5 * self::INCH, 2 * self::INCH]], $this->item((int) $this->gulls->id)->cutSizes);
    }

    public function testThoseThatDoNotSayItAreAskedTogether(): void
    {
        $page = $this->get('/stores/dies');
        self::assertStringContainsString('2 of 3 dies say it', $page->text());
        self::assertSame(['Oval dies'], $page->filter('.die-sizes .name')->each(static fn (Crawler $name): string => $name->text()));
        $this->post('/stores/dies', ['dies' => [(string) $this->ovals->id], '_form' => 'cuts']);
        $this->assertCode(409, 'nothing was written');
        $wrong = ['dies' => [(string) $this->ovals->id], 'cuts_'.$this->ovals->id => '4 inches', '_form' => 'cuts'];
        $page = $this->post('/stores/dies', $wrong);
        $this->assertCode(422);
        self::assertStringContainsString('is no size', $page->filter('.field-error')->text());
        self::assertSame('4 inches', $page->filter('#cuts-cuts_'.$this->ovals->id)->attr('value'));
        $page = $this->postAndFollow('/stores/dies', ['cuts_'.$this->ovals->id => '4 × 3'] + $wrong);
        self::assertStringContainsString('Every die says what it cuts.', $page->text());
        self::assertStringContainsString('What 1 die cuts is written down.', $page->text());
        $card = $this->number("SELECT id FROM item WHERE name = 'Petrel card'");
        $this->post('/stores/dies', ['dies' => [(string) $card], 'cuts_'.$card => '4 × 3', '_form' => 'cuts']);
        $this->assertCode(422, 'a crafted form meets the same rule');
        $sizes = $this->get('/stores/dies/sizes')->filter('option')->each(static fn (Crawler $one): string => $one->attr('value').' '.$one->text());
        self::assertContains('2 in × 2 in Circle dies, C4', $sizes);
        $this->signIn('hank');
        self::assertCount(0, $this->get('/stores/dies')->filter('main form'), 'a helper looks');
        $this->post('/stores/dies', ['dies' => [(string) $this->ovals->id], 'cuts_'.$this->ovals->id => '9 × 9']);
        $this->assertCode(403);
    }

    public function testTheBoardSaysWhichDieCutsAndWhichComesNear(): void
    {
        $this->postAndFollow('/kits', ['name' => '8 cards A2, mat, panel']);
        $kit = $this->number('SELECT max(id) FROM kit');
        $add = ['kind' => 'die-cut', 'name' => 'sun', 'size' => '2 1/4 × 2 1/8', 'paper' => 'Petrel'];
        $page = $this->postAndFollow("/kits/{$kit}/design/parts", $add + $this->seen($kit));
        $by = $page->filter('.cut-by');
        self::assertStringContainsString('No die is said to cut that size.', $by->text());
        self::assertStringContainsString('Circle dies comes near: Make it 2 × 2', $by->text());
        self::assertStringContainsString('1 die does not say what it cuts', $by->text());
        $part = (string) preg_replace('/^part-/', '', (string) $by->closest('details')?->attr('id'));
        $near = $by->selectButton('Make it 2 × 2');
        $this->postAndFollow("/kits/{$kit}/design/parts/{$part}", ['size' => (string) $near->attr('value')] + $add + $this->seen($kit));
        $page = $this->browser->getCrawler();
        self::assertStringContainsString('Circle dies cuts it.', $page->filter('.cut-by')->text());
        self::assertStringContainsString('cuts the sun', $page->filter('.goes-with')->text());
        $this->postAndFollow("/kits/{$kit}/design/things", ['item' => (string) $this->circles->id, 'role' => 'beside'] + $this->seen($kit));
        $page = $this->browser->getCrawler();
        self::assertStringContainsString('Circle dies', $page->filter('.board-things')->text());
        self::assertStringNotContainsString('cuts the sun', $page->filter('main')->text(), 'what is taken is not proposed again');
        $this->post("/items/{$this->circles->id}/word", ['word' => 'cuts', 'cuts' => '']);
        $text = $this->get("/kits/{$kit}/design")->filter('.cut-by')->text();
        self::assertStringContainsString('No die says that it cuts that size, or one near it.', $text);
        self::assertStringContainsString('2 dies do not say what they cut', $text);
    }

    /** @return array<string, string> */
    private function seen(int $kit): array
    {
        return ['revision' => (string) $this->number('SELECT revision FROM design WHERE kit_id = ?', [$kit])];
    }

    private function undo(): void
    {
        $step = $this->word('SELECT request_id FROM step_change ORDER BY id DESC LIMIT 1');
        $this->postAndFollow('/log/undo', ['step' => $step, 'back' => '/plan']);
    }

    public function testADieThatWasTakenInByMistakeCutsNothing(): void
    {
        $dies = $this->service(DieReading::class);
        $sizes = static fn (): array => array_map(static fn (array $one): string => $one[1], $dies->sizes());
        self::assertSame(['Gull dies, C4', 'Circle dies, C4', 'Gull dies, C4'], $sizes(), 'one that says nothing has no size');
        $this->undoneThing($this->circles);
        $this->undoneThing($this->ovals);
        self::assertSame(['Gull dies, C4', 'Gull dies, C4'], $sizes());
        self::assertSame([1, 0], $dies->many());
        self::assertSame(['Gull dies'], array_map(static fn (DieRow $die): string => $die->thing->name, $dies->said()));
    }
}
