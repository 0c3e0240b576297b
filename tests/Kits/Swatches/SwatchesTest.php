<?php

declare(strict_types=1);

namespace App\Tests\Kits\Swatches;

use App\Kits\Swatches\SwatchBook;
use App\Tests\RoomTestCase;
use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Colour\NamedColour;
use Lottel\Core\Colour\PaletteReader;
use Symfony\Component\DomCrawler\Crawler;
use Symfony\Component\HttpFoundation\File\UploadedFile;

final class SwatchesTest extends RoomTestCase
{
    private const PALETTE = "Dusk, #1f4e5f\nBuoy, #a8402e\nFoam, #fdfefe\n";

    protected function setUp(): void
    {
        parent::setUp();
        $this->furnish();
    }

    public function testTheRoomsColoursAreASwatchBookInRainbowOrder(): void
    {
        $this->colours();
        $page = $this->get('/stores/colours');
        self::assertSame(['Red 1', 'Blue 2', 'Neutral 1'], $page->filter('.swatch-family h2')->each(static fn (Crawler $one): string => $one->text()));
        self::assertSame(['Signal', 'Petrel', 'Well water', 'Foam'], self::names($page));
        self::assertStringContainsString('C2 +1 more', $page->filter('.swatch-book li')->eq(1)->text(), 'two papers of one colour are one swatch');
        self::assertSame(['Well water'], self::names($this->get('/stores/colours?kind=ink')));
        self::assertStringContainsString('Nothing says its colour yet', $this->emptied()->text());
    }

    public function testTheBookIsTakenAlongInEveryForm(): void
    {
        $this->colours();
        foreach (['gpl', 'css', 'csv'] as $type) {
            $read = PaletteReader::read($this->file("/stores/colours.{$type}"));
            self::assertSame([], $read->unread, $type);
            self::assertSame(
                ['Signal #b23a30', 'Petrel #1f4e5f', 'Well water #2a5d9c', 'Foam #ffffff'],
                array_map(static fn (NamedColour $one): string => $one->name.' '.$one->colour->hex(), $read->colours),
                $type,
            );
        }
        $svg = simplexml_load_string($this->file('/stores/colours.svg'));
        self::assertNotFalse($svg);
        self::assertCount(8, $svg->rect, 'a patch and an empty box for each');
        self::assertSame('Signal', (string) $svg->text[0]);
        self::assertStringStartsWith('%PDF', $this->file('/stores/colours.pdf?kind=ink'));
        $this->get('/stores/colours.xls');
        $this->assertCode(404);
    }

    public function testAPaletteIsHeldAgainstTheRoomAndAimedAt(): void
    {
        $this->colours();
        $kit = $this->design();
        $page = $this->post('/stores/colours/palette', ['palette' => self::PALETTE."Fog, grey\n"]);
        $this->assertCode(200);
        self::assertStringContainsString('3 colours; near 3 of them', $page->filter('.page-head')->text());
        self::assertStringContainsString('1 line could not be read as a colour: 4', $page->filter('.problem')->text());
        self::assertStringContainsString('the same as Petrel C2', $page->filter('.palette-rows li')->eq(0)->text());
        self::assertStringContainsString('near Signal', $page->filter('.palette-rows li')->eq(1)->text());
        $form = $page->filter('#aim')->form();
        $design = $page->filter('#aim-design option')->eq(1)->attr('value');
        self::assertStringStartsWith("{$kit}:", (string) $design);
        $said = ['palette' => (string) $page->filter('#aim [name=palette]')->attr('value'), 'colours' => ['#1f4e5f', '#a8402e'], 'design' => $design];
        self::assertStringContainsString('2 colours of the palette', $this->postAndFollow($form->getUri(), $said)->text());
        self::assertSame('["#1f4e5f","#a8402e"]', $this->word("SELECT json_extract(document, '$.target') FROM design WHERE kit_id = ?", [$kit]));

        $again = $this->post('/stores/colours/aim', $said + ['_form' => 'aim']);
        $this->assertCode(409);
        self::assertStringContainsString('Dusk', $again->text(), 'the palette is still there');
    }

