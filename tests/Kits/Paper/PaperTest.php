<?php

declare(strict_types=1);

namespace App\Tests\Kits\Paper;

use App\Kits\Paper\ScrapReading;
use App\Room\Catalogue\Item;
use App\Tests\RoomTestCase;
use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Measure\Size;
use Lottel\Core\Paper\Direction;
use Lottel\Core\Paper\Grammage;
use Lottel\Core\Paper\Outline;
use Lottel\Core\Paper\Sheet;
use Symfony\Component\DomCrawler\Crawler;
use Symfony\Component\HttpFoundation\File\UploadedFile;
use Symfony\Component\Uid\Uuid;

/** All paper, the question whether there is a piece, and scraps that are kept. */
final class PaperTest extends RoomTestCase
{
    private const INCH = 8128;

    private Item $card;

    protected function setUp(): void
    {
        parent::setUp();
        $this->furnish();
        [$this->card, $buoy] = $this->putInto(
            'C2',
            'Petrel card; ; 24; ; #1f5c6b; 8 1/2 × 11; 80 lb cover',
            'Buoy card; ; 9; ; #c8372d; 12 × 12; 80 lb cover',
        );
        $this->card->describe($this->card->record()->with(colourName: 'Petrel'));
        $buoy->describe($buoy->record()->with(colourName: 'Buoy'));
        $this->entities()->flush();
    }

    /** @param list<array{int, int}>|null $ring corners in inches, of what is no rectangle */
    private function scrap(string $name, int $width, int $height, string $colour = '#1f5c6b', ?Direction $direction = null, ?array $ring = null): Item
    {
        [$scrap] = $this->putInto('C4', $name.' scrap; ; 1; ; '.$colour);
        $outline =
            null === $ring
                ? null
                : Outline::of(array_map(static fn (array $corner): array => [$corner[0] * self::INCH, $corner[1] * self::INCH], $ring));
        $scrap->sheet->put(new Sheet(Size::ofSixteenths($width, $height), Grammage::parse('80 lb cover'), $direction, outline: $outline));
        $this->entities()->flush();

        return $scrap;
    }

    /** @param array<string, string> $question */
    private function ask(array $question): Crawler
    {
        $page = $this->get('/paper?'.http_build_query($question));
        $this->assertCode(200);

        return $page;
    }

    /** @return list<string> */
    private static function names(Crawler $page, string $in): array
    {
        return $page->filter($in)->each(static fn (Crawler $link): string => $link->text());
    }

    public function testTheScrapWithLeastLeftOverComesFirstAndTheSheetLast(): void
    {
        $this->scrap('Large', 96, 96);
        $this->scrap('Snug', 68, 96);
        $this->scrap('Red', 68, 96, '#c8372d');
        $page = $this->ask(['piece' => '4 × 5 1/4', 'colour' => '#1f5c6b']);
        self::assertSame(['Snug scrap', 'Large scrap', 'Petrel card'], self::names($page, '.piece-caption p:nth-child(2) a'));
        self::assertSame('Yes, without a new sheet.', $page->filter('.piece-says')->text());
        self::assertStringContainsString('leaves slivers only', $page->filter('.piece-caption')->eq(0)->text());
        self::assertStringContainsString('keeps 4½ × 11, 4 × 5¾', $page->filter('.piece-caption')->eq(2)->text());
        self::assertCount(3, $page->filter('.piece-drawing .wanted'));
        self::assertSame(
            ['3', '1 2'],
            $page->filter('.room-view.beside .disc text')->each(static fn (Crawler $disc): string => $disc->text()),
            'both scraps lie in C4',
        );
        $kit = $this->planKit('Harbour', []);
        $this->postAndFollow('/items/'.$this->card->id.'/into-kit', ['kit' => (string) $kit, 'quantity' => '1']);
        self::assertSame(1, $this->number("SELECT quantity FROM need WHERE kit_id = $kit"));
    }

    public function testWhatIsReadyCutComesFirstOnlyWhereItIsExactlyAsLarge(): void
    {
        $this->scrap('Snug', 68, 96);
        foreach (['Exact panels' => '4 × 5 1/4', 'Larger panels' => '4 1/4 × 5 1/2'] as $name => $size) {
            [$panels] = $this->putInto('C4', "{$name}; ; 9; ; #1f5c6b; {$size}; 80 lb cover");
            $panels->describe($panels->record()->with(kind: Kind::Paper));
            $panels->traceTo($this->item((int) $this->card->id));
        }
        $this->entities()->flush();
        $page = $this->ask(['piece' => '4 × 5 1/4', 'colour' => '#1f5c6b']);
        self::assertSame(['Exact panels', 'Snug scrap', 'Larger panels', 'Petrel card'], self::names($page, '.piece-caption p:nth-child(2) a'));
        self::assertStringContainsString('ready-cut', $page->filter('.piece-caption')->eq(0)->text());
    }

