<?php

declare(strict_types=1);

namespace App\Tests\Kits\Design;

use App\Kits\Design\Designs;
use App\Platform\Database\Row;
use App\Room\Catalogue\Item;
use App\Room\Log\AuditReading;
use App\Tests\In;
use App\Tests\RoomTestCase;
use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Colour\Difference;
use Lottel\Core\Colour\Lab;
use Lottel\Core\Colour\Srgb;
use Lottel\Core\Design\Design;
use Lottel\Core\Design\DesignPiece;
use Lottel\Core\Measure\Length;
use Lottel\Core\Measure\LengthUnit;
use Lottel\Core\Paper\CutSizes;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\DomCrawler\Crawler;
use Symfony\Component\HttpFoundation\File\UploadedFile;
use Symfony\Component\Uid\Uuid;

/** Designs: what a kit makes, worked out; its pieces, its list and its bench follow it, and it follows them. */
final class DesignTest extends RoomTestCase
{
    private Item $white;
    private Item $petrel;
    private Item $buoy;
    private Item $envelopes;
    private Item $foam;

    protected function setUp(): void
    {
        parent::setUp();
        $this->furnish();
        [$this->white, $this->petrel, $this->buoy] = $this->putInto(
            'C2',
            'White card; ; 30; ; #f4f1ea; 8 1/2 × 11; 110 lb cover',
            'Petrel card; ; 24; ; #1f5c6b; 8 1/2 × 11; 80 lb cover',
            'Buoy card; ; 9; ; #c8372d; 12 × 12; 80 lb cover',
        );
        [$this->envelopes, $this->foam] = $this->putInto(
            'C4',
            'White A2 envelopes; ; 20; ; #f4f1ea; 4 3/8 × 5 3/4; 70 lb text',
            'Foam squares; ; 90',
        );
        $this->foam->describe($this->foam->record()->with(kind: Kind::Adhesive));
        foreach ([[$this->white, 'White'], [$this->petrel, 'Petrel'], [$this->buoy, 'Buoy']] as [$paper, $name]) {
            $paper->describe($paper->record()->with(colourName: $name));
        }
        $this->entities()->flush();
    }

    private function planned(string $words): int
    {
        $this->postAndFollow('/kits', ['name' => $words]);

        return $this->number('SELECT max(id) FROM kit');
    }

    /** A card with a mat of Petrel, a panel of White, a strip of Buoy on foam. */
    private function card(string $number = '8'): int
    {
        $kit = $this->planned($number.' cards A2, top fold, mat 1/16, panel 4 × 5 1/4, strip 3 1/2 × 3/4 on foam');
        $this->change($kit, 'base', ['paper' => 'White', 'quantity' => $number, 'size' => '4 1/4 × 5 1/2', 'fold' => 'top', 'wish' => 'this']);
        $this->change($kit, 'L1', ['reveal' => '1/16', 'paper' => 'Petrel', 'wish' => 'this']);
        $this->change($kit, 'L2', ['size' => '4 × 5 1/4', 'paper' => 'White', 'wish' => 'this']);
        $this->change($kit, 'L3', ['size' => '3 1/2 × 3/4', 'paper' => 'Buoy', 'wish' => 'this', 'foam' => '1']);

        return $kit;
    }

    private function pathOf(int $kit, string $part): string
    {
        return "/kits/{$kit}/design".('base' === $part ? '' : '/parts/'.$part);
    }

    /** @param array<string, string> $fields */
    private function change(int $kit, string $part, array $fields): void
    {
        $this->postAndFollow($this->pathOf($kit, $part), $fields + ['revision' => (string) $this->revision($kit), '_form' => 'part-'.$part]);
        $this->assertCode(200, $this->text());
    }

    private function revision(int $kit): int
    {
        return $this->number('SELECT revision FROM design WHERE kit_id = ?', [$kit]);
    }

    private function design(int $kit): Design
    {
        $this->entities()->clear();

        return $this->service(Designs::class)->one($this->kit($kit))->design();
    }

    /** @return array<string, int> how many of each piece are cut, by name and size in sixteenths */
    private function pieces(int $kit): array
    {
        $pieces = [];
        foreach ($this->database()->fetchAllAssociative('SELECT * FROM piece WHERE kit_id = ? AND part IS NOT NULL ORDER BY id', [$kit]) as $columns) {
            $row = new Row($columns);
            $unit = Length::TICKS_PER_INCH / 16;
            $name = \sprintf('%s %d × %d', $row->text('name'), intdiv($row->int('width'), $unit), intdiv($row->int('height'), $unit));
            $pieces[$name] = ($pieces[$name] ?? 0) + $row->int('quantity');
        }

        return $pieces;
    }

    private function wanted(int $kit, Item $item): int
    {
        return $this->number('SELECT coalesce(sum(quantity), 0) FROM need WHERE kit_id = ? AND item_id = ?', [$kit, $item->id]);
    }

    /** What the list and the cutting table say is what the design says. */
    private function assertInStep(int $kit): void
    {
        $design = $this->design($kit);
        $unit = Length::TICKS_PER_INCH / 16;
        $pieces = [];
        foreach ($design->pieces() as $piece) {
            if (null !== $piece->paper && $piece->quantity($design->quantity) > 0) {
                $name = \sprintf('%s %d × %d', $piece->name, intdiv($piece->size->width, $unit), intdiv($piece->size->height, $unit));
                $pieces[$name] = ($pieces[$name] ?? 0) + $piece->quantity($design->quantity);
            }
        }
        self::assertEqualsCanonicalizing($pieces, $this->pieces($kit));
        $things = [];
        foreach ($design->things as $thing) {
            $things[$thing->item] = $thing->quantity($design->quantity);
        }
        $listed = [];
        foreach ($this->database()->fetchAllAssociative('SELECT item_id, for_design FROM need WHERE kit_id = ? AND for_design > 0', [$kit]) as $columns) {
            $listed[(new Row($columns))->int('item_id')] = (new Row($columns))->int('for_design');
        }
        self::assertEqualsCanonicalizing($things, $listed);
        self::assertSame([], $this->service(AuditReading::class)->report()->differences);
    }