    public function testWhatCannotBeAimedAtIsToldAndThePaletteStays(): void
    {
        $this->colours();
        $kit = $this->design();
        $many = ['_form' => 'aim', 'palette' => self::PALETTE, 'design' => "{$kit}:1"];
        foreach ([[], array_map(static fn (int $n): string => \sprintf('#0000%02x', $n), range(1, 9))] as $colours) {
            $page = $this->post('/stores/colours/aim', $many + ['colours' => $colours]);
            $this->assertCode(422);
            self::assertStringContainsString('Tick one to 8 colours', $page->text());
            self::assertStringContainsString('Dusk', $page->text());
        }
        foreach (['', 'x', '999999:1'] as $design) {
            $this->post('/stores/colours/aim', ['_form' => 'aim', 'palette' => self::PALETTE, 'design' => $design, 'colours' => ['#1f4e5f']]);
            self::assertContains($this->code(), [404, 409, 422], $design);
        }
        $this->post('/stores/colours/aim', ['_form' => 'aim', 'palette' => self::PALETTE, 'design' => "{$kit}:1", 'colours' => ['red']]);
        $this->assertCode(422);
        self::assertNull($this->database()->fetchOne("SELECT json_extract(document, '$.target[0]') FROM design WHERE kit_id = ?", [$kit]));
    }

    public function testAPaletteIsMadeIntoAnotherKind(): void
    {
        foreach (['gpl', 'css', 'csv'] as $type) {
            $this->post("/stores/colours/palette.{$type}", ['palette' => self::PALETTE]);
            $read = PaletteReader::read($this->browser->getInternalResponse()->getContent());
            self::assertSame(['Dusk', 'Buoy', 'Foam'], array_map(static fn (NamedColour $one): string => $one->name, $read->colours), $type);
        }
        $this->post('/stores/colours/palette.pdf', ['palette' => self::PALETTE]);
        self::assertStringStartsWith('%PDF', $this->browser->getInternalResponse()->getContent());
    }

    public function testAFileThatIsNoPaletteIsToldBesideItsField(): void
    {
        $picture = "\x89PNG\r\n\x1a\n".str_repeat("\0", 50);
        foreach ([$picture => 'No colour could be read', str_repeat('x', 300_000) => 'smaller than 256 KB'] as $content => $said) {
            $page = $this->upload($content);
            $this->assertCode(422);
            self::assertStringContainsString($said, $page->filter('#palette-palette-error')->text());
        }
        $this->post('/stores/colours/palette', ['_form' => 'palette', 'palette' => '']);
        $this->assertCode(422);
        self::assertStringContainsString('dusk', $this->upload("\xd6l, #1f4e5f\n")->filter('h1')->text(), 'a palette without a name has that of its file');
        self::assertStringContainsString('Öl', $this->text());
    }

    /** @return list<string> */
    private static function names(Crawler $page): array
    {
        return $page->filter('.swatch-book .name')->each(static fn (Crawler $one): string => $one->text());
    }

    private function colours(): void
    {
        $this->putInto('C2', 'Petrel card; ; 4', 'Petrel vellum; ; 2', 'Signal card; ; 2', 'Foam card; ; 1');
        $this->putInto('C3', 'Well water ink');
        foreach (['Petrel' => '#1f4e5f', 'Signal' => '#b23a30', 'Foam' => '#ffffff', 'Well water' => '#2a5d9c'] as $name => $hex) {
            $this->database()->executeStatement('UPDATE item SET colour = ?, colour_name = ? WHERE name LIKE ?', [$hex, $name, $name.'%']);
        }
        $this->entities()->clear();
    }

    private function design(): int
    {
        $this->postAndFollow('/kits', ['name' => '2 cards A2, top fold, mat 1/16']);

        return $this->number('SELECT max(kit_id) FROM design');
    }

    private function emptied(): Crawler
    {
        $this->database()->executeStatement('UPDATE item SET colour = NULL');

        return $this->get('/stores/colours');
    }

    private function file(string $path): string
    {
        $this->get($path);
        $this->assertCode(200);

        return $this->browser->getInternalResponse()->getContent();
    }

    private function upload(string $content): Crawler
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'palette');
        file_put_contents($path, $content);

        $file = new UploadedFile($path, 'dusk.csv', null, null, true);

        return $this->browser->request('POST', '/stores/colours/palette', ['_form' => 'palette'], ['file' => $file]);
    }

    public function testOnlyKindsOfWhichSomethingHasAColourAreChosenFrom(): void
    {
        $this->colours();
        $this->putInto('C1', 'Gull dies', 'Rope stencil');
        $this->database()->executeStatement("UPDATE item SET colour = '#2a5d9c', removed_at = '2026-03-01 10:00:00' WHERE kind = 'stencil'");
        self::assertSame([Kind::Paper, Kind::Ink], $this->service(SwatchBook::class)->kinds());
    }
}
