<?php

declare(strict_types=1);

namespace App\Tests\Kits\Cutting;

use App\Kits\Cutting\NamedPapers;
use App\Platform\Database\Row;
use App\Room\Catalogue\Item;
use App\Room\Log\AuditReading;
use App\Tests\In;
use App\Tests\RoomTestCase;
use Doctrine\DBAL\Exception;
use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Cutting\InvalidPieces;
use Lottel\Core\Label\ScanCode;
use Lottel\Core\Paper\Direction;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\DomCrawler\Crawler;
use Symfony\Component\Uid\Uuid;

/** Pieces that are cut: asked for, planned out of what is free, cut at the table, logged to the square tick. */
final class CuttingTest extends RoomTestCase
{
    private Item $card;
    private Item $buoy;

    protected function setUp(): void
    {
        parent::setUp();
        $this->furnish();
        [$this->card, $this->buoy] = $this->putInto(
            'C2',
            'Petrel card; ; 24; ; #1f5c6b; 8 1/2 × 11; 80 lb cover',
            'Buoy card; ; 9; ; #c8372d; 12 × 12; 80 lb cover',
        );
        $this->card->describe($this->card->record()->with(colourName: 'Petrel'));
        $this->buoy->describe($this->buoy->record()->with(colourName: 'Buoy'));
        $this->entities()->flush();
    }

    private function wanting(string $pieces): int
    {
        $kit = $this->planKit('Ferry cards', []);
        $this->postAndFollow("/kits/{$kit}/pieces", ['pieces' => $pieces, 'paper' => '0']);
        $this->assertCode(200, $this->text());

        return $kit;
    }

    private function pulled(string $pieces): int
    {
        $kit = $this->wanting($pieces);
        $this->postAndFollow("/kits/{$kit}/pull");
        foreach (
            Row::each(
                $this->database()->fetchAllAssociative('SELECT id, item_id FROM need WHERE kit_id = ?', [$kit]),
                static fn (Row $row): Row => $row,
            ) as $need
        ) {
            $place = $this->word('SELECT address FROM balance JOIN place ON place.id = place_id WHERE item_id = ? AND nature = ?', [
                $need->int('item_id'),
                'storage',
            ]);
            $this->postAndFollow("/kits/{$kit}/pull/take", ['place' => $place, 'needs' => [(string) $need->int('id')]]);
            $this->assertCode(200, $this->text());
        }

        return $kit;
    }

    /** @return array{setting: string, parts: list<string>} what the page sends when the next cut is made */
    private function nextCut(int $kit): array
    {
        $form = $this->get("/kits/{$kit}/cut")->filter('form[action$="/cut/made"]');
        $parts = $form->filter('[name="parts[]"]')->each(static fn (Crawler $field): string => (string) $field->attr('value'));

        return ['setting' => (string) $form->filter('[name=setting]')->attr('value'), 'parts' => $parts];
    }

    private function cut(int $kit): Crawler
    {
        $page = $this->postAndFollow("/kits/{$kit}/cut/made", $this->nextCut($kit));
        $this->assertCode(200, $this->text());

        return $page;
    }

    private function cutAll(int $kit): int
    {
        $cuts = 0;
        for (; $this->get("/kits/{$kit}/cut")->filter('form[action$="/cut/made"]')->count() > 0; ++$cuts) {
            $this->cut($kit);
        }

        return $cuts;
    }

    private function wantedOf(Item $item, int $kit): int
    {
        return $this->number('SELECT coalesce(sum(to_cut), 0) FROM need WHERE item_id = ? AND kit_id = ?', [$item->id, $kit]);
    }

    private function onTray(string $name, int $kit): int
    {
        return $this->number(
            'SELECT coalesce(sum(b.quantity), 0) FROM balance b JOIN item i ON i.id = b.item_id JOIN kit k ON k.tray_id = b.place_id
             WHERE i.name = ? AND k.id = ?',
            [$name, $kit],
        );
    }

    private function assertNothingIsWrong(): void
    {
        self::assertSame([], $this->service(AuditReading::class)->report()->differences);
    }