    public function testWordsOpenTheBoardWithThatDesign(): void
    {
        $page = $this->postAndFollow('/kits', ['name' => '8 cards, A2, top fold']);
        self::assertStringEndsWith('/design', (string) parse_url((string) $this->browser->getRequest()->getUri(), \PHP_URL_PATH));
        self::assertStringContainsString('“Cards” is planned, with its design.', $page->text());
        self::assertCount(1, $page->filter('.card-drawing'));
        $page = $this->postAndFollow('/kits', ['name' => '12 × 12 page, three 4 × 6 photos']);
        self::assertCount(3, $page->filter('.page-drawing .block'));
        $page = $this->postAndFollow('/kits', ['name' => 'Thank-you boxes']);
        self::assertStringContainsString('Now say what it needs.', $page->text());
        $kit = $this->number('SELECT max(id) FROM kit');
        self::assertStringContainsString('In words', $this->get("/kits/{$kit}/design")->text(), 'what is not known is asked for');
        $this->post("/kits/{$kit}/design/new", ['words' => 'four boats', '_form' => 'words']);
        $this->assertCode(422);
        self::assertStringContainsString('Say how many of what', $this->text());
        $page = $this->postAndFollow("/kits/{$kit}/design/new", ['words' => '4 cards, A2, mat']);
        self::assertStringContainsString('The design is begun. Not said, so taken as usual: a top fold', $page->text());
        $this->post("/kits/{$kit}/design/new", ['words' => '4 cards, A2, mat']);
        $this->assertCode(409);
        self::assertStringContainsString('has a design already', $this->text());
    }

    public function testADesignBecomesPiecesAndTheList(): void
    {
        $kit = $this->card();
        self::assertEquals(['base 68 × 176' => 8, 'mat 66 × 86' => 8, 'panel 64 × 84' => 8, 'strip 56 × 12' => 8], $this->pieces($kit));
        self::assertSame([8, 24], [$this->wanted($kit, $this->envelopes), $this->wanted($kit, $this->foam)], 'an envelope and three squares of foam for each');
        self::assertGreaterThan(0, $this->wanted($kit, $this->petrel));
        $page = $this->get("/kits/{$kit}/design");
        self::assertStringContainsString('32 pieces', $page->filter('.board-sums')->text());
        self::assertStringContainsString('6 of 6 at hand', $page->filter('.board-sums')->text());
        self::assertStringContainsString('Buoy, the one warm colour, a tenth, is the accent.', $page->filter('.board-colours')->text());
        $list = $this->get("/kits/{$kit}")->text();
        self::assertStringContainsString('to cut 8 mats', $list, 'the papers stand on the list with their reason');
        self::assertMatchesRegularExpression('/White A2 envelopes.{0,40}for its design/su', $list, 'and so does what is taken besides');
        $this->assertInStep($kit);
    }

    public function testListAndDesignStayInStepWhicheverIsChanged(): void
    {
        $kit = $this->card();
        $need = fn (Item $item): int => $this->number('SELECT id FROM need WHERE kit_id = ? AND item_id = ?', [$kit, $item->id]);
        $this->change($kit, 'base', ['paper' => 'White', 'quantity' => '12', 'size' => '4 1/4 × 5 1/2', 'fold' => 'side']);
        self::assertSame([12, 36], [$this->wanted($kit, $this->envelopes), $this->wanted($kit, $this->foam)]);
        self::assertStringStartsWith('12 cards A2', $this->kit($kit)->makes);
        $this->assertInStep($kit);

        // The list is changed: the design follows.
        $this->postAndFollow("/kits/{$kit}/needs/".$need($this->foam), ['quantity' => '48']);
        self::assertSame(4, $this->design($kit)->thing((int) $this->foam->id)?->each, 'four for each');
        $this->postAndFollow("/kits/{$kit}/needs/".$need($this->foam), ['quantity' => '50']);
        self::assertSame(50, $this->design($kit)->thing((int) $this->foam->id)?->total, 'it does not come out even');
        $this->postAndFollow("/kits/{$kit}/needs/".$need($this->envelopes), ['remove' => '1']);
        self::assertNull($this->design($kit)->thing((int) $this->envelopes->id));
        self::assertSame(0, $this->wanted($kit, $this->envelopes));
        $this->assertInStep($kit);

        // So it does when pieces are changed at the cutting table.
        $mat = $this->number("SELECT id FROM piece WHERE kit_id = ? AND name = 'mat'", [$kit]);
        $this->postAndFollow("/kits/{$kit}/pieces/{$mat}", ['quantity' => '14']);
        self::assertSame(2, $this->design($kit)->layer(1)->spare);
        self::assertStringContainsString('2 to spare', $this->get("/kits/{$kit}/design")->text());
        $this->assertInStep($kit);

        // And when what the kit makes is said anew.
        $this->postAndFollow("/kits/{$kit}", ['name' => 'Cards', 'makes' => '5 cards, A2']);
        self::assertSame(5, $this->design($kit)->quantity);
        self::assertSame(7, $this->pieces($kit)['mat 66 × 86'], 'two to spare as before');
        $this->assertInStep($kit);
    }