    public function testNearMissesAreToldApart(): void
    {
        $this->scrap('Small', 63, 84);
        $this->scrap('Across', 84, 64, direction: Direction::Height);
        $this->scrap('Teal', 64, 84, '#2f6d7c');
        $this->database()->executeStatement('UPDATE item SET sheet_width = NULL WHERE id = ?', [$this->card->id]);
        $page = $this->ask(['piece' => '4 x 5 1/4', 'colour' => '#1f5c6b', 'direction' => 'h']);
        self::assertSame('No, but nearly.', $page->filter('.piece-says')->text());
        $near = $page->filter('.piece-near')->eq(0);
        self::assertSame(['Small scrap', 'Across scrap', 'Teal scrap'], self::names($near, '.name a'));
        $why = self::names($near, '.thing p:last-child');
        self::assertStringContainsString('too small by 1/16 in', $why[0]);
        self::assertStringContainsString('runs the other way', $why[1]);
        self::assertMatchesRegularExpression('/ΔE \d+ away/', $why[2]);
        $unmeasured = $page->filter('.piece-near')->eq(1);
        self::assertStringContainsString('1 paper has no size: how large is it?', $unmeasured->text());
        $this->browser->submit($unmeasured->selectButton('That large')->form(), ['size' => '8 1/2 × 11']);
        $page = $this->browser->followRedirect();
        self::assertSame('/paper', $this->browser->getRequest()->getPathInfo(), 'one stays on the page');
        self::assertSame('Only from a new sheet.', $page->filter('.piece-says')->text());
    }

    public function testOddScrapsAreLookedIntoByTheirOutline(): void
    {
        $this->scrap('L', 96, 128, ring: [[0, 0], [6, 0], [6, 3], [3, 3], [3, 8], [0, 8]]);
        self::assertSame(
            ['L scrap', 'Petrel card'],
            self::names($this->ask(['piece' => '3 × 7', 'colour' => '#1f5c6b']), '.piece-caption p:nth-child(2) a'),
        );
        self::assertSame(
            ['Petrel card'],
            self::names($this->ask(['piece' => '4 × 7', 'colour' => '#1f5c6b']), '.piece-caption p:nth-child(2) a'),
            'its box would hold it, it does not',
        );
    }

    public function testWhatAnotherKitWantsIsNotOffered(): void
    {
        $scrap = $this->scrap('Snug', 68, 96);
        $this->planKit('Harbour', [[$scrap, 1]]);
        self::assertSame(['Petrel card'], self::names($this->ask(['piece' => '4 × 5 1/4', 'colour' => '#1f5c6b']), '.piece-caption p:nth-child(2) a'));
    }

    public function testAllPaperStandsByColourMakerOrPlace(): void
    {
        $this->scrap('Red', 68, 96, '#c8372d');
        $page = $this->ask([]);
        self::assertSame(['red', 'blue'], self::names($page, '.paper-wall .group-name'), 'in rainbow order');
        self::assertSame(['9', '0', '24'], self::names($page, '.sheets-many'));
        self::assertSame('C', $this->ask(['by' => 'place'])->filter('.group-name')->text());
        self::assertSame('unknown maker', $this->ask(['by' => 'maker'])->filter('.group-name')->text());
        $page = $this->browser->click($page->filter('.paper-wall a')->eq(2)->link());
        self::assertSame('Petrel', $page->filter('#ask-colour')->attr('value'), 'a colour that is touched is asked for');
    }

    public function testAQuestionThatCannotBeReadKeepsWhatWasTyped(): void
    {
        $page = $this->ask(['piece' => 'large', 'colour' => 'plaid', 'weight' => '80 lb']);
        self::assertSame(
            ['large', 'plaid', '80 lb'],
            array_map(static fn (string $field): ?string => $page->filter('#ask-'.$field)->attr('value'), ['piece', 'colour', 'weight']),
        );
        foreach (['piece', 'colour', 'weight'] as $field) {
            self::assertCount(1, $page->filter("#ask-{$field}-error"), $field);
        }
        self::assertCount(0, $page->filter('.piece-says'));
        $this->get('/paper?piece[]=4&colour=%ff&by=moon&direction=up');
        $this->assertCode(200);
    }

