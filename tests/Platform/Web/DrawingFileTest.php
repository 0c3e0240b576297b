<?php

declare(strict_types=1);

namespace App\Tests\Platform\Web;

use App\Tests\RoomTestCase;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\DomCrawler\Crawler;

/** Drawings as files of their own, read back as XML and as PDF. */
final class DrawingFileTest extends RoomTestCase
{
    private int $card;
    private int $page;

    protected function setUp(): void
    {
        parent::setUp();
        $this->furnish();
        $this->putInto('C2', 'Petrel & fog card; ; 4');
        $this->postAndFollow('/kits', ['name' => '2 cards A2, top fold, mat 1/16']);
        $this->card = $this->number('SELECT max(kit_id) FROM design');
        $this->postAndFollow('/kits', ['name' => '12 × 12 page, three 4 × 6 photos']);
        $this->page = $this->number('SELECT max(kit_id) FROM design');
    }

    /** @return iterable<string, array{string, string}> */
    public static function drawings(): iterable
    {
        yield 'a wall' => ['/stores/wall', 'Test loft, north wall'];
        yield 'the floor plan' => ['/stores/plan/1', 'Test loft, from above'];
        yield 'all paper' => ['/paper/wall', 'Test loft, all paper'];
        yield 'a card' => ['/kits/CARD/design/drawing', 'Cards'];
        yield 'a page' => ['/kits/PAGE/design/drawing', '12 × 12 page'];
    }

    /** @param non-empty-string $title */
    #[DataProvider('drawings')]
    public function testADrawingStandsByItself(string $path, string $title): void
    {
        $path = strtr($path, ['CARD' => (string) $this->card, 'PAGE' => (string) $this->page]);
        $svg = $this->file($path.'.svg', 'image/svg+xml');
        $root = simplexml_load_string($svg);
        self::assertNotFalse($root);
        self::assertStringStartsWith($title, (string) $root->title);
        self::assertDoesNotMatchRegularExpression('/ class=| href=| data-|<a[ >]|tabindex|role=/', $svg, 'nothing that only a page has use for');
        foreach ($root->xpath('//*[local-name()="rect" or local-name()="path"]') ?: [] as $shape) {
            self::assertTrue(isset($shape['fill']) || isset($shape['stroke']), 'each shape says how it looks: '.$shape->asXML());
        }
        self::assertGreaterThan(0, (float) $root['width']);
        $pdf = $this->file($path.'.pdf', 'application/pdf');
        self::assertStringStartsWith('%PDF', $pdf);
        self::assertSame(1, substr_count($pdf, '/Type /Page'."\n") + substr_count($pdf, '/Type /Page '), 'on one page');
    }

    public function testNamesStayWholeWhateverTheyLookLike(): void
    {
        $this->database()->executeStatement("UPDATE unit SET name = 'my data-box=\"a\" <b> & c'");
        $this->entities()->clear();
        $root = simplexml_load_string($this->file('/stores/wall.svg', 'image/svg+xml'));
        self::assertNotFalse($root);
        $said = implode('', array_map(strval(...), $root->xpath('//*[local-name()="tspan"]') ?: []));
        self::assertStringContainsString('data-box', $said);
    }

    public function testWhatIsNotDrawnIsNotFound(): void
    {
        $planned = $this->planKit('Bare', []);
        foreach (["/kits/{$planned}/design/drawing.svg", '/kits/9999/design/drawing.pdf', '/stores/plan/99.svg', '/stores/wall.png'] as $path) {
            $this->get($path);
            $this->assertCode(404, $path);
        }
    }

    public function testAllThatIsTakenAlongIsToldInOnePlace(): void
    {
        $page = $this->get('/lists');
        foreach ($page->filter('main a[download]')->each(static fn (Crawler $link): string => (string) $link->attr('href')) as $link) {
            $this->get($link);
            $this->assertCode(200, $link);
        }
        self::assertGreaterThan(24, $page->filter('main a[download]')->count());
        foreach ($page->filter('.taken-elsewhere a')->each(static fn (Crawler $link): string => (string) $link->attr('href')) as $link) {
            $this->get($link);
            $this->assertCode(200, $link);
        }
        $this->signIn('hank');
        self::assertCount(0, $this->get('/lists')->filter('a[href="/upkeep/safe"]'), 'the whole room is its owner’s to take');
    }

    private function file(string $path, string $type): string
    {
        $this->get($path);
        $this->assertCode(200, $path);
        self::assertSame($type, $this->browser->getResponse()->headers->get('Content-Type'));

        return $this->browser->getInternalResponse()->getContent();
    }
}