    /** Changes of any sort, one after the other: list, cuts and design never come apart, and taking all back leaves nothing of them. */
    public function testInStepAfterAnyChanges(): void
    {
        mt_srand(3);
        $kit = $this->card('4');
        $steps = [];
        for ($change = 0; $change < 24; ++$change) {
            $design = $this->design($kit);
            $fields = ['revision' => (string) $this->revision($kit)];
            $layer = $design->layers[mt_rand(0, \count($design->layers) - 1)];
            $size = mt_rand(2, 7).'/2 × '.mt_rand(1, 3).'/4';
            $paper = ['Petrel', 'Buoy', 'White'][mt_rand(0, 2)];
            [$path, $more] = match (mt_rand(0, 5)) {
                0 => ['', ['quantity' => (string) mt_rand(1, 9), 'size' => '4 1/4 × 5 1/2', 'fold' => 'top', 'paper' => 'White']],
                1 => ['/parts', ['kind' => 'strip', 'size' => $size, 'paper' => $paper, 'foam' => 1 === mt_rand(0, 1) ? '1' : '']],
                2 => ['/parts/L'.$layer->id, ['do' => ['up', 'down'][mt_rand(0, 1)]]],
                3 => \count($design->layers) > 1
                    ? ['/parts/L'.$layer->id, ['do' => 'remove']]
                    : ['/parts', ['kind' => 'mat', 'reveal' => '1/8', 'paper' => 'Buoy']],
                4 => ['/things', ['item' => (string) $this->envelopes->id, 'role' => 'envelope'] + (1 === mt_rand(0, 1) ? ['off' => '1'] : [])],
                default => ['/parts', ['kind' => 'mat', 'reveal' => '1/16', 'paper' => '']],
            };
            $request = (string) Uuid::v7();
            $this->post("/kits/{$kit}/design".$path, array_filter($more, static fn (string $value): bool => '' !== $value) + $fields, $request);
            self::assertContains($this->code(), [303, 422], $this->text());
            $this->assertInStep($kit);
            if (303 === $this->code() || $this->revision($kit) > $design->next) {
                array_unshift($steps, $request);
            }
        }
        self::assertGreaterThan(12, $this->revision($kit));
    }

    public function testAnUndoTakesDesignPiecesAndListBack(): void
    {
        $kit = $this->card();
        $before = [$this->pieces($kit), $this->wanted($kit, $this->envelopes), $this->wanted($kit, $this->foam)];
        $request = (string) Uuid::v7();
        $fields = ['paper' => 'Buoy', 'quantity' => '3', 'size' => '5 × 7', 'fold' => 'top', 'revision' => (string) $this->revision($kit)];
        $this->post($this->pathOf($kit, 'base'), $fields, $request);
        $this->assertCode(303);
        self::assertNotEquals($before, [$this->pieces($kit), $this->wanted($kit, $this->envelopes), $this->wanted($kit, $this->foam)]);
        $this->postAndFollow('/log/undo', ['step' => $request, 'back' => "/kits/{$kit}/design"]);
        self::assertEqualsCanonicalizing($before, [$this->pieces($kit), $this->wanted($kit, $this->envelopes), $this->wanted($kit, $this->foam)]);
        $this->assertInStep($kit);
    }

    /** @return iterable<string, array{string, array<string, string>, string, string}> part, fields, the field that is named, what is said */
    public static function impossible(): iterable
    {
        $base = ['paper' => 'White', 'quantity' => '8', 'size' => '4 1/4 × 5 1/2', 'fold' => 'top'];
        yield 'no cards' => ['base', ['quantity' => '0'] + $base, 'quantity', 'whole number from 1 to 1,000'];
        yield 'ten thousand cards' => ['base', ['quantity' => '10000'] + $base, 'quantity', 'whole number from 1 to 1,000'];
        yield 'more pieces than can be planned' => ['base', ['quantity' => '900'] + $base, '', '1 to 2,000 pieces'];
        yield 'a card smaller than its panel' => ['base', ['size' => '3 × 4'] + $base, 'size', 'The panel is larger than what it lies on'];
        yield 'a size that is none' => ['base', ['size' => 'large'] + $base, 'size', 'large'];
        yield 'a reveal of 3 in' => ['L1', ['reveal' => '3', 'paper' => 'Petrel'], 'reveal', 'So wide a reveal leaves nothing of the mat'];
        yield 'no reveal' => ['L1', ['reveal' => '', 'paper' => 'Petrel'], 'reveal', 'How much of what is beneath is seen'];
        yield 'a panel larger than its mat' => ['L2', ['size' => '4 1/4 × 5 1/4', 'paper' => 'White'], 'size', 'larger than what it lies on'];
        yield 'a strip over the edge' => ['L3', ['size' => '3 1/2 × 3/4', 'x' => '1', 'paper' => 'Buoy'], 'x', 'hangs over the edge'];
        yield 'an unknown paper' => ['L3', ['size' => '3 1/2 × 3/4', 'paper' => 'Chartreuse'], 'paper', 'No paper in the room is called “Chartreuse”'];
        yield 'a paper that may be several' => ['L3', ['size' => '3 1/2 × 3/4', 'paper' => 'card'], 'paper', 'Write more of the name'];
    }

    /** @param array<string, string> $fields */
    #[DataProvider('impossible')]
    public function testWhatCannotBeIsToldBesideItsFieldAndLosesNothing(string $part, array $fields, string $field, string $said): void
    {
        $kit = $this->card();
        $revision = $this->revision($kit);
        $this->post($this->pathOf($kit, $part), $fields + ['revision' => (string) $revision, '_form' => 'part-'.$part]);
        $this->assertCode(422);
        self::assertStringContainsString($said, $this->text());
        $page = $this->browser->getCrawler();
        if ('' !== $field) {
            self::assertStringContainsString($said, $page->filter("#part-{$part}-{$field}-error")->text());
            self::assertSame($fields[$field], $page->filter("#part-{$part}-{$field}")->attr('value'), 'what was typed is still there');
            self::assertCount(1, $page->filter("#part-{$part}[open]"));
        }
        self::assertSame($revision, $this->revision($kit));
        $this->assertInStep($kit);
    }

    public function testAWindowIsInsideItsFrame(): void
    {
        $kit = $this->card();
        $fields = ['kind' => 'frame', 'reveal' => '1/8', 'paper' => 'Buoy', 'revision' => (string) $this->revision($kit), '_form' => 'add-frame'];
        $this->post("/kits/{$kit}/design/parts", ['window' => '3 × 6'] + $fields);
        $this->assertCode(422);
        self::assertStringContainsString('The window is not inside the frame', $this->browser->getCrawler()->filter('#add-frame-window-error')->text());
        $page = $this->postAndFollow("/kits/{$kit}/design/parts", ['window' => '2 × 3'] + $fields);
        self::assertStringContainsString('window 2 × 3', $page->text());
        $page = $this->postAndFollow("/kits/{$kit}/pull");
        self::assertStringContainsString('Cut the window 2 × 3 into the frame', $this->get("/kits/{$kit}/make")->text());
    }