    public function testAKitIsCutFromThePlanToTheTray(): void
    {
        $kit = $this->wanting("12 A2 panels Petrel\n5 mats 4 × 5 buoy");
        self::assertSame([3, 1], [$this->wantedOf($this->card, $kit), $this->wantedOf($this->buoy, $kit)]);
        $page = $this->get("/kits/{$kit}");
        self::assertStringContainsString('to cut 12 A2 panels', $page->text());
        self::assertStringContainsString('from 4 sheets; no plan needs fewer sheets', $page->text());
        self::assertStringContainsString('to cut 12 A2 panels', $this->get("/kits/{$kit}/pull/print")->text());
        $page = $this->postAndFollow("/kits/{$kit}/pull");
        self::assertStringContainsString('to cut 5 mats', $page->text(), 'the reason stands at the stop');
        foreach ([$this->card, $this->buoy] as $item) {
            $this->postAndFollow("/kits/{$kit}/pull/take", ['place' => 'C2', 'needs' => [(string) $this->needId($kit, $item)]]);
        }
        $page = $this->get("/kits/{$kit}/cut");
        self::assertStringContainsString('3 sheets together', $page->text(), 'the trimmer takes three at once');
        self::assertCount(1, $page->filter('.blade-drawing'));
        self::assertGreaterThan(4, $this->cutAll($kit));
        self::assertSame([12, 5], [$this->onTray('Petrel A2 panel 4¼ × 5½', $kit), $this->onTray('Buoy mat 4 × 5', $kit)]);
        self::assertSame([0, 0], [$this->onTray('Petrel card', $kit), $this->onTray('Buoy card', $kit)]);
        $scrap = $this->item($this->number("SELECT min(id) FROM item WHERE kind = 'scrap'"));
        self::assertSame([$this->buoy->id, '#c8372d'], [$scrap->parent?->id, $scrap->colour]);
        self::assertArrayHasKey('not filed', $this->balances($scrap), 'the room has no place for scraps yet');
        self::assertSame(216, (int) $scrap->sheet->sheet()->weight?->gsm());
        self::assertGreaterThan(0, $this->number('SELECT count(*) FROM label_wish WHERE item_id = ?', [$scrap->id]), 'its label is to be printed');
        self::assertSame(
            $this->number('SELECT sum(width * height * sheets) FROM cut'),
            $this->number('SELECT sum(width * height * quantity) FROM cut_part'),
        );
        self::assertStringContainsString('All is cut', $this->get("/kits/{$kit}/cut")->text());
        $page = $this->get('/paper?piece=3+x+4&colour=%23c8372d');
        self::assertStringContainsString('Buoy scrap', $page->filter('.piece-answers')->text(), 'what was left is found again');
        self::assertStringContainsString('made here → tray 1', $this->get("/log?kit={$kit}")->text());
        $this->assertNothingIsWrong();
    }

    public function testScrapsAreCutBeforeSheetsAndWhatIsReadyIsTakenAsItIs(): void
    {
        [$scrap] = $this->putInto('C4', 'Petrel scrap; ; 2; ; #1f5c6b; 6 × 6; 80 lb cover');
        [$panels] = $this->putInto('C4', 'Petrel panels; ; 3; ; #1f5c6b; 4 × 5 1/4; 80 lb cover');
        $scrap = $this->item((int) $scrap->id);
        $scrap->describe($scrap->record()->with(kind: Kind::Scrap));
        $scrap->traceTo($this->item((int) $this->card->id));
        $this->item((int) $panels->id)->traceTo($this->item((int) $this->card->id));
        $this->entities()->flush();
        $kit = $this->wanting('8 panels 4 × 5 1/4 Petrel');
        self::assertSame([3, 2, 1], [$this->wantedOf($panels, $kit), $this->wantedOf($scrap, $kit), $this->wantedOf($this->card, $kit)]);
        self::assertStringContainsString('from 3 ready-cut, 2 scraps and 1 sheet', $this->get("/kits/{$kit}/cut")->text());
        $this->postAndFollow("/kits/{$kit}/pull");
        $this->postAndFollow("/kits/{$kit}/pull/take", ['place' => 'C4', 'needs' => [$this->needId($kit, $panels), $this->needId($kit, $scrap)]]);
        $this->postAndFollow("/kits/{$kit}/pull/take", ['place' => 'C2', 'needs' => [$this->needId($kit, $this->card)]]);
        $this->cutAll($kit);
        self::assertSame(8, $this->onTray('Petrel panels', $kit), 'those that are cut are more of the same');
        $this->assertNothingIsWrong();
    }

    public function testWhatOtherKitsWantIsNotCut(): void
    {
        $other = $this->planKit('Other', [[$this->card, 23]]);
        $kit = $this->wanting('8 A2 panels Petrel');
        self::assertSame(1, $this->wantedOf($this->card, $kit));
        self::assertStringContainsString('not enough paper for 4 A2 panels', $this->get("/kits/{$kit}/cut")->text());
        self::assertStringContainsString('No paper for 4 of them', $this->text());
        $this->postAndFollow("/kits/{$other}/needs/".$this->needId($other, $this->card), ['remove' => '1']);
        $this->postAndFollow("/kits/{$kit}/cut/plan");
        self::assertSame(2, $this->wantedOf($this->card, $kit));
    }

