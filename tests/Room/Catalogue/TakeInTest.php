<?php

declare(strict_types=1);

namespace App\Tests\Room\Catalogue;

use App\Tests\RoomTestCase;
use Symfony\Component\DomCrawler\Crawler;

/** What comes in by the front door: guessed at, corrected, written. */
final class TakeInTest extends RoomTestCase
{
    private const LINES = "Tern stamps; Two Bollards\nPetrel card 12x12; Marrowlight Paper; 24\nNavy dye ink cube; Oddling\nLighthouse & gulls";

    protected function setUp(): void
    {
        parent::setUp();
        $this->furnish();
        $this->putInto('C1', 'Lighthouse & gulls; Two Bollards', 'Loose rope; Two Bollards', 'Gull parade; Two Bollards');
        $this->putInto('C2', 'Petrel card 12 × 12; Marrowlight Paper; 10');
    }

    private function looked(string $lines = self::LINES): Crawler
    {
        $page = $this->post('/take-in/look', ['things' => $lines, '_form' => 'things']);
        $this->assertCode(200);

        return $page;
    }

    private static function value(Crawler $page, string $name): string
    {
        $field = $page->filter('#new-'.$name);

        return (string) ('select' === $field->nodeName() ? $field->filter('option[selected]')->attr('value') : $field->attr('value'));
    }

    public function testWhatALineDoesNotSayIsGuessedAndShown(): void
    {
        $movements = $this->movements();
        $page = $this->looked();
        self::assertSame($movements, $this->movements(), 'nothing is written yet');
        self::assertSame(['stamp set', 'paper', 'ink'], array_map(static fn (int $n): string => self::value($page, 'kind_'.$n), [0, 1, 2]));
        self::assertSame(['one', 'count', 'level'], array_map(static fn (int $n): string => self::value($page, 'tracking_'.$n), [0, 1, 2]));
        self::assertSame(['1', '24', 'full'], array_map(static fn (int $n): string => self::value($page, 'quantity_'.$n), [0, 1, 2]));
        self::assertSame('Navy', self::value($page, 'colour_2'));
        self::assertSame('C1', self::value($page, 'home_0'), 'where its like is at home');
        self::assertCount(2, $page->filter('tr.doubt'), '12x12 is 12 × 12, and the lighthouse is known');
        self::assertStringContainsString('Like Petrel card 12 × 12', $page->filter('tr.doubt')->eq(0)->text());
    }

    public function testThreePressesPutThemInWithTheirHomes(): void
    {
        $card = $this->number("SELECT id FROM item WHERE name LIKE 'Petrel card%'");
        $page = $this->looked();
        $this->browser->submit($page->selectButton('Put them in')->form(), [
            'double_1' => 'add-'.$card,
            'double_3' => 'out',
            'home_2' => '',
        ]);
        $this->assertCode(303);
        $this->browser->followRedirect();
        self::assertStringContainsString('3 things are in the room now; 1 has no home yet.', $this->text());
        self::assertSame(['C2' => 34, 'bought' => -34], $this->balances($this->item($card)), 'more of the same');
        $stamps = $this->item($this->number("SELECT id FROM item WHERE name = 'Tern stamps'"));
        self::assertSame(['C1' => 1, 'bought' => -1], $this->balances($stamps));
        self::assertSame('C1', $stamps->home?->address);
        $ink = $this->item($this->number("SELECT id FROM item WHERE name = 'Navy dye ink cube'"));
        self::assertSame(['bought' => -8, 'not filed' => 8], $this->balances($ink));
        self::assertNotNull($ink->colour);
        self::assertSame(1, $this->number("SELECT count(*) FROM item WHERE name = 'Lighthouse & gulls'"), 'left out');
    }