    public function testOnesOwnKitAndAnOpenOneOnly(): void
    {
        $kit = $this->card();
        $other = $this->planned('4 cards, A2, flat');
        foreach (['/parts/L1' => 422, '/parts/B1' => 422, '/parts/P1' => 422] as $path => $code) {
            $this->post("/kits/{$other}/design".$path, ['reveal' => '1/8', 'size' => '1 × 1', 'each' => '1', 'revision' => (string) $this->revision($other)]);
            $this->assertCode($code, $path);
        }
        $this->post("/kits/{$kit}/design/parts/L1", ['reveal' => '1/8', 'revision' => '']);
        $this->assertCode(422, 'without the revision nobody knows what was seen');
        $this->post('/kits/999/design', ['quantity' => '3', 'size' => '1 × 1', 'revision' => '1']);
        $this->assertCode(404);
        $this->database()->executeStatement("UPDATE kit SET stage = 'closed' WHERE id = ?", [$kit]);
        $this->entities()->clear();
        $this->post("/kits/{$kit}/design/parts/L1", ['reveal' => '1/8', 'revision' => (string) $this->revision($kit)]);
        $this->assertCode(409);
        self::assertStringContainsString('This kit is closed', $this->text());
        self::assertCount(0, $this->get("/kits/{$kit}/design")->filter('.part-form'), 'a closed design is looked at only');
    }

    public function testWhoSawAnOlderDesignIsTold(): void
    {
        $kit = $this->card();
        $old = $this->revision($kit);
        $this->change($kit, 'L1', ['reveal' => '1/8', 'paper' => 'Petrel']);
        $this->post($this->pathOf($kit, 'L3'), ['size' => '3 × 1', 'paper' => 'Buoy', 'revision' => (string) $old, '_form' => 'part-L3']);
        $this->assertCode(409);
        self::assertStringContainsString('Somebody has changed this design since', $this->text());
        self::assertSame('3 × 1', $this->browser->getCrawler()->filter('#part-L3-size')->attr('value'));
        $seen = $this->browser->getCrawler()->filter('#part-L3 [name=revision]')->attr('value');
        self::assertSame((string) $this->revision($kit), $seen, 'pressed again it holds');
    }

    public function testAPaperThatIsGoneIsToldAndNotGuessed(): void
    {
        $kit = $this->card();
        $this->database()->executeStatement("UPDATE item SET removed_at = '2026-01-01 00:00:00' WHERE id = ?", [$this->petrel->id]);
        $this->entities()->clear();
        self::assertStringContainsString('its paper is gone: Petrel card; choose another', $this->get("/kits/{$kit}/design")->filter('#part-L1')->text());
        $this->change($kit, 'L3', ['size' => '3 × 3/4', 'paper' => 'Buoy']);
        self::assertArrayNotHasKey('mat 66 × 86', $this->pieces($kit), 'nothing is cut of it');
        self::assertSame(4, $this->number("SELECT json_array_length(document, '$.layers') + 1 FROM design WHERE kit_id = ?", [$kit]), 'and nothing is lost');
    }

    public function testAFoldThatNeedsMoreThanAnySheetIsTold(): void
    {
        $kit = $this->planned('2 cards, 8 × 9, side fold');
        $this->change($kit, 'base', ['paper' => 'Buoy', 'quantity' => '2', 'size' => '8 × 9', 'fold' => 'side']);
        self::assertStringContainsString('no sheet in the room is so large', $this->get("/kits/{$kit}/design")->filter('#part-base')->text());
        self::assertStringContainsString('not enough paper', $this->get("/kits/{$kit}/cut")->text());
    }

    public function testWhatIsCutStaysWhenTheDesignChanges(): void
    {
        $kit = $this->planned('2 cards, A2, flat, mat 1/16');
        $this->change($kit, 'L1', ['reveal' => '1/16', 'paper' => 'Petrel']);
        $this->postAndFollow("/kits/{$kit}/pull");
        $need = $this->number('SELECT id FROM need WHERE kit_id = ? AND item_id = ?', [$kit, $this->petrel->id]);
        $this->postAndFollow("/kits/{$kit}/pull/take", ['place' => 'C2', 'needs' => [(string) $need]]);
        $form = $this->get("/kits/{$kit}/cut")->filter('form[action$="/cut/made"]');
        $parts = $form->filter('[name="parts[]"]')->each(static fn ($field): string => (string) $field->attr('value'));
        $this->postAndFollow("/kits/{$kit}/cut/made", ['setting' => (string) $form->filter('[name=setting]')->attr('value'), 'parts' => $parts]);
        $this->change($kit, 'L1', ['reveal' => '1/4', 'paper' => 'Buoy']);
        self::assertEquals(['mat 66 × 86' => 2, 'mat 60 × 80' => 2], $this->pieces($kit), 'a sheet that is begun goes on as it is');
    }

    public function testAnyNearPaperOrScrapsOnly(): void
    {
        $this->putInto('C2', 'Dark petrel card; ; 6; ; #2a6878; 12 × 12; 80 lb cover');
        $this->putInto('C4', 'Petrel scrap; ; 1; ; #1f5c6b; 5 × 6; 80 lb cover');
        $this->database()->executeStatement('DELETE FROM balance WHERE item_id = ? AND quantity > 0', [$this->petrel->id]);
        $this->entities()->clear();
        $kit = $this->planned('3 cards, A2, flat, mat 1/16');
        $source = fn (string $wish): string => $this->sourceOf($kit, $wish);
        self::assertStringContainsString('short of', $source('this'));
        self::assertStringContainsString('1 scrap, 1 sheet', $source('near'), 'the scrap first, then the paper that is near');
        self::assertStringContainsString('1 scrap', $source('scraps'));
        self::assertStringContainsString('short of 2 of 3', $source('scraps'));
    }