    public function testWhatAnotherKitTookSinceIsToldAndPlannedWithout(): void
    {
        $kit = $this->wanting('8 A2 panels Petrel');
        $other = $this->planKit('Other', [[$this->card, 24]]);
        $this->postAndFollow("/kits/{$other}/pull");
        $this->postAndFollow("/kits/{$other}/pull/take", ['place' => 'C2', 'needs' => [(string) $this->needId($other, $this->card)]]);
        $page = $this->postAndFollow("/kits/{$kit}/pull");
        self::assertStringContainsString('Not in any drawer', $page->text());
        self::assertStringContainsString('2 sheets are not on the tray yet', $this->get("/kits/{$kit}/cut")->text());
        $this->post("/kits/{$kit}/cut/made", ['setting' => '34544', 'parts' => [$this->number('SELECT min(id) FROM sheet_in_work').' 1']]);
        $this->assertCode(409, 'what is not there is not cut');
        $page = $this->postAndFollow("/kits/{$kit}/cut/plan");
        self::assertStringContainsString('no paper for it is free; not enough paper for 8 A2 panels', $page->text());
        self::assertSame(0, $this->number('SELECT count(*) FROM need WHERE kit_id = ?', [$kit]));
        $this->assertNothingIsWrong();
    }

    public function testACutThatWentWrongIsToldAndTheRestIsPlannedAnew(): void
    {
        $kit = $this->pulled('8 A2 panels Petrel');
        $next = $this->nextCut($kit);
        self::assertCount(2, $next['parts']);
        $page = $this->postAndFollow("/kits/{$kit}/cut/wrong", ['_form' => 'wrong', 'parts' => $next['parts'], 'at' => '3', 'many' => '1']);
        $this->assertCode(200, $this->text());
        self::assertStringContainsString('That spoilt 4 A2 panels; planned anew.', $page->text());
        self::assertStringContainsString('1 sheet is to be pulled', $page->text());
        self::assertSame(3, $this->wantedOf($this->card, $kit));
        $this->postAndFollow("/kits/{$kit}/pull/take", ['place' => 'C2', 'needs' => [$this->needId($kit, $this->card)]]);
        $this->cutAll($kit);
        self::assertSame(8, $this->onTray('Petrel A2 panel 4¼ × 5½', $kit));
        $this->assertNothingIsWrong();
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function wrongWrongs(): iterable
    {
        yield 'nothing said' => [['at' => ''], 'Where was it cut?'];
        yield 'a cut at 0' => [['at' => '0'], 'More than nothing'];
        yield 'beyond the part' => [['at' => '40'], 'not inside the part in hand'];
        yield 'no length' => [['at' => 'there'], 'is not a length'];
        yield 'more than lie there' => [['at' => '3', 'many' => '9'], 'from 1 to 2'];
    }

    /** @param array<string, mixed> $fields */
    #[DataProvider('wrongWrongs')]
    public function testWhatCannotHaveGoneWrongIsSaidBesideItsField(array $fields, string $why): void
    {
        $kit = $this->pulled('8 A2 panels Petrel');
        $trees = $this->database()->fetchFirstColumn('SELECT tree FROM sheet_in_work');
        $page = $this->post("/kits/{$kit}/cut/wrong", $fields + ['_form' => 'wrong', 'parts' => $this->nextCut($kit)['parts'], 'many' => '2']);
        $this->assertCode(422);
        self::assertStringContainsString($why, $page->filter('.went-wrong .field-error')->text());
        self::assertSame($trees, $this->database()->fetchFirstColumn('SELECT tree FROM sheet_in_work'));
    }

    public function testTheSameCutIsMadeOnce(): void
    {
        $kit = $this->pulled('8 A2 panels Petrel');
        $next = $this->nextCut($kit);
        $id = (string) Uuid::v7();
        $this->post("/kits/{$kit}/cut/made", $next, $id);
        $this->assertCode(303);
        $this->post("/kits/{$kit}/cut/made", $next, $id);
        $this->assertCode(303, 'a double tap');
        $page = $this->post("/kits/{$kit}/cut/made", $next);
        $this->assertCode(409, 'another device, or an old page');
        self::assertStringContainsString('was made in the meantime', $page->filter('.problem')->text());
        self::assertCount(4, $this->nextCut($kit)['parts'] + [3 => '']);
    }

    public function testAScanOfThePaperOrTheTrimmerIsACut(): void
    {
        [$trimmer, $terns] = [$this->putInto('C3', 'Trimmer; ; 1')[0], $this->putInto('C1', 'Terns; ; 1')[0]];
        $trimmer->describe($trimmer->record()->with(kind: Kind::Tool));
        $this->entities()->flush();
        $kit = $this->pulled('4 A2 panels Petrel');
        $page = $this->post("/kits/{$kit}/cut/scanned", ['code' => (string) ScanCode::ofItem((int) $terns->id)]);
        $this->assertCode(409);
        self::assertStringContainsString('Terns is not what lies under the blade', $page->filter('.problem')->text());
        $this->postAndFollow("/kits/{$kit}/cut/scanned", ['code' => (string) ScanCode::ofItem((int) $this->card->id)]);
        self::assertCount(2, $this->nextCut($kit)['parts']);
        $this->postAndFollow("/kits/{$kit}/cut/scanned", ['code' => (string) ScanCode::ofItem((int) $trimmer->id)]);
        self::assertStringContainsString('4 A2 panels on the tray', $this->text());
        $this->post("/kits/{$kit}/cut/scanned", ['code' => (string) ScanCode::ofItem((int) $trimmer->id)]);
        $this->assertCode(409, 'nothing is left to cut');
    }

    public function testOnlyWhatLiesOnItsOwnTableIsCut(): void
    {
        $kit = $this->pulled('4 A2 panels Petrel');
        $other = $this->wanting('4 A2 panels Petrel');
        $sheet = $this->number('SELECT max(id) FROM sheet_in_work WHERE kit_id = ?', [$other]);
        $this->post("/kits/{$kit}/cut/made", ['setting' => '34544', 'parts' => [$sheet.' 1']]);
        $this->assertCode(409, 'a sheet of another kit');
        $this->post("/kits/{$other}/cut/made", ['setting' => '34544', 'parts' => [$sheet.' 1']]);
        $this->assertCode(409, 'a kit without a tray');
        $next = $this->nextCut($kit);
        foreach (
            [
                ['setting' => '777'] + $next,
                ['parts' => []] + $next,
                ['parts' => ['x']] + $next,
                ['parts' => [explode(' ', $next['parts'][0])[0].' 1.1.1']] + $next,
            ] as $crafted
        ) {
            $this->post("/kits/{$kit}/cut/made", $crafted);
            $this->assertCode(409);
        }
        $this->post("/kits/{$kit}/cut/made", ['setting' => '-3'] + $next);
        $this->assertCode(422);
        self::assertSame(0, $this->number('SELECT count(*) FROM cut'));
    }

    public function testACutIsTakenBackAsAWholeWhileItsPiecesAreUntouched(): void
    {
        $kit = $this->pulled('4 A2 panels Petrel');
        $this->cut($kit);
        $this->cut($kit);
        $step = $this->word("SELECT request_id FROM movement WHERE reason = 'cut' ORDER BY id DESC");
        self::assertSame(4, $this->onTray('Petrel A2 panel 4¼ × 5½', $kit));
        $line = $this->number("SELECT max(id) FROM movement WHERE reason = 'cut'");
        $this->postAndFollow("/log/{$line}/reverse");
        $this->assertCode(200, $this->text());
        $onTray = [$this->onTray('Petrel A2 panel 4¼ × 5½', $kit), $this->onTray('Petrel card', $kit)];
        self::assertSame([0, 1], $onTray, 'one line takes all of the cut along');
        self::assertCount(2, $this->nextCut($kit)['parts'], 'the last cut is to be made again');
        $this->assertNothingIsWrong();
        $this->cut($kit);
        $piece = $this->number("SELECT id FROM item WHERE name = 'Petrel A2 panel 4¼ × 5½' AND removed_at IS NULL");
        $this->postAndFollow("/kits/{$kit}/make/use", ['item' => (string) $piece, 'quantity' => '1']);
        $step = $this->word("SELECT request_id FROM movement WHERE reason = 'cut' ORDER BY id DESC");
        $this->post('/log/undo', ['step' => $step, 'back' => '/plan']);
        self::assertContains($this->code(), [409, 422], 'a piece is used by now');
        self::assertSame(3, $this->onTray('Petrel A2 panel 4¼ × 5½', $kit));
        $this->assertNothingIsWrong();
    }

    public function testWhatIsHalfCutDoesNotGoHomeAsAWholeSheet(): void
    {
        $kit = $this->pulled('4 A2 panels Petrel');
        $this->cut($kit);
        $this->post("/kits/{$kit}/return");
        $this->assertCode(409);
        self::assertStringContainsString('Petrel card lies there half cut', $this->text());
        $this->post("/kits/{$kit}/return/home", ['items' => [(string) $this->card->id], 'item' => (string) $this->card->id]);
        $this->post("/kits/{$kit}/make/use", ['item' => (string) $this->card->id, 'quantity' => '1']);
        $this->assertCode(409);
        self::assertSame(1, $this->onTray('Petrel card', $kit), 'a crafted form neither');
        $page = $this->postAndFollow("/kits/{$kit}/cut/stop");
        self::assertStringContainsString('1 sheet is cut. Kept: 2 × 4¼ × 11 in', $page->text());
        self::assertStringContainsString('2 sheets are not on the tray yet: 2 × Petrel scrap 4¼ × 11', $page->text(), 'its pieces are planned anew');
        $this->post("/kits/{$kit}/cut/stop");
        $this->assertCode(409, 'nothing is half cut any more');
        $this->postAndFollow("/kits/{$kit}/return");
        $this->assertCode(200);
        $this->assertNothingIsWrong();
    }

    public function testWhatIsLeftOfAScrapIsMoreOfTheScrapsThatItsPaperHasAlready(): void
    {
        [$large, $small] = $this->putInto('C4', 'Petrel large; ; 1; ; #1f5c6b; 6 × 6; 80 lb cover', 'Petrel small; ; 2; ; #1f5c6b; 6 × 3; 80 lb cover');
        foreach ([$large, $small] as $scrap) {
            $scrap->describe($scrap->record()->with(kind: Kind::Scrap));
            $scrap->traceTo($this->item((int) $this->card->id));
        }
        $this->entities()->flush();
        $this->planKit('Other', [[$this->item((int) $small->id), 2]]);
        $kit = $this->pulled('1 tag 6 × 3 Petrel');
        $this->cutAll($kit);
        self::assertSame(1, $this->onTray('Petrel tag 6 × 3', $kit));
        self::assertSame(3, $this->balances($this->item((int) $small->id))['C4']);
        self::assertSame(2, $this->number("SELECT count(*) FROM item WHERE kind = 'scrap'"), 'no third kind of scrap');
        $this->assertNothingIsWrong();
    }

    public function testWhatIsUsedUpByHandIsNotKeptBackFromTheCuts(): void
    {
        $kit = $this->planKit('Ferry cards', [[$this->card, 20]]);
        $this->postAndFollow("/kits/{$kit}/pull");
        $this->postAndFollow("/kits/{$kit}/pull/take", ['place' => 'C2', 'needs' => [(string) $this->needId($kit, $this->card)]]);
        $this->postAndFollow("/kits/{$kit}/pieces", ['pieces' => '20 A2 panels Petrel', 'paper' => '0']);
        self::assertSame(4, $this->wantedOf($this->card, $kit), 'twenty are wanted for something else');
        $this->postAndFollow("/kits/{$kit}/make/use", ['item' => (string) $this->card->id, 'quantity' => '20']);
        $this->postAndFollow("/kits/{$kit}/cut/plan");
        self::assertSame(4, $this->wantedOf($this->card, $kit), 'they are used, and four are left to cut');
    }

    public function testTheDatabaseItselfKeepsLawFive(): void
    {
        $kit = $this->pulled('4 A2 panels Petrel');
        $this->cutAll($kit);
        $cut = $this->number('SELECT movement_id FROM cut');
        foreach ([
            'UPDATE cut SET width = width + 1' => 'law 2',
            'DELETE FROM cut_part' => 'law 2',
            "INSERT INTO cut_part (cut_id, fate, width, height, quantity) VALUES ({$cut}, 'waste', 1, 1, 1)" => 'law 5: what a cut left is written with it',
            "INSERT INTO cut (movement_id, width, height, sheets) VALUES ({$cut}, 10, 10, 1)" => 'law 5: a cut conserves area',
        ] as $sql => $law) {
            try {
                $this->database()->executeStatement($sql);
                self::fail($sql);
            } catch (Exception $broken) {
                self::assertStringContainsString($law, $broken->getMessage());
            }
        }
        $this->database()->executeStatement('DROP TRIGGER cut_is_kept_update');
        $this->database()->executeStatement('UPDATE cut SET height = height - 1');
        self::assertStringContainsString('Law 5', (string) json_encode($this->service(AuditReading::class)->report()->differences));
    }

    /** @return iterable<string, array{string, string}> */
    public static function unreadable(): iterable
    {
        yield 'nothing' => ['', 'Write what is to be cut'];
        yield 'no piece' => ['0 panels 3 × 4 Petrel', 'from 1 to 1,000'];
        yield 'very many' => ['10000 panels 3 × 4 Petrel', 'from 1 to 1,000'];
        yield 'no paper' => ['3 panels 3 × 4', 'is cut from which paper?'];
        yield 'an unknown paper' => ['3 panels 3 × 4 gold leaf', 'No paper in the room is called “gold leaf”'];
        yield 'two papers' => ['3 panels 3 × 4 card', '“card” may be'];
        yield 'no size' => ['3 panels Petrel', 'How large is'];
    }

    #[DataProvider('unreadable')]
    public function testLinesThatCannotBeReadAreKeptWithTheReason(string $line, string $why): void
    {
        $kit = $this->planKit('Ferry cards', []);
        $page = $this->post("/kits/{$kit}/pieces", ['_form' => 'pieces', 'pieces' => $line, 'paper' => '0']);
        $this->assertCode(422);
        self::assertStringContainsString($why, $page->filter('.ask-pieces .field-error')->text());
        self::assertSame($line, $page->filter('textarea[name=pieces]')->text());
        self::assertSame(0, $this->number('SELECT count(*) FROM piece'));
    }

    public function testAPaperWithoutASizeIsAskedFor(): void
    {
        [$odd] = $this->putInto('C4', 'Odd paper; ; 3');
        $kit = $this->planKit('Ferry cards', []);
        $page = $this->post("/kits/{$kit}/pieces", ['_form' => 'pieces', 'pieces' => '3 panels 3 × 4', 'paper' => (string) $odd->id]);
        $this->assertCode(409);
        self::assertStringContainsString('How large is a sheet of Odd paper?', $page->filter('.problem')->text());
        self::assertSame('3 panels 3 × 4', $page->filter('textarea[name=pieces]')->text());
    }

    public function testPiecesAreChangedAndTheListFollows(): void
    {
        $kit = $this->wanting('8 A2 panels Petrel');
        $this->postAndFollow("/kits/{$kit}/needs", ['item' => (string) $this->card->id, 'quantity' => '1']);
        self::assertSame(3, $this->number('SELECT quantity FROM need WHERE kit_id = ?', [$kit]), 'one more by hand');
        $piece = $this->number('SELECT id FROM piece');
        $this->postAndFollow("/kits/{$kit}/pieces/{$piece}", ['quantity' => '16']);
        self::assertSame(4, $this->wantedOf($this->card, $kit));
        self::assertSame(1, $this->number('SELECT quantity - to_cut FROM need WHERE kit_id = ?', [$kit]));
        $need = $this->needId($kit, $this->card);
        $this->post("/kits/{$kit}/needs/{$need}", ['remove' => '1']);
        $this->assertCode(409, 'the cuts want it');
        $this->post("/kits/{$kit}/needs/{$need}", ['quantity' => '3']);
        $this->assertCode(409);
        $this->postAndFollow("/kits/{$kit}/pieces/{$piece}", ['remove' => '1']);
        self::assertSame(
            [0, 1],
            [$this->wantedOf($this->card, $kit), $this->number('SELECT quantity FROM need WHERE kit_id = ?', [$kit])],
            'what was wanted by hand stays',
        );
        self::assertSame(0, $this->number('SELECT count(*) FROM sheet_in_work'));
    }

    public function testAskingForPiecesIsTakenBackWithTheList(): void
    {
        $kit = $this->planKit('Ferry cards', []);
        $this->post("/kits/{$kit}/pieces", ['pieces' => '8 A2 panels Petrel', 'paper' => '0']);
        $step = $this->word("SELECT id FROM write_request WHERE outcome LIKE '%/cut' ORDER BY id DESC");
        $this->postAndFollow('/log/undo', ['step' => $step, 'back' => "/kits/{$kit}/cut"]);
        $this->assertCode(200, $this->text());
        foreach (['piece', 'sheet_in_work', 'cut_plan', 'need'] as $table) {
            self::assertSame(0, $this->number("SELECT count(*) FROM {$table} WHERE kit_id = ?", [$kit]), $table);
        }
    }

    public function testABetterPlanIsLookedForInSteps(): void
    {
        $kit = $this->wanting("7 mats 5 × 5 1/2 Petrel\n9 tags 3 × 3 1/4 Petrel\n4 strips 2 × 7 1/2 Petrel");
        $efforts = [];
        for ($asked = 0; $asked < 5 && $this->get("/kits/{$kit}/cut")->filter('.better-plan')->count() > 0; ++$asked) {
            $efforts[] = $this->number('SELECT effort FROM cut_plan');
            $before = $this->wantedOf($this->card, $kit);
            $this->postAndFollow("/kits/{$kit}/cut/better");
            self::assertLessThanOrEqual($before, $this->wantedOf($this->card, $kit), 'never a worse one');
        }
        self::assertSame([1, 2], $efforts, 'then there is an end');
        $this->postAndFollow("/kits/{$kit}/cut/plan");
        $this->postAndFollow("/kits/{$kit}/cut/better", ['enough' => '1']);
        self::assertCount(0, $this->get("/kits/{$kit}/cut")->filter('.better-plan'), 'or a person ends it');
    }

    public function testBasesAreScoredWhenTheyAreCut(): void
    {
        $kit = $this->pulled('2 top-fold bases Petrel');
        $this->cutAll($kit);
        $piece = $this->number('SELECT id FROM piece');
        self::assertStringContainsString('5½', $this->get("/kits/{$kit}/cut")->filter('.scoring')->text());
        $this->post("/kits/{$kit}/cut/scored", ['piece' => (string) $piece, 'many' => '3']);
        $this->assertCode(409, 'there are two');
        $this->postAndFollow("/kits/{$kit}/cut/scored", ['piece' => (string) $piece, 'many' => '2']);
        self::assertStringContainsString('All is cut and scored', $this->text());
        $this->post("/kits/{$kit}/cut/scored", ['piece' => (string) $piece, 'many' => '1']);
        $this->assertCode(409, 'no more than once');
    }

    public function testABatchIsCutAheadWithoutAKitOfCards(): void
    {
        $this->postAndFollow('/paper/ahead', ['pieces' => '8 A2 panels', 'paper' => (string) $this->card->id]);
        $this->assertCode(200, $this->text());
        $kit = $this->number('SELECT max(id) FROM kit');
        self::assertSame('8 × A2 panel, ahead of time', $this->kit($kit)->name);
        self::assertSame([2, 1], [$this->wantedOf($this->card, $kit), $this->number('SELECT is_ahead FROM cut_plan')]);
        $page = $this->post('/paper/ahead', ['_form' => 'pieces', 'pieces' => '8 A2 panels', 'paper' => '0']);
        $this->assertCode(422);
        self::assertStringContainsString('which paper', $page->filter('.field-error')->text());
    }

    public function testWhatRunsLowIsProposed(): void
    {
        [$panels] = $this->putInto('C4', 'Petrel A2 panels; ; 3; ; #1f5c6b; 4 1/4 × 5 1/2; 80 lb cover');
        $this->item((int) $panels->id)->traceTo($this->item((int) $this->card->id));
        $this->entities()->flush();
        $this->planKit('Many cards', [[$this->item((int) $panels->id), 10]]);
        $page = $this->get('/paper/ahead');
        self::assertSame('7 A2 panel Petrel card', trim($page->filter('textarea[name=pieces]')->text()));
        self::assertStringContainsString('low: cut 7', $page->text());
        $this->postAndFollow('/paper/ahead', ['pieces' => '7 A2 panels Petrel card', 'paper' => '0']);
        self::assertSame(2, $this->wantedOf($this->card, $this->number('SELECT max(id) FROM kit')));
    }

    public function testTheTrimmerIsTheHouseholds(): void
    {
        $fields = ['_form' => 'trimmer', 'longest_cut' => '10 in', 'smallest_strip' => '1/4', 'sheets_together' => '1', 'keep_short' => '2', 'keep_long' => '3',
            'offcuts' => 'parent', 'per_cut' => '2.50'];
        $this->postAndFollow('/paper/trimmer', $fields);
        $this->assertCode(200, $this->text());
        $kit = $this->pulled('3 A2 panels Petrel');
        self::assertCount(1, $this->nextCut($kit)['parts']);
        $this->cutAll($kit);
        self::assertSame('C2', $this->word("SELECT address FROM item i JOIN place p ON p.id = i.home_id WHERE i.kind = 'scrap'"), 'beside its parent');
        $kit = $this->wanting('8 A2 panels Petrel');
        self::assertMatchesRegularExpression(
            '/At a copy shop: 4 cuts of whole stacks, about 10.00; at home about \d+ min/',
            $this->get("/kits/{$kit}/cut")->text(),
        );
        self::assertStringContainsString('About 10.00 at 2.50 a cut', $this->get("/kits/{$kit}/cut/order")->text());
        $wrong = ['keep_long' => '1', 'sheets_together' => '0', 'per_cut' => 'much', 'smallest_strip' => '11', 'offcuts' => 'moon', 'keep_short' => ''];
        foreach ($wrong as $field => $value) {
            $page = $this->post('/paper/trimmer', [$field => $value] + $fields);
            $this->assertCode(422, $field);
            self::assertCount(1, $page->filter("#trimmer-{$field}-error"), $field);
        }
        $this->signIn('hank');
        $this->get('/paper/trimmer');
        $this->assertCode(403);
    }

    public function testThePlanIsTakenAlong(): void
    {
        $kit = $this->pulled("5 A2 panels Petrel\n2 mats 4 × 5 buoy");
        $this->cut($kit);
        $question = json_decode($this->answer("/kits/{$kit}/cut/plan.json"), true, 32, \JSON_THROW_ON_ERROR);
        self::assertSame(['in', 12, 0.125], [In::of($question, 'unit'), In::of($question, 'longest_cut'), In::of($question, 'smallest_strip')]);
        $answer = json_decode($this->answer("/kits/{$kit}/cut/cuts.json"), true, 32, \JSON_THROW_ON_ERROR);
        self::assertSame('complete', In::of($answer, 'status'));
        $sheets = In::of($answer, 'used');
        self::assertIsArray($sheets);
        foreach ($sheets as $sheet) {
            $area = 0.0;
            foreach (['placed', 'offcuts'] as $list) {
                $boxes = In::of($sheet, $list);
                self::assertIsArray($boxes);
                foreach ($boxes as $box) {
                    $area += self::side($box, 'w') * self::side($box, 'h');
                }
            }
            self::assertEqualsWithDelta(self::side($sheet, 'w') * self::side($sheet, 'h'), $area, 1e-9);
        }
        self::assertStringContainsString('Petrel card', $this->answer("/kits/{$kit}/cut/cuts.csv"));
        self::assertStringContainsString('4 1/4 in', $this->answer("/kits/{$kit}/cut/pieces.csv"));
        self::assertStringStartsWith('%PDF', $this->answer("/kits/{$kit}/cut/plan.pdf"));
        self::assertMatchesRegularExpression(
            '~/MediaBox \[0\.000000 0\.000000 (702|954)~',
            $this->answer("/kits/{$kit}/cut/true-size.pdf"),
            'the sheet and 16 mm on each side',
        );
        $sheet = $this->number('SELECT min(id) FROM sheet_in_work');
        $svg = $this->answer("/kits/{$kit}/cut/sheet-{$sheet}-true-size.svg");
        self::assertStringContainsString('width="215.900" height="279.400"', $svg, '8 1/2 × 11 in are 215.9 × 279.4 mm (ISO 216 gives letter so)');
        $this->get("/kits/{$kit}/cut/sheet-999.svg");
        $this->assertCode(404);
    }

    private static function side(mixed $box, string $name): float
    {
        $side = In::of($box, $name);

        return \is_int($side) || \is_float($side) ? (float) $side : throw new \UnexpectedValueException($name);
    }

    private function answer(string $path): string
    {
        $this->get($path);
        $this->assertCode(200, $path);

        return $this->browser->getInternalResponse()->getContent();
    }

    public function testAKitThatIsOnlyPlannedIsDeletedWithItsPieces(): void
    {
        $kit = $this->wanting('8 A2 panels Petrel');
        $this->postAndFollow("/kits/{$kit}/delete");
        $this->assertCode(200, $this->text());
        self::assertSame(0, $this->number('SELECT count(*) FROM piece') + $this->number('SELECT count(*) FROM sheet_in_work'));
        $step = $this->word("SELECT request_id FROM step_change WHERE subject = 'kit' AND what = 'delete'");
        $this->postAndFollow('/log/undo', ['step' => $step, 'back' => '/plan']);
        self::assertStringContainsString('8 A2 panels', $this->get("/kits/{$kit}")->text());
    }

    public function testAnOffcutKeepsTheDirectionThatItHadOnTheTableWhereItRunsUpright(): void
    {
        $this->card->sheet->put($this->card->sheet->sheet()->running(Direction::Width));
        $this->entities()->flush();
        $kit = $this->pulled('2 tags 6 × 3 Petrel');
        $this->cutAll($kit);
        $offcuts = $this->database()->fetchFirstColumn("SELECT DISTINCT direction FROM item WHERE kind = 'scrap' AND parent_id = ?", [$this->card->id]);
        self::assertSame([Direction::Height->value], $offcuts);
    }

    public function testAPaperThatIsGoneIsNotNamed(): void
    {
        [$gone] = $this->putInto('C2', 'Gone wrasse card;;1');
        $papers = $this->service(NamedPapers::class);
        self::assertSame((int) $gone->id, $papers->named('wrasse'));
        self::assertContains('Gone wrasse card', $papers->names());
        $this->database()->executeStatement("UPDATE item SET removed_at = '2026-03-01 10:00:00' WHERE id = ?", [$gone->id]);
        self::assertNotContains('Gone wrasse card', [...$papers->names(), ...$papers->choices()]);
        $this->expectException(InvalidPieces::class);
        $papers->named('wrasse');
    }
}