    public function testPaperComesInWithItsMeasures(): void
    {
        $page = $this->looked("Buoy card; Marrowlight Paper; 24; sea; Buoy; 8 1/2 × 11; 80 lb cover\nFog cardstock 12 × 12\nTern stamps");
        self::assertSame(['8 1/2 in × 11 in', '80 lb cover'], [self::value($page, 'size_0'), self::value($page, 'weight_0')]);
        self::assertSame(['12 in × 12 in', ''], [self::value($page, 'size_1'), self::value($page, 'weight_1')], 'its name tells, and it is marked as a guess');
        self::assertCount(1, $page->filter('.cell-sheet i'));
        self::assertCount(0, $page->filter('#new-size_2'), 'a stamp set has no size of sheet');
        $page = $this->browser->submit($page->selectButton('Put them in')->form(), ['weight_1' => '80 lb']);
        $this->assertCode(422);
        self::assertStringContainsString('of what?', $page->filter('#new-weight_1-error')->text());
        $this->browser->submit($page->selectButton('Put them in')->form(), ['weight_1' => '216 gsm']);
        $this->assertCode(303);
        $measures = fn (string $name): string => $this->word("SELECT sheet_width || ' ' || sheet_height || ' ' || grammage FROM item WHERE name = '$name'");
        self::assertSame(\sprintf('%d %d 216329', 69_088, 89_408), $measures('Buoy card'));
        self::assertSame('97536 97536 216000', $measures('Fog cardstock 12 × 12'));
        $this->get('/find?q='.urlencode('8.5x11'));
        self::assertStringContainsString('Buoy card', $this->text(), 'a size is found that stands in no name');
    }

    public function testMeasuresAreSaidWhereTheyAreMissing(): void
    {
        $id = $this->number("SELECT id FROM item WHERE name LIKE 'Petrel card%'");
        $this->database()->executeStatement('UPDATE item SET sheet_width = NULL, sheet_height = NULL WHERE id = ?', [$id]);
        $page = $this->get('/items/'.$id);
        self::assertStringContainsString('add its size', $page->filter('.item-words')->text());
        $this->postAndFollow("/items/{$id}/word", ['word' => 'size', 'size' => '8 1/2 x 11']);
        $this->postAndFollow("/items/{$id}/word", ['word' => 'weight', 'weight' => '80 lb cover']);
        $page = $this->postAndFollow("/items/{$id}/word", ['word' => 'direction', 'direction' => 'h']);
        self::assertStringContainsString('8½ × 11 in', $page->filter('.item-words')->text());
        self::assertStringContainsString('80 lb cover, 216 g/m²', $page->filter('.item-words')->text());
        $page = $this->post("/items/{$id}/word", ['word' => 'size', 'size' => 'large', '_form' => 'word-size']);
        $this->assertCode(422);
        self::assertStringContainsString('no size of a sheet', $page->filter('#word-size-size-error')->text());
        $form = $this->get("/items/{$id}/edit")->selectButton('Write it down')->form();
        self::assertSame('h', $form->getPhpValues()['sheet_direction'] ?? null);
        $this->browser->submit($form, ['sheet_back' => 'white', 'sheet_finish' => 'felt']);
        $this->assertCode(303);
        self::assertSame('#ffffff|felt|h', $this->word("SELECT back_colour || '|' || finish || '|' || direction FROM item WHERE id = $id"));
    }

    public function testAWrongCellIsMarkedAndNothingIsLostOrWritten(): void
    {
        $movements = $this->movements();
        $page = $this->looked();
        $wrong = ['quantity_1' => 'many', 'home_0' => 'Q9', 'colour_2' => '#12', 'maker_0' => 'Kelp & Comma', 'name_2' => ''];
        $page = $this->browser->submit($page->selectButton('Put them in')->form(), $wrong);
        $this->assertCode(422);
        self::assertSame($movements, $this->movements());
        foreach (['quantity_1', 'home_0', 'name_2'] as $cell) {
            self::assertCount(1, $page->filter("#new-{$cell}-error"), $cell);
        }
        self::assertSame(['many', 'Q9', '#12', 'Kelp & Comma'], array_map(
            static fn (string $cell): string => self::value($page, $cell),
            ['quantity_1', 'home_0', 'colour_2', 'maker_0'],
        ));
        $page = $this->post('/take-in/look', ['things' => '; Oddling', '_form' => 'things']);
        self::assertSame('What is it called?', $page->filter('#new-name_0-told')->text());
        $this->post('/take-in', ['lines' => '1', 'text' => ';;;;;;;;', 'kind_0' => 'paper', 'tracking_0' => 'count']);
        $this->assertCode(422, 'a crafted form is refused');
        $line = ['name_0' => 'x', 'quantity_0' => '1', 'kind_0' => 'paper', 'tracking_0' => 'count'];
        $this->post('/take-in', ['lines' => '1', 'double_0' => 'add-99999'] + $line);
        $this->assertCode(404);
        $this->signIn('hank');
        $this->get('/take-in');
        $this->assertCode(403);
    }
}