    private function sourceOf(int $kit, string $wish): string
    {
        $this->change($kit, 'L1', ['reveal' => '1/16', 'paper' => 'Petrel card', 'wish' => $wish]);

        return $this->get("/kits/{$kit}/design")->filter('#part-L1')->text();
    }

    public function testTheEnvelopeTakesTheCardAndItsThickness(): void
    {
        [$large] = $this->putInto('C4', 'White A7 envelopes; ; 5; ; #f4f1ea; 5 1/4 × 7 1/4; 70 lb text');
        $kit = $this->card();
        $page = $this->get("/kits/{$kit}/design");
        self::assertStringContainsString('White A2 envelopes 4⅜ × 5¾takes it tightly', str_replace("\n", '', $page->filter('.board-envelope')->text()));
        $this->postAndFollow("/kits/{$kit}/design/things", ['item' => (string) $large->id, 'role' => 'envelope', 'revision' => (string) $this->revision($kit)]);
        self::assertSame([0, 8], [$this->wanted($kit, $this->envelopes), $this->wanted($kit, $large)]);
        self::assertStringContainsString('5 of 8', $this->get("/kits/{$kit}/design")->filter('.board-things .short')->text(), 'three are short');
        $this->change($kit, 'base', ['paper' => 'White', 'quantity' => '8', 'size' => '5 × 7', 'fold' => 'top']);
        self::assertSame(8, $this->wanted($kit, $large), 'it still takes the card');
        $this->change($kit, 'base', ['paper' => 'White', 'quantity' => '8', 'size' => '6 × 9', 'fold' => 'top']);
        self::assertStringContainsString('too small', $this->get("/kits/{$kit}/design")->filter('.board-envelope')->text());
        $this->assertInStep($kit);
    }

    public function testAPatternIsKeptMadeAgainAndTakenBackInto(): void
    {
        $kit = $this->card();
        $this->postAndFollow("/kits/{$kit}/design/pattern", ['name' => 'Harbour mail', 'revision' => (string) $this->revision($kit)]);
        $pattern = $this->number('SELECT max(id) FROM pattern');
        self::assertStringContainsString('As in its pattern “Harbour mail”', $this->get("/kits/{$kit}/design")->text());
        $fields = ['name' => 'More mail', 'quantity' => '5', 'size' => '5 × 7', 'instead_'.$this->petrel->id => 'Buoy', '_form' => 'make-'.$pattern];
        $page = $this->postAndFollow("/patterns/{$pattern}", $fields);
        self::assertStringContainsString('“More mail” is planned from the pattern “Harbour mail”', $page->text());
        $again = $this->number('SELECT max(id) FROM kit');
        self::assertEquals(['base 80 × 224' => 5, 'mat 78 × 110' => 5, 'panel 76 × 108' => 5, 'strip 68 × 12' => 5], $this->pieces($again));
        self::assertContains((int) $this->buoy->id, $this->design($again)->papers());
        self::assertNotContains((int) $this->petrel->id, $this->design($again)->papers());
        $this->assertInStep($again);

        $this->change($again, 'L3', ['size' => '4 × 1', 'paper' => 'White']);
        $this->post("/kits/{$again}/design/take-back", ['revision' => '1']);
        $this->assertCode(409, 'what somebody has changed since is not taken back unseen');
        $this->postAndFollow("/kits/{$again}/design/take-back", ['revision' => (string) $this->revision($again)]);
        self::assertEquals($this->design($again), $this->service(Designs::class)->pattern($pattern)->design());
        foreach ([['size' => '1/16 × 1/16'], ['quantity' => '0'], ['name' => ''], ['instead_'.$this->buoy->id => 'Chartreuse']] as $wrong) {
            $this->post("/patterns/{$pattern}", $wrong + ['name' => 'No', 'quantity' => '1', '_form' => 'make-'.$pattern]);
            $this->assertCode(422);
        }
        $this->database()->executeStatement("UPDATE item SET removed_at = '2026-01-01 00:00:00' WHERE id IN (?, ?)", [$this->buoy->id, $this->envelopes->id]);
        $this->entities()->clear();
        $page = $this->postAndFollow("/patterns/{$pattern}", ['name' => 'Once more', 'quantity' => '2', '_form' => 'make-'.$pattern]);
        self::assertStringContainsString('its paper is gone: Buoy card; choose another', $page->text(), 'a pattern whose papers are gone says so');
        self::assertStringContainsString('1 thing of this design is not in the catalogue any more.', $page->text());
        self::assertStringContainsString('Instead of Buoy', $this->get('/patterns')->text());
        $this->postAndFollow("/patterns/{$pattern}", ['remove' => '1']);
        self::assertStringContainsString('No pattern is kept yet', $this->get('/patterns')->text());
        $this->post("/patterns/{$pattern}", ['name' => 'No', 'quantity' => '1']);
        $this->assertCode(404);
        $this->post("/kits/{$again}/design/take-back", ['revision' => (string) $this->revision($again)]);
        $this->assertCode(404);
    }

    public function testStepsOfMakingAreDoneForOneOrAll(): void
    {
        $kit = $this->card('4');
        $this->post("/kits/{$kit}/make/step", ['step' => 'base.fold', 'done' => '4']);
        $this->assertCode(409, 'nothing of it is on a tray yet');
        $this->postAndFollow("/kits/{$kit}/pull");
        $page = $this->postAndFollow("/kits/{$kit}/make/step", ['step' => 'base.fold', 'done' => '4']);
        self::assertStringContainsString('Fold the base: 4 done.', $page->text());
        $page = $this->postAndFollow("/kits/{$kit}/make/step", ['step' => 'L1.stick', 'done' => '1']);
        self::assertSame(['1: panel on the mat', '3: mat on the base'], $page->filter('.piece-says')->each(static fn ($says): string => $says->text()));
        foreach ([['step' => 'L1.stick', 'done' => '5'], ['step' => 'L9.stick', 'done' => '1']] as $wrong) {
            $this->post("/kits/{$kit}/make/step", $wrong);
            $this->assertCode(409);
        }
        $this->post("/kits/{$kit}/make/step", ['step' => 'base.fold', 'done' => '-1']);
        $this->assertCode(422);
        $page = $this->postAndFollow("/kits/{$kit}/make/piece", ['piece' => '1']);
        self::assertStringContainsString('1 of 4', $page->filter('.making-steps')->text(), 'what is finished has been through all steps');
        $page = $this->postAndFollow("/kits/{$kit}/make/step", ['step' => 'base.fold', 'done' => '1']);
        self::assertStringContainsString('Fold the base: 1 done', $page->text(), 'and taken back');
    }