    public function testScrapsAreKeptOneAfterTheOther(): void
    {
        $this->scrap('Old Petrel', 48, 48);
        $this->database()->executeStatement("UPDATE item SET parent_id = ? WHERE name = 'Old Petrel scrap'", [$this->card->id]);
        $page = $this->ask(['colour' => 'Petrel']);
        $this->browser->submit($page->selectButton('Keep it')->form(), ['scrap_size' => '3 × 6']);
        $this->assertCode(303);
        $page = $this->browser->followRedirect();
        self::assertStringContainsString('Petrel scrap 3 × 6 is in C4 now.', $this->text(), 'where its like lives');
        self::assertNotNull($page->filter('#scrap-scrap_size')->attr('autofocus'), 'ready for the next one');
        $scrap = $this->item($this->number("SELECT id FROM item WHERE name = 'Petrel scrap 3 × 6'"));
        self::assertSame(['C4' => 1, 'made here' => -1], $this->balances($scrap));
        self::assertSame(
            [$this->card->id, '80 lb cover', '#1f5c6b', 3 * self::INCH],
            [$scrap->parent?->id, $scrap->sheet->sheet()->weight?->exact(), $scrap->colour, $scrap->sheet->sheetWidth],
            'it takes over what its paper says',
        );
        self::assertStringContainsString('Petrel card', $this->get('/items/'.$scrap->id)->filter('.facts')->text(), 'what it was cut from');
        self::assertStringContainsString('3 × 6', $this->get('/items/'.$this->card->id)->filter('.scraps-of')->text(), 'and which scraps there are');
        $this->postAndFollow('/paper/scraps', ['of' => $this->card->id, 'scrap_size' => '3 × 6', 'many' => '2']);
        self::assertSame(['C4' => 3, 'made here' => -3], $this->balances($scrap), 'more of the same');
        $this->postAndFollow('/log/undo', ['step' => $this->word('SELECT max(request_id) FROM movement'), 'back' => '/paper']);
        self::assertSame(['C4' => 1, 'made here' => -1], $this->balances($scrap));
    }

    public function testAPaperThatNeverMovedIsDeletedThoughItHasScraps(): void
    {
        $this->browser->request('POST', '/items/'.$this->card->id.'/duplicate', ['_request' => (string) Uuid::v7()]);
        $twin = $this->number("SELECT id FROM item WHERE name LIKE 'Petrel card (copy)'");
        $this->postAndFollow('/paper/scraps', ['of' => $twin, 'scrap_size' => '3 × 6', 'home' => 'C5']);
        $this->postAndFollow("/items/{$twin}/delete");
        self::assertSame(0, $this->number("SELECT count(*) FROM item WHERE id = $twin"));
        $scrap = $this->number("SELECT id FROM item WHERE kind = 'scrap'");
        self::assertSame(0, $this->number("SELECT parent_id IS NOT NULL FROM item WHERE id = $scrap"), 'nobody knows any more what it was cut from');
        $this->postAndFollow('/log/undo', ['step' => $this->word('SELECT id FROM write_request ORDER BY id DESC LIMIT 1'), 'back' => '/paper']);
        self::assertSame($twin, $this->number("SELECT parent_id FROM item WHERE id = $scrap"), 'an undo puts that back, too');
    }

    public function testAScrapWithoutACornerIsKeptByItsOutline(): void
    {
        $this->postAndFollow('/paper/scraps', ['of' => $this->card->id, 'scrap_size' => '6 × 8 without 3 × 5', 'home' => 'C5']);
        $scrap = $this->item($this->number("SELECT id FROM item WHERE kind = 'scrap'"));
        self::assertSame('Petrel scrap 6 × 8, a corner missing', $scrap->name);
        self::assertSame(2 * 33 * self::INCH ** 2, $scrap->sheet->sheet()->doubledArea());
        $answer = $this->ask(['piece' => '3 × 7', 'colour' => 'Petrel']);
        self::assertSame([$scrap->name, 'Petrel card'], self::names($answer, '.piece-caption p:nth-child(2) a'));
        self::assertSame(['Petrel card'], self::names($this->ask(['piece' => '4 × 4', 'colour' => 'Petrel']), '.piece-caption p:nth-child(2) a'));
        $this->post('/paper/scraps', ['of' => $this->card->id, 'scrap_size' => '6 × 8 without 7 × 5', 'many' => '1', '_form' => 'scrap']);
        $this->assertCode(422);
    }