    public function testWhatTheBenchTookOtherwiseIsTakenIntoTheDesignAndItsPattern(): void
    {
        $kit = $this->card('4');
        $this->postAndFollow("/kits/{$kit}/design/pattern", ['name' => 'Harbour mail', 'revision' => (string) $this->revision($kit)]);
        $this->postAndFollow("/kits/{$kit}/pull");
        $this->postAndFollow("/kits/{$kit}/pull/take", ['place' => 'C4', 'needs' => [(string) $this->needId($kit, $this->foam)]]);
        $this->postAndFollow("/kits/{$kit}/make/use", ['item' => (string) $this->foam->id, 'quantity' => '5']);
        $this->postAndFollow("/kits/{$kit}/make/piece", ['piece' => '1']);
        $page = $this->get("/kits/{$kit}/make");
        self::assertStringContainsString('5 Foam squares each, not 3', $page->filter('.used-otherwise')->text());
        $page = $this->postAndFollow("/kits/{$kit}/make/into-design");
        self::assertStringContainsString('Taken into the design: 1 thing.', $page->text());
        self::assertSame([5, 20], [$this->design($kit)->thing((int) $this->foam->id)?->each, $this->wanted($kit, $this->foam)]);
        $this->postAndFollow("/kits/{$kit}/design/take-back", ['revision' => (string) $this->revision($kit)]);
        $pattern = $this->service(Designs::class)->pattern($this->number('SELECT max(id) FROM pattern'));
        self::assertSame(5, $pattern->design()->thing((int) $this->foam->id)?->each);
        $this->post("/kits/{$kit}/make/into-design");
        $this->assertCode(409, 'nothing is otherwise any more');
        $this->assertInStep($kit);
    }

    public function testTheDrawingFollowsWhatIsTypedAndNothingIsWritten(): void
    {
        $kit = $this->card();
        $revision = $this->revision($kit);
        $page = $this->post("/kits/{$kit}/design/preview/L3", ['size' => '2 × 1', 'paper' => 'Petrel']);
        $this->assertCode(200);
        self::assertStringContainsString('strip 2 × 1', (string) $page->filter('.card-drawing')->attr('aria-label'));
        self::assertStringContainsString('As typed, not written yet.', $page->text());
        $page = $this->post("/kits/{$kit}/design/preview/new", ['kind' => 'panel', 'name' => 'flag', 'size' => '1 1/2 × 1', 'paper' => 'Petrel']);
        self::assertStringContainsString('flag 1½ × 1', (string) $page->filter('.card-drawing')->attr('aria-label'), 'what is being added is drawn too');
        $wrong = [
            'new' => ['kind' => 'panel', 'size' => ''],
            'L3' => ['size' => '9 × 9'],
            'L1' => ['reveal' => 'x'],
            'L9' => ['reveal' => '1/8'],
            'base' => ['quantity' => '0', 'size' => '4 × 5'],
        ];
        foreach ($wrong as $part => $fields) {
            $this->post("/kits/{$kit}/design/preview/{$part}", $fields);
            $this->assertCode(204, $part);
        }
        $page = $this->post("/kits/{$kit}/design/preview/base", ['quantity' => '3', 'size' => '5 × 7', 'fold' => 'side']);
        self::assertStringContainsString('The front, 5 × 7', (string) $page->filter('.card-drawing')->attr('aria-label'));
        self::assertSame($revision, $this->revision($kit));
        $this->assertInStep($kit);
    }

    public function testTheNamesOfPapersAreAskedForOnce(): void
    {
        $board = $this->get("/kits/{$this->card()}/design");
        $asks = (string) $board->filter('datalist#papers')->attr('hx-get');
        self::assertCount(0, $board->filter('datalist#papers option'), 'the board itself does not carry them');
        $names = $this->get($asks)->filter('option')->each(static fn (Crawler $option): string => (string) $option->attr('value'));
        self::assertContains('Petrel card', $names);
        self::assertSame(array_unique($names), $names, 'each once');
    }

    public function testDiesAreProposedThatCutTheSize(): void
    {
        [$gulls, $oval] = $this->putInto('C4', 'Gull dies; ; 1', 'Oval dies; ; 1');
        $gulls->describe($gulls->record()->cutting(CutSizes::read('3 × 3, 3/4 × 1 3/4', LengthUnit::Inch)));
        $oval->describe($oval->record()->cutting(CutSizes::read('5 × 2', LengthUnit::Inch)));
        $this->entities()->flush();
        $kit = $this->card();
        $fields = ['kind' => 'die-cut', 'name' => 'gull', 'size' => '1 3/4 × 3/4', 'paper' => 'Petrel', 'revision' => (string) $this->revision($kit)];
        $text = $this->postAndFollow("/kits/{$kit}/design/parts", $fields)->filter('.goes-with')->text();
        self::assertStringContainsString('Gull dies', $text);
        self::assertStringContainsString('cuts the gull', $text);
        self::assertStringNotContainsString('Oval dies', $text);
    }

    public function testWhatIsTakenInsteadIsTheDesignsFromThenOn(): void
    {
        [$black] = $this->putInto('C4', 'Black foam pads; ; 60');
        $kit = $this->card('4');
        $this->postAndFollow("/kits/{$kit}/pull");
        $need = $this->number('SELECT id FROM need WHERE kit_id = ? AND item_id = ?', [$kit, $this->foam->id]);
        $this->postAndFollow("/kits/{$kit}/pull/instead", ['place' => 'C4', 'need' => (string) $need, 'item' => (string) $black->id, 'quantity' => '12']);
        self::assertSame(3, $this->design($kit)->thing((int) $black->id)?->each);
        self::assertNull($this->design($kit)->thing((int) $this->foam->id));
        self::assertSame(12, $this->wanted($kit, $black), 'wanted once');
        self::assertSame('replaced', $this->word('SELECT state FROM need WHERE id = ?', [$need]));
    }

    public function testAPageIsLaidOut(): void
    {
        $kit = $this->planned('12 × 12 page');
        $do = function (array $fields) use ($kit): string {
            /** @var array<string, string> $fields */
            return $this->postAndFollow("/kits/{$kit}/design/layout", $fields + ['revision' => (string) $this->revision($kit)])->text();
        };
        self::assertStringContainsString('Laid out anew', $do(['do' => 'begin', 'layout' => 'slipway']));
        self::assertCount(6, $this->design($kit)->blocks);
        $before = $this->design($kit)->blocks;
        self::assertStringContainsString('Mirrored', $do(['do' => 'mirror']));
        $do(['do' => 'mirror']);
        self::assertEquals($before, $this->design($kit)->blocks);
        self::assertStringContainsString('Turned', $do(['do' => 'turn']));
        $this->post("/kits/{$kit}/design/layout", ['do' => 'begin', 'layout' => 'regatta', 'revision' => (string) $this->revision($kit)]);
        $this->assertCode(422, 'that is for two pages');
        $this->post("/kits/{$kit}/design/layout", ['do' => 'gutters', 'gutter' => '6', 'revision' => (string) $this->revision($kit), '_form' => 'lay-out']);
        $this->assertCode(422);
        self::assertStringContainsString('do not fit', $this->browser->getCrawler()->filter('#lay-out-gutter-error')->text());
        self::assertStringContainsString('All mats are of that paper', $do(['do' => 'mats', 'paper' => 'Petrel', 'wish' => 'this']));
        self::assertSame(3, array_sum(array_map(
            static fn (DesignPiece $piece): int => 'photo mat' === $piece->name ? $piece->quantity(1) : 0,
            $this->design($kit)->pieces(),
        )));
        $this->assertInStep($kit);
        $block = $this->design($kit)->blocks[0];
        $push = ['block' => (string) $block->id, 'right' => '-99999999', 'down' => '900', 'revision' => (string) $this->revision($kit)];
        $this->postAndFollow("/kits/{$kit}/design/move", $push);
        $moved = $this->design($kit)->block($block->id)->outer();
        self::assertSame(0, $moved->x, 'no further than the edge');
        self::assertSame(0, $moved->y % 1016, 'on the grid');
        $fields = ['size' => '4 × 6', 'x' => '10', 'y' => '1', 'mat1' => '1/8', '_form' => 'part-B'.$block->id, 'revision' => (string) $this->revision($kit)];
        $this->post("/kits/{$kit}/design/parts/B{$block->id}", $fields);
        $this->assertCode(422);
        self::assertStringContainsString('lies outside the page', $this->text());
    }

    public function testOtherFormsHaveTheirBoards(): void
    {
        $kit = $this->planned('Class kits');
        $list = $this->begun(['form' => 'list of pieces', 'quantity' => '6', 'fold' => 'top']);
        $revision = ['revision' => (string) $this->revision($list), '_form' => 'add-listed'];
        $this->post("/kits/{$list}/design/parts", ['pieces' => "2 panels 4 × 5 Petrel\n1 strip of Buoy"] + $revision);
        $this->assertCode(422, 'a strip of what size?');
        $this->postAndFollow("/kits/{$list}/design/parts", ['pieces' => "2 panels 4 × 5 Petrel\n1 strip 1 × 5 Buoy"] + $revision);
        self::assertEquals(['panel 64 × 80' => 12, 'strip 16 × 80' => 6], $this->pieces($list));
        $this->change($list, 'P1', ['name' => 'panel', 'size' => '4 × 5', 'each' => '3', 'paper' => 'Petrel', 'wish' => 'this']);
        self::assertSame(18, $this->pieces($list)['panel 64 × 80']);
        $tags = $this->begun(['form' => 'tag', 'quantity' => '10', 'size' => '2 × 4', 'paper' => 'Petrel']);
        self::assertEquals(['tag 32 × 64' => 10], $this->pieces($tags));
        $pockets = $this->begun(['form' => 'pocket page', 'quantity' => '2']);
        $each = array_map(static fn (DesignPiece $piece): int => $piece->quantity(2), $this->design($pockets)->pieces());
        self::assertSame([8, 8], $each, 'eight pockets a page');
        foreach (['strip', 'envelope liner', 'book page', 'two-page layout'] as $form) {
            $made = $this->begun(['form' => $form, 'quantity' => '1', 'size' => '6 × 8']);
            $this->get("/kits/{$made}/design");
            $this->assertCode(200, $form);
        }
        $this->post("/kits/{$kit}/design/new", ['form' => 'tag', 'quantity' => '3', 'size' => '', '_form' => 'begin']);
        $this->assertCode(422);
        self::assertStringContainsString('How large?', $this->browser->getCrawler()->filter('#begin-size-error')->text());
    }

    /** @param array<string, string> $fields */
    private function begun(array $fields): int
    {
        $kit = $this->planKit('A kit', []);
        $this->postAndFollow("/kits/{$kit}/design/new", $fields);

        return $kit;
    }