    public function testAScrapThatCannotBeIsRefused(): void
    {
        $stamps = $this->putInto('C1', 'Terns')[0];
        foreach (
            [
                [['scrap_size' => ''], 422],
                [['scrap_size' => '0 × 4'], 422],
                [['scrap_size' => '9 × 12'], 422],
                [['scrap_size' => '3 × 6', 'many' => '0'], 422],
                [['scrap_size' => '3 × 6', 'home' => 'Q9'], 422],
                [['scrap_size' => '3 × 6', 'of' => $stamps->id], 422],
                [['scrap_size' => '3 × 6', 'of' => '99999'], 404], [['scrap_size' => '3 × 6', 'of' => ''], 422],
            ] as [$fields, $code]
        ) {
            $page = $this->post('/paper/scraps', $fields + ['of' => $this->card->id, 'many' => '1', 'from' => 'paper:colour=Petrel', '_form' => 'scrap']);
            $this->assertCode($code, json_encode($fields, \JSON_THROW_ON_ERROR));
            self::assertCount(422 === $code ? 1 : 0, $page->filter('.scrap-in .field-error'), 'said beside its field');
        }
        self::assertSame(0, $this->number("SELECT count(*) FROM item WHERE kind = 'scrap'"));
        $this->signIn('hank');
        $this->post('/paper/scraps', ['of' => $this->card->id, 'scrap_size' => '3 × 6']);
        $this->assertCode(403);
        self::assertCount(0, $this->get('/paper')->filter('.scrap-in'));
    }

    public function testAScrapIsMeasuredByItsPhoto(): void
    {
        $photo = \dirname(__DIR__, 3).'/demo/pictures/scrap-on-sheet.jpg';
        $page = $this->photographed($photo);
        $this->assertCode(200);
        self::assertSame('3 in × 5 1/4 in', $page->filter('#scrap-scrap_size')->attr('value'), 'as large as it is drawn');
        self::assertSame((string) $this->card->id, $page->filter('#scrap-of option[selected]')->attr('value'), 'of the paper that has its colour');
        $this->postAndFollow('/paper/scraps', ['of' => (string) $this->card->id, 'scrap_size' => '3 in × 5 1/4 in', 'from' => 'paper:']);
        self::assertStringContainsString('Petrel scrap 3 × 5¼ is in', $this->text());
        $blank = imagecreatetruecolor(60, 40);
        imagejpeg($blank, $file = (string) tempnam(sys_get_temp_dir(), 'scrap'));
        $page = $this->photographed($file);
        $this->assertCode(422);
        self::assertStringContainsString('not seen whole', $page->filter('#photo-photo-error')->text());
        $page = $this->post('/paper/scrap-photo', ['_form' => 'photo', 'sheet' => 'letter']);
        $this->assertCode(422);
        self::assertCount(1, $page->filter('#photo-photo-error'), 'no photo came');
        $this->post('/paper/scrap-photo', ['_form' => 'photo', 'sheet' => 'moon']);
        $this->assertCode(422);
    }

    private function photographed(string $file): Crawler
    {
        $copy = (string) tempnam(sys_get_temp_dir(), 'scrap');
        copy($file, $copy);

        return $this->browser->request('POST', '/paper/scrap-photo', ['_form' => 'photo', 'sheet' => 'letter', '_request' => (string) Uuid::v7()], [
            'photo' => new UploadedFile($copy, 'scrap.jpg', 'image/jpeg', null, true),
        ]);
    }

    public function testAScrapThatLiesTheOtherWayIsTheSameOnlyWhereItsGrainTurnsToo(): void
    {
        $upright = $this->scrap('Upright', 4, 8, direction: Direction::Height);
        $across = $this->scrap('Across', 5, 9, direction: Direction::Width);
        foreach ([$upright, $across] as $scrap) {
            $scrap->traceTo($this->card);
        }
        $this->entities()->flush();
        $sheet = static fn (int $width, int $height, Direction $runs): Sheet => (new Sheet(Size::ofSixteenths($width, $height)))->running($runs);
        $like = fn (Sheet $sheet): ?int => $this->service(ScrapReading::class)->like($this->card, $sheet, $this->place('C4'))?->id;
        self::assertSame($upright->id, $like($sheet(4, 8, Direction::Height)));
        self::assertSame($upright->id, $like($sheet(8, 4, Direction::Width)), 'turned, and its grain with it');
        self::assertNull($like($sheet(8, 4, Direction::Height)), 'turned, and its grain not');
        self::assertNull($like($sheet(4, 8, Direction::Width)));
        self::assertSame($across->id, $like($sheet(9, 5, Direction::Height)));
        self::assertNull($like($sheet(5, 8, Direction::Width)), 'another size');
    }
}