    public function testASketchStaysWithTheKitAndItsColoursCanBeAimedAt(): void
    {
        $kit = $this->card();
        $picture = imagecreatetruecolor(60, 40);
        self::assertNotFalse($picture);
        imagefilledrectangle($picture, 0, 0, 59, 39, 0xC8372D);
        imagefilledrectangle($picture, 0, 0, 29, 39, 0x1F5C6B);
        $path = (string) tempnam(sys_get_temp_dir(), 'sketch');
        imagepng($picture, $path);
        $file = new UploadedFile($path, 'sketch.png', 'image/png', null, true);
        $this->browser->request('POST', "/kits/{$kit}/sketch", ['_request' => (string) Uuid::v7()], ['photo' => $file]);
        $this->assertCode(303, $this->text());
        $this->get("/kits/{$kit}/sketch");
        $this->assertCode(200);
        $this->postAndFollow("/kits/{$kit}/design/target", ['revision' => (string) $this->revision($kit)]);
        $red = Lab::of(Srgb::ofHex('#c8372d'));
        $near = array_filter($this->design($kit)->target, static fn (string $hex): bool => Difference::between($red, Lab::of(Srgb::ofHex($hex))) < 3);
        self::assertNotSame([], $near, 'one of them is the red of the picture');
        self::assertStringContainsString('Buoy meets it', $this->get("/kits/{$kit}/design")->filter('.target-colours')->text());
        $this->postAndFollow("/kits/{$kit}/design/target", ['off' => '1', 'revision' => (string) $this->revision($kit)]);
        self::assertSame([], $this->design($kit)->target);
        $this->postAndFollow("/kits/{$kit}/sketch/off");
        $this->get("/kits/{$kit}/sketch");
        $this->assertCode(404);
        $this->post("/kits/{$kit}/sketch", ['_form' => 'sketch']);
        $this->assertCode(422, 'no picture was sent');
    }

    public function testAKitWithADesignIsDeletedWholeAndComesBackWhole(): void
    {
        $kit = $this->card();
        $request = (string) Uuid::v7();
        $pieces = $this->pieces($kit);
        $this->post("/kits/{$kit}/delete", [], $request);
        self::assertSame(0, $this->number('SELECT count(*) FROM design WHERE kit_id = ?', [$kit]));
        $this->postAndFollow('/log/undo', ['step' => $request, 'back' => '/plan']);
        self::assertEqualsCanonicalizing($pieces, $this->pieces($kit));
        $this->assertInStep($kit);
    }

    public function testAnEmptyBoardBeginsWithWhatIsReady(): void
    {
        $bases = $this->putInto('C2', 'White A2 top-fold bases, scored; ; 12; ; #f4f1ea; 4 1/4 × 11; 110 lb cover')[0];
        $this->database()->executeStatement('UPDATE item SET parent_id = ? WHERE id = ?', [$this->white->id, $bases->id]);
        $this->entities()->clear();
        $kit = $this->planned('Thank-you notes');
        $page = $this->get("/kits/{$kit}/design");
        self::assertStringContainsString('8 A2 cards from White A2 top-fold bases, scored, 12 free in C2', $page->filter('.starts')->text());
        self::assertStringContainsString('8 A2 cards from 4 of 30 White card', $page->text(), 'sheets that are heavy enough for bases');
        $form = $page->filter('.starts form')->first();
        $fields = ['words' => (string) $form->filter('[name=words]')->attr('value'), 'from' => (string) $form->filter('[name=from]')->attr('value')];
        $page = $this->postAndFollow("/kits/{$kit}/design/new", $fields);
        self::assertStringContainsString('8 ready', $page->filter('#part-base')->text(), 'they are what is taken');
    }

    public function testWhatWasReadyAndIsUsedIsNotToBePulledOnceMore(): void
    {
        $bases = $this->putInto('C2', 'White A2 top-fold bases, scored; ; 12; ; #f4f1ea; 4 1/4 × 11; 110 lb cover')[0];
        $this->database()->executeStatement('UPDATE item SET parent_id = ? WHERE id = ?', [$this->white->id, $bases->id]);
        $this->entities()->clear();
        $kit = $this->planned('4 cards, A2, top fold');
        $this->change($kit, 'base', ['paper' => 'White', 'quantity' => '4', 'size' => '4 1/4 × 5 1/2', 'fold' => 'top']);
        $this->postAndFollow("/kits/{$kit}/pull");
        $this->postAndFollow("/kits/{$kit}/pull/take", ['place' => 'C2', 'needs' => [(string) $this->needId($kit, $bases)]]);
        $fields = ['piece' => '1', 'of' => [(string) $bases->id], 'used_'.$bases->id => '1'];
        self::assertStringContainsString('takes 1 White A2 top-fold bases', $this->get("/kits/{$kit}/make")->text());
        $page = $this->postAndFollow("/kits/{$kit}/make/piece", $fields);
        self::assertStringNotContainsString('To be cut', $page->text());
        self::assertStringContainsString('All is cut', $this->get("/kits/{$kit}/cut")->text());
    }

    public function testWhatGoesWithItIsProposedWithItsReason(): void
    {
        [$stamps] = $this->putInto('C1', 'Gulls; ; 1; seabirds', 'Gull dies; ; 1; seabirds');
        $empty = $this->planned('2 seabird cards, A2, flat');
        self::assertStringContainsString('Gulls', $this->get("/kits/{$empty}/design")->filter('.goes-with')->text(), 'also where nothing is on the list yet');
        $kit = $this->card();
        $this->postAndFollow("/kits/{$kit}", ['name' => 'Seabird cards', 'makes' => '8 cards']);
        $page = $this->get("/kits/{$kit}/design");
        self::assertStringContainsString('of its theme: seabirds', $page->filter('.goes-with')->text());
        self::assertStringNotContainsString('seabirds', $page->filter('.board-colours')->text(), 'a theme balances no colours');
        $this->postAndFollow("/kits/{$kit}/design/things", ['item' => (string) $stamps->id, 'role' => 'beside', 'revision' => (string) $this->revision($kit)]);
        self::assertSame(1, $this->wanted($kit, $stamps), 'a stamp set is wanted once');
        self::assertStringContainsString('Gull dies', $this->get("/kits/{$kit}/design")->filter('.goes-with')->text());
        $this->assertInStep($kit);
    }
}
