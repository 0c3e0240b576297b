<?php

declare(strict_types=1);

namespace App\Tests\Room\ListImport;

use App\People\Accounts\Newcomer;
use App\People\Accounts\OpenRoom;
use App\Platform\Security\Role;
use App\Room\ListImport\ImportedList;
use App\Room\ListImport\ImportedLists;
use App\Room\ListImport\TakeInList;
use App\Room\Log\AuditReading;
use App\Room\Undo\UndoInParts;
use App\Tests\OwnFileTestCase;
use App\Tests\SheetFile;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\DomCrawler\Crawler;
use Symfony\Component\HttpFoundation\File\UploadedFile;
use Symfony\Component\Uid\Uuid;

/** A list that somebody has already is read, looked at, mended and taken in, and one undo takes all of it out again. */
final class ListImportTest extends OwnFileTestCase
{
    private const LIST = [
        ['Item', 'Brand', 'Category', 'Qty', 'Location', 'Size (in)', 'Price', 'Notes'],
        ['Gull stamps', 'Two Bollards', 'Stamps', '1', 'C1', '', '12.50', 'tiny gull'],
        ['Petrel card', 'Marrowlight Paper', 'Cardstock', '24 sheets', 'C2', '8 1/2 x 11', '0.40', ''],
        ['Rope ribbon', 'Oddling', 'Ribbon', '5 yd', 'C4', '', '', ''],
        ['Buoy ink', 'Kelp & Comma', 'Ink pad', 'half', 'blue chest', '', '', ''],
    ];

    protected function setUp(): void
    {
        parent::setUp();
        mkdir($this->data.'/photos', 0o700);
        $this->console('doctrine:migrations:migrate');
        $this->openRoom();
        $this->furnish();
    }

    /** @return iterable<string, array{callable(): string, string}> the content of a file, its name */
    public static function layouts(): iterable
    {
        $csv = self::separated(...);
        yield 'commas, UTF-8 with its mark' => [static fn (): string => "\u{FEFF}".$csv(self::LIST, ','), 'list.csv'];
        yield 'semicolons, as spreadsheets here and there write it' => [
            static fn (): string => (string) mb_convert_encoding($csv(self::LIST, ';'), 'Windows-1252', 'UTF-8'),
            'list.csv',
        ];
        yield 'tabs, UTF-16' => [static fn (): string => "\xFF\xFE".mb_convert_encoding($csv(self::LIST, "\t"), 'UTF-16LE', 'UTF-8'), 'list.tsv'];
        yield 'a spreadsheet' => [static fn (): string => SheetFile::xlsx(self::LIST), 'list.xlsx'];
        yield 'an open one' => [static fn (): string => SheetFile::ods(self::LIST), 'list.ods'];
    }

    /** @param list<list<string>> $rows */
    private static function separated(array $rows, string $separator): string
    {
        $cell = static fn (string $text): string => '"'.str_replace('"', '""', $text).'"';

        return implode("\r\n", array_map(static fn (array $row): string => implode($separator, array_map($cell, $row)), $rows));
    }

    /** @param callable(): string $content */
    #[DataProvider('layouts')]
    public function testAListIsTakenInWhateverWroteIt(callable $content, string $name): void
    {
        $page = $this->send($content(), $name);
        $said = $page->filter('.list-table option[selected]')->each(static fn (Crawler $one): string => $one->attr('value') ?? '');
        self::assertSame(['name', 'maker', 'kind', 'quantity', 'place', 'size', 'price', 'note'], $said);
        self::assertStringContainsString('4 things are ready', $this->text());
        self::assertStringContainsString('blue chest', $this->text(), 'a place that nobody knows is asked for');
        self::assertSame('0', $this->word('SELECT count(*) FROM item'), 'nothing is written yet');
        $this->postAndFollow($this->path().'/take-in');
        self::assertStringContainsString('4 rows of the list are in the room now.', $this->text());
        self::assertSame(
            [
                ['Buoy ink', 'ink', 'level', 4, 'not filed', null, ''],
                ['Gull stamps', 'stamp set', 'one', 1, 'C1', 1250, 'tiny gull'],
                ['Petrel card', 'paper', 'count', 24, 'C2', 40, ''],
                ['Rope ribbon', 'ribbon', 'length', 5 * 36 * 8128, 'C4', null, ''],
            ],
            array_map(array_values(...), $this->database()->fetchAllAssociative(
                "SELECT i.name, i.kind, i.tracking, b.quantity, p.address, r.cents, i.note FROM item i JOIN balance b ON b.item_id = i.id
                 JOIN place p ON p.id = b.place_id AND p.nature <> 'outside' LEFT JOIN price r ON r.item_id = i.id ORDER BY i.name",
            )),
        );
        self::assertSame([], $this->service(AuditReading::class)->report()->differences);
        $this->get('/find?q=petrel');
        self::assertStringContainsString('Petrel card', $this->text(), 'it is found');
    }

    public function testOneUndoTakesAllOfItOutAgain(): void
    {
        $this->send($this->csv(450), 'list.csv');
        $path = $this->path();
        $this->postAndFollow($path.'/take-in');
        self::assertStringContainsString('450 rows of the list are in the room now', $this->text());
        self::assertSame(450, $this->number('SELECT count(*) FROM item WHERE removed_at IS NULL'));
        $step = $this->word('SELECT id FROM write_request ORDER BY at DESC, id DESC LIMIT 1');
        $this->post('/log/undo', ['step' => $step, 'back' => $path]);
        $this->assertCode(303, $this->text());
        self::assertSame(0, $this->number('SELECT count(*) FROM item WHERE removed_at IS NULL'));
        self::assertSame(0, $this->number("SELECT count(*) FROM balance b JOIN place p ON p.id = b.place_id WHERE p.nature <> 'outside'"));
        self::assertSame(0, $this->number('SELECT count(*) FROM price'));
        self::assertSame([], $this->service(AuditReading::class)->report()->differences);
        $this->browser->followRedirect();
        self::assertStringContainsString('Undone: 450 things are out of the room and out of the catalogue again.', $this->text());
        $this->get($path);
        self::assertStringContainsString('450 things are ready', $this->text(), 'and it can be taken in once more');
    }

    public function testALongUndoLetsOthersWriteInBetweenAndGoesOnWhereItWasInterrupted(): void
    {
        [$petrel] = $this->putInto('C2', 'Petrel card;;10');
        $this->send($this->csv(450)."Petrel card,,5,C2,\n", 'list.csv');
        $path = $this->path();
        $this->postAndFollow($path.'/take-in');
        $run = $this->word('SELECT id FROM write_request ORDER BY at DESC, id DESC LIMIT 1');
        $undo = $this->service(UndoInParts::class);
        $shares = [];
        try {
            $undo((string) Uuid::v7(), $this->account('olive'), $run, $path, function (float $share) use (&$shares): void {
                $shares[] = $share;
                $other = new \PDO('sqlite:'.$this->data.'/room.sqlite', options: [\PDO::ATTR_ERRMODE => \PDO::ERRMODE_EXCEPTION]);
                $other->exec('PRAGMA busy_timeout = 0');
                $other->exec('BEGIN IMMEDIATE');
                $other->exec('ROLLBACK');
                if ($share > 0.4) {
                    throw new \RuntimeException('The power went.');
                }
            });
            self::fail('It went on.');
        } catch (\RuntimeException $gone) {
            self::assertSame('The power went.', $gone->getMessage());
        }
        self::assertGreaterThan(1, \count($shares));
        $left = $this->number('SELECT count(*) FROM item WHERE removed_at IS NULL');
        self::assertGreaterThan(1, $left);
        self::assertLessThan(451, $left);
        self::assertSame([], $this->service(AuditReading::class)->report()->differences, 'in the middle, too');
        $this->get($path);
        self::assertStringContainsString('Its undo was interrupted in the middle', $this->text());
        self::assertStringNotContainsString('ready to', $this->text());
        $this->post($path.'/take-in');
        $this->assertCode(409, 'until then nothing of it is taken in anew');
        $this->get($path.'?done='.$run);
        self::assertCount(1, $this->browser->getCrawler()->filter('.said form[data-progress]'), 'it is offered where it was done, too');
        $this->postAndFollow('/log/undo', ['step' => $run, 'back' => $path]);
        self::assertStringContainsString(
            'Undone: 450 things are out of the room and out of the catalogue again; what it added to 1 thing is taken out again.',
            $this->text(),
        );
        self::assertSame(1, $this->number('SELECT count(*) FROM item WHERE removed_at IS NULL'));
        self::assertSame(['C2' => 10, 'bought' => -10], $this->balances($petrel));
        self::assertSame([], $this->service(AuditReading::class)->report()->differences);
        $this->post('/log/undo', ['step' => $run, 'back' => $path]);
        $this->assertCode(409, 'once');
        $this->get($path);
        self::assertStringContainsString('451 things are ready', $this->text());
    }

    public function testALongUndoIsRefusedBeforeAnythingIsTakenOut(): void
    {
        $this->send($this->csv(450), 'list.csv');
        $path = $this->path();
        $this->postAndFollow($path.'/take-in');
        $run = $this->word('SELECT id FROM write_request ORDER BY at DESC, id DESC LIMIT 1');
        $first = $this->item($this->number('SELECT min(id) FROM item'));
        $form = $this->get("/items/{$first->id}/edit")->selectButton('Write it down')->form(['name' => 'Tern card, the first']);
        $this->browser->submit($form);
        $this->assertCode(303);
        $this->post('/log/undo', ['step' => $run, 'back' => $path]);
        $this->assertCode(409);
        self::assertStringContainsString('was changed since', $this->text());
        self::assertSame(450, $this->number('SELECT count(*) FROM item WHERE removed_at IS NULL'));
        $this->get($path);
        self::assertStringContainsString('All of it is in the room', $this->text());
    }

    public function testWhatWasInterruptedGoesOnWhereItWas(): void
    {
        $this->send($this->csv(450), 'list.csv');
        $path = $this->path();
        $run = (string) Uuid::v7();
        $list = $this->list($path);
        try {
            ($this->service(TakeInList::class))($list, $run, $this->account('olive'), $path, static function (float $share): void {
                if ($share > 0.5) {
                    throw new \RuntimeException('The power went.');
                }
            });
            self::fail('It went on.');
        } catch (\RuntimeException $gone) {
            self::assertSame('The power went.', $gone->getMessage());
        }
        self::assertSame(400, $this->number('SELECT count(*) FROM item'));
        $this->get($path);
        self::assertStringContainsString('It was interrupted in the middle', $this->text());
        self::assertStringContainsString('50 things are ready, 400 rows are in already', $this->text());
        $this->post($path.'/take-in', [], $run);
        $this->assertCode(303);
        self::assertSame(450, $this->number('SELECT count(*) FROM item'));
        $this->post($path.'/take-in', [], $run);
        self::assertSame(450, $this->number('SELECT count(*) FROM item'), 'sent once more, nothing comes twice');
        $this->get($path);
        self::assertStringContainsString('All of it is in the room', $this->text());
        $this->post('/log/undo', ['step' => $run, 'back' => $path]);
        self::assertSame(0, $this->number('SELECT count(*) FROM item WHERE removed_at IS NULL'), 'both halves are one step');
    }

    public function testWhileAListIsBeingTakenInNobodyTakesItInOnceMoreOrChangesIt(): void
    {
        $this->send($this->csv(450), 'list.csv');
        $path = $this->path();
        $run = (string) Uuid::v7();
        $refused = [];
        $match = ['columns' => ['name', '', 'quantity', 'place', 'price'], 'heading_row' => '1', 'doubles' => 'second', '_form' => 'match'];
        $meanwhile = function (float $share) use ($path, $match, &$refused): void {
            if ($share < 0.5) {
                foreach (['/take-in' => [], '' => $match, '/mend' => ['cell_3' => 'Other']] as $page => $fields) {
                    $this->post($path.$page, $fields);
                    $refused[$page] = [$this->code(), str_contains($this->text(), 'goes on in another window')];
                }
            }
        };
        ($this->service(TakeInList::class))($this->list($path), $run, $this->account('olive'), $path, $meanwhile);
        self::assertSame(['/take-in' => [409, true], '' => [409, true], '/mend' => [409, true]], $refused);
        self::assertSame(450, $this->number('SELECT count(*) FROM item'));
        $this->post($path, $match);
        $this->assertCode(303, 'afterwards it may be looked at otherwise');
    }

    public function testWhatGoesOutOfUseInTheMeantimeIsNoHome(): void
    {
        $this->send("Name,Where\nTern card,C4\nGull card,C2\n", 'list.csv');
        $list = $this->list($this->path());
        $this->get($this->path());
        self::assertStringNotContainsString('not filed', $this->browser->getCrawler()->filter('.list-sums')->text());
        $takeIn = $this->service(TakeInList::class);
        $this->database()->executeStatement("UPDATE place SET retired_at = '2027-01-01 00:00:00' WHERE address = 'C4'");
        $takeIn($list, (string) Uuid::v7(), $this->account('olive'), '/', static function (): void {});
        self::assertSame(['Gull card C2', 'Tern card not filed'], $this->database()->fetchFirstColumn(
            "SELECT i.name || ' ' || p.address FROM item i JOIN balance b ON b.item_id = i.id AND b.quantity > 0 JOIN place p ON p.id = b.place_id ORDER BY 1",
        ));
    }

    public function testMistakesAreListedByRowAndMended(): void
    {
        $page = $this->send("Name;Qty;Size\nTern card;3;12 x 12\n;2;\nGull card;a few;\nBuoy card;4;2026-01-04\n", 'list.csv');
        self::assertStringContainsString('1 thing is ready', $this->text());
        self::assertStringContainsString('3 rows need mending', $this->text());
        $rows = $page->filter('#mend .name')->each(static fn (Crawler $one): string => $one->text());
        self::assertSame(['Row 3', 'Row 4: Gull card', 'Row 5: Buoy card'], $rows);
        self::assertStringContainsString('A spreadsheet makes one out of a fraction', $this->text());
        $page = $this->postAndFollow($this->path().'/mend', ['cell_3' => 'Herring card', 'cell_4' => 'many', 'cell_5' => '1/4 x 6']);
        self::assertSame('many', $page->filter('#mend-cell_4')->attr('value'), 'what was typed is still there');
        self::assertStringContainsString('3 things are ready', $this->text());
        $this->postAndFollow($this->path().'/take-in');
        $this->postAndFollow($this->path().'/mend', ['cell_4' => '7']);
        self::assertStringContainsString('1 thing is ready, 3 rows are in already', $this->text());
        $this->postAndFollow($this->path().'/take-in');
        self::assertSame(['Buoy card 4', 'Gull card 7', 'Herring card 2', 'Tern card 3'], $this->database()->fetchFirstColumn(
            "SELECT i.name || ' ' || b.quantity FROM item i JOIN balance b ON b.item_id = i.id AND b.quantity > 0 ORDER BY i.name",
        ));
    }

    public function testTheRowOfTheHeadingsIsFoundAndCanBeSaid(): void
    {
        $page = $this->send("My stash;;\nwritten down in March;;\nWhat it is;Box;Pieces\nGull stamps;C1;1\nPetrel card;C2;24\n", 'list.csv');
        self::assertSame('3', $page->filter('#list-heading_row option[selected]')->attr('value'));
        self::assertStringContainsString('2 things are ready', $this->text());
        self::assertStringContainsString('My stash', $page->filter('.list-table .above')->text(), 'what is left out is seen');
        $match = ['columns' => ['name', 'place', 'quantity'], 'doubles' => 'add', '_form' => 'match'];
        $page = $this->postAndFollow($this->path(), $match + ['heading_row' => '0']);
        self::assertStringContainsString('4 things are ready', $this->text(), 'one of them is called “My stash”');
        self::assertSame('0', $page->filter('#list-heading_row option[selected]')->attr('value'));
        $page = $this->postAndFollow($this->path(), $match + ['heading_row' => '3']);
        self::assertSame('place', $page->filter('#column-1 option[selected]')->attr('value'), 'they say what the columns are');
        $this->post($this->path(), $match + ['heading_row' => '99']);
        $this->assertCode(422);
        $this->postAndFollow($this->path().'/take-in');
        self::assertSame(['Gull stamps', 'Petrel card'], $this->database()->fetchFirstColumn('SELECT name FROM item ORDER BY name'));
    }

    public function testWhatStandsBetweenThingsIsLeftOutUnlessAPersonSaysOtherwise(): void
    {
        $page = $this->send("Name,Kind,Qty\nSTAMPS,,\nGull stamps,stamp set,1\n-----,,\nName,Kind,Qty\nPetrel card,paper,24\nTotal,,25\n", 'list.csv');
        self::assertStringContainsString('2 things are ready', $this->text());
        self::assertStringContainsString('4 rows are left out', $this->text());
        self::assertSame(
            ['STAMPS a heading', '----- a line', 'Name · Kind · Qty the headings once more', 'Total · 25 a sum'],
            $page->filter('#between .thing')->each(static fn (Crawler $one): string => $one->text()),
        );
        self::assertStringNotContainsString('needs mending', $this->text());
        $match = ['columns' => ['name', 'kind', 'quantity'], 'heading_row' => '1', 'doubles' => 'add', '_form' => 'match'];
        $page = $this->postAndFollow($this->path(), $match + ['between' => ['2', '4', '5', '7'], 'things' => ['2']]);
        self::assertStringContainsString('3 things are ready', $this->text());
        self::assertStringContainsString('3 rows are left out', $this->text());
        self::assertCount(1, $page->filter('#between input[checked]'));
        $this->postAndFollow($this->path(), $match + ['between' => ['2', '4', '5', '7'], 'things' => []]);
        self::assertStringContainsString('4 rows are left out', $this->text(), 'and taken back');
        $this->postAndFollow($this->path().'/take-in');
        self::assertSame(['Gull stamps', 'Petrel card'], $this->database()->fetchFirstColumn('SELECT name FROM item ORDER BY name'));
        self::assertStringContainsString('All of it is in the room', $this->text());
    }

    public function testWeightsAreReadByTheirColumnAndPoundsOfNothingAreAskedFor(): void
    {
        $page = $this->send("Name,Kind,Weight\nTern card,paper,g/m2 120\nGull card,paper,80lb\nBuoy card,paper,80 lb text\n", 'list.csv');
        self::assertStringContainsString('1 weight is in pounds that do not say of what: read as lb cover', $this->text());
        self::assertStringContainsString('80 lb cover, 216 g/m²', $page->filter('#ready')->text());
        $match = ['columns' => ['name', 'kind', 'weight'], 'heading_row' => '1', 'doubles' => 'add', '_form' => 'match'];
        $page = $this->postAndFollow($this->path(), $match + ['pounds' => 'index']);
        self::assertStringContainsString('80 lb index, 145 g/m²', $page->filter('#ready')->text());
        $this->postAndFollow($this->path().'/take-in');
        self::assertSame(['Buoy card text', 'Gull card index', 'Tern card '], $this->database()->fetchFirstColumn(
            "SELECT name || ' ' || coalesce(basis, '') FROM item ORDER BY name",
        ));
    }

    public function testMistakesThatAreAlikeAreMendedByOneField(): void
    {
        $page = $this->send("Name;Qty\nTern card;a few\nGull card;A few \nBuoy card;lots\nPetrel card;3\n;1\n;2\n", 'list.csv');
        self::assertStringContainsString('5 rows need mending', $this->text());
        $names = $page->filter('#mend .name')->each(static fn (Crawler $one): string => $one->text());
        self::assertSame(['2 rows: 2, 3', 'Row 4: Buoy card', 'Row 6', 'Row 7'], $names, 'a missing name is its row’s own');
        self::assertSame('a few', $page->filter('#mend-cell_2')->attr('value'));
        $this->postAndFollow($this->path().'/mend', ['cell_2' => '5', 'cell_4' => '40', 'cell_6' => 'Kelp card', 'cell_7' => 'Rope card']);
        $this->postAndFollow($this->path().'/take-in');
        self::assertSame(['Buoy card 40', 'Gull card 5', 'Kelp card 1', 'Petrel card 3', 'Rope card 2', 'Tern card 5'], $this->database()->fetchFirstColumn(
            "SELECT i.name || ' ' || b.quantity FROM item i JOIN balance b ON b.item_id = i.id AND b.quantity > 0 ORDER BY i.name",
        ));
    }

    public function testWhatWillBeWrittenIsShownBeforeItIs(): void
    {
        $this->putInto('C2', 'Petrel card;;10');
        $rows = implode('', array_map(static fn (int $n): string => "Tern card {$n},,2,C4,,,\n", range(1, 30)));
        $csv = implode("\n", [
            'Name,Maker,Qty,Where,Size,Price,Themes',
            'Petrel card,,5,C2,,,',
            'Gull stamps,Two Bollards,,C1,,12.50,"sea, birds"',
            'Skerry card,,0,,8 1/2 x 11,,',
            '',
        ]);
        $page = $this->send($csv.$rows, 'list.csv');
        $cell = static fn (Crawler $one): string => $one->text();
        $shown = static fn (Crawler $page): array => $page->filter('#ready tbody tr')->each(
            static fn (Crawler $row): string => implode('|', $row->filter('td')->each($cell)),
        );
        self::assertCount(25, $shown($page));
        self::assertSame('2|Petrel card|paper||5 more|where it lives||||', $shown($page)[0]);
        self::assertSame('3|Gull stamps|stamp set|Two Bollards|1|C1|||12.50|sea, birds', $shown($page)[1]);
        self::assertSame('4|Skerry card|paper||none now|not filed|8½ × 11|||', $shown($page)[2]);
        self::assertStringContainsString('Rows 1 to 25 of 33', $this->text());
        $page = $this->get($this->path().'?from=25');
        self::assertCount(8, $shown($page));
        self::assertSame('34|Tern card 30|paper||2|C4||||', $shown($page)[7]);
        $this->get($this->path().'?from=999999');
        $this->assertCode(200);
        self::assertSame('1', $this->word('SELECT count(*) FROM item'), 'nothing is written yet');
    }

    public function testAListThatAnEarlierVersionHasKeptIsStillRead(): void
    {
        $this->send("Name,Qty\nTern card,3\n", 'list.csv');
        $file = $this->data.'/lists/'.basename($this->path()).'/list.json';
        $said = json_decode((string) file_get_contents($file), true);
        \assert(\is_array($said));
        unset($said['width'], $said['begins'], $said['heading_row'], $said['pounds'], $said['things']);
        file_put_contents($file, json_encode(['headings' => ['Name', 'Qty'], 'has_headings' => true] + $said));
        $this->get($this->path());
        $this->assertCode(200);
        self::assertStringContainsString('1 thing is ready', $this->text());
    }

    public function testWhatTheRoomHasAlreadyIsFound(): void
    {
        $this->putInto('C2', 'Petrel card; Marrowlight Paper; 10');
        $this->putInto('C1', 'Gull stamps; Two Bollards');
        $rows = "Name,Maker,Qty\nPETREL  CARD,Marrowlight paper,5\nGull stamps,Two Bollards,1\nTern card,Oddling,2\nTern card,Oddling,3\n";
        foreach (['add' => [15, 1, 1, 5], 'out' => [10, 1, 1, 2], 'second' => [10, 2, 2, 2]] as $way => [$petrel, $petrels, $gulls, $terns]) {
            $this->send($rows, 'list.csv');
            self::assertStringContainsString('3 rows are about what the room or the list has already', $this->text());
            $columns = ['columns' => ['name', 'maker', 'quantity'], 'heading_row' => '1', 'doubles' => $way, '_form' => 'match'];
            $this->postAndFollow($this->path(), $columns);
            $ready = ['add' => '3 things are ready', 'out' => '1 thing is ready', 'second' => '4 things are ready'][$way];
            self::assertStringContainsString($ready, $this->text(), 'what adds nothing is not promised');
            self::assertSame('add' === $way, str_contains($this->text(), '1 of them adds nothing'));
            $this->postAndFollow($this->path().'/take-in');
            $there = fn (string $what, string $name): int => $this->number("SELECT {$what} FROM balance b
                JOIN item i ON i.id = b.item_id AND i.removed_at IS NULL JOIN place p ON p.id = b.place_id AND p.nature <> 'outside'
                WHERE i.name LIKE '{$name}' AND b.quantity > 0");
            self::assertSame(
                [$petrel, $petrels, $gulls, $terns],
                [$there('min(CASE WHEN i.maker = \'Marrowlight Paper\' THEN b.quantity END)', 'petrel%'), $there('count(*)', 'petrel%'),
                    $there('count(*)', 'gull%'), $there('min(b.quantity)', 'tern%')],
                $way,
            );
            $this->post('/log/undo', ['step' => $this->word('SELECT id FROM write_request ORDER BY at DESC, id DESC LIMIT 1'), 'back' => '/plan']);
            $this->assertCode(303);
        }
    }

    public function testAPlaceIsKnownByItsAddressItsNameOrAsAPersonSays(): void
    {
        $this->database()->executeStatement("UPDATE place SET name = 'ink drawer' WHERE address = 'C3'");
        $this->send("Name,Where\nOne,c1\nTwo,Ink drawer\nThree,C2 (front)\nFour,attic\nFive,attic\nSix,cellar\nSeven,\n", 'list.csv');
        self::assertStringContainsString('4 things will lie with what is not filed', $this->text());
        $match = ['columns' => ['name', 'place'], 'heading_row' => '1', 'doubles' => 'add', '_form' => 'match'];
        $this->post($this->path(), $match + ['names' => ['attic', 'cellar'], 'addresses' => ['Z9', '']]);
        $this->assertCode(422);
        self::assertStringContainsString('There is no place “Z9”', $this->text());
        $this->postAndFollow($this->path(), $match + ['names' => ['attic', 'cellar'], 'addresses' => ['C5', '-']]);
        self::assertStringContainsString('2 things will lie with what is not filed', $this->text());
        $this->postAndFollow($this->path().'/take-in');
        self::assertSame(
            ['One C1', 'Two C3', 'Three C2', 'Four C5', 'Five C5', 'Six ', 'Seven '],
            $this->database()->fetchFirstColumn(
                "SELECT i.name || ' ' || coalesce(p.address, '') FROM item i LEFT JOIN place p ON p.id = i.home_id ORDER BY i.id",
            ),
        );
    }

    public function testColumnsAreMatchedByHandWhereTheirHeadingsSayNothing(): void
    {
        $this->send("Tern stamps\t3\tC1\nGull stamps\t1\tC2\n", 'list.tsv');
        self::assertStringContainsString('2 things are ready', $this->text(), 'a list without headings has names in its first column');
        $this->post($this->path(), ['columns' => ['', 'quantity', 'place'], 'heading_row' => '0', 'doubles' => 'add', '_form' => 'match']);
        $this->assertCode(422);
        self::assertStringContainsString('Say which column has the names', $this->text());
        $this->post($this->path(), ['columns' => ['name', 'place', 'place'], 'heading_row' => '0', 'doubles' => 'add', '_form' => 'match']);
        $this->assertCode(422);
        self::assertStringContainsString('Two columns say where it lives', $this->text());
        $match = ['columns' => ['name', '', 'place'], 'heading_row' => '0', 'doubles' => 'add', 'kind' => 'die', '_form' => 'match'];
        $this->postAndFollow($this->path(), $match);
        self::assertStringContainsString('stamp set 2', $this->text(), 'a name tells more than what is said of the whole list');
    }

    public function testFormulasAreNotWorkedOutButWhatTheyLastCameToIsRead(): void
    {
        $this->send(SheetFile::xlsx([['Name', 'Qty'], ['Tern card', ['=6*4', '24']], ['=cmd()', '2'], ['Gull card', ['=NOW()', 'soon']]]), 'list.xlsx');
        self::assertStringContainsString('2 cells are formulas', $this->text());
        self::assertStringContainsString('1 row needs mending', $this->text());
        $this->postAndFollow($this->path().'/take-in');
        self::assertSame(['Tern card 24', '=cmd() 2'], $this->database()->fetchFirstColumn(
            "SELECT i.name || ' ' || b.quantity FROM item i JOIN balance b ON b.item_id = i.id AND b.quantity > 0 ORDER BY i.id",
        ), 'text that begins like one is text');
    }

    /** @return iterable<string, array{callable(): string, string, string}> */
    public static function bad(): iterable
    {
        yield 'nothing' => [static fn (): string => '', 'list.csv', 'nothing in this list'];
        yield '300 columns' => [static fn (): string => implode(',', range(1, 300))."\n", 'list.csv', '300 columns; 100 are the most'];
        yield '300 columns of a spreadsheet' => [static fn (): string => SheetFile::xlsx([array_map(strval(...), range(1, 300))]), 'list.xlsx', '300 columns'];
        yield 'too many rows' => [static fn (): string => str_repeat("Tern\n", 20_002), 'list.csv', 'more than 20,000 rows'];
        yield 'a picture' => [static fn (): string => "\x89PNG\r\n\x1A\n\0\0\0\rIHDR", 'list.csv', 'neither CSV'];
        yield 'an archive of something else' => [static fn (): string => SheetFile::zip(['letter.txt' => 'Dear Ben']), 'list.xlsx', 'neither CSV'];
        yield 'half a spreadsheet' => [static fn (): string => substr(SheetFile::xlsx(self::LIST), 0, 700), 'list.xlsx', 'damaged'];
        yield 'a spreadsheet without its sheet' => [static fn (): string => SheetFile::zip(['xl/workbook.xml' => '<workbook/>']), 'list.xlsx', 'damaged'];
        $long = str_repeat('tern ', 900);
        yield 'a quotation mark that is missing at its end' => [
            static fn (): string => "Name,Note\nTern,\"small\nGull,white\n".str_repeat("Petrel,grey\n", 400),
            'list.csv',
            'The cell in row 2, column 2 has more than 4,000 characters',
        ];
        yield 'a long cell of a spreadsheet' => [
            static fn (): string => SheetFile::xlsx([['Name'], [$long]]),
            'list.xlsx',
            'row 2, column 1 has more than 4,000',
        ];
        yield 'a long row' => [
            static fn (): string => implode(',', array_fill(0, 30, 'tern'))."\n".implode(',', array_fill(0, 30, str_repeat('x', 700))),
            'list.csv',
            'Row 2 has more than 20,000 characters',
        ];
        yield 'one that swells up' => [static fn (): string => SheetFile::swelling(410), 'list.xlsx', 'far too large'];
    }

    /** @param callable(): string $content */
    #[DataProvider('bad')]
    public function testWhatCannotBeReadIsToldAndNothingIsKept(callable $content, string $name, string $message): void
    {
        $this->upload($content(), $name);
        $this->assertCode(422);
        self::assertStringContainsString($message, $this->text());
        self::assertSame([], glob($this->data.'/lists/*') ?: []);
        self::assertSame('0', $this->word('SELECT count(*) FROM item'));
    }

    public function testAFileOf200MegabytesIsTold(): void
    {
        $file = $this->data.'/large.csv';
        $handle = fopen($file, 'w');
        \assert(false !== $handle);
        ftruncate($handle, 200_000_000);
        $large = new class($file, 'large.csv', test: true) extends UploadedFile {
            /** BrowserKit would take it for one that PHP itself has cut off. */
            public function getSize(): int
            {
                return 200_000_000;
            }
        };
        try {
            $this->service(ImportedLists::class)->add($large, $this->account('olive'));
            self::fail('It was read.');
        } catch (\App\Room\ListImport\InvalidSheet $invalid) {
            self::assertStringContainsString('larger than 50 MB', $invalid->getMessage());
        }
    }

    public function testAListIsItsOwnersAlone(): void
    {
        $this->send("Name\nTern\n", 'list.csv');
        $path = $this->path();
        $this->signIn('hank');
        $this->get($path);
        $this->assertCode(403);
        $this->signIn('olive');
        $this->get('/stores/list/'.Uuid::v7());
        $this->assertCode(404);
        $this->get('/stores/list/..-..');
        $this->assertCode(404);
        $this->get('/stores/list');
        self::assertStringContainsString('list.csv', $this->text());
        $this->postAndFollow($path.'/put-away');
        self::assertStringNotContainsString('Not done with yet', $this->text());
    }

    private function send(string $content, string $name): Crawler
    {
        $this->upload($content, $name);
        $this->assertCode(303, $this->text());

        return $this->browser->followRedirect();
    }

    private function upload(string $content, string $name): void
    {
        $file = $this->data.'/'.$name;
        file_put_contents($file, $content);
        $fields = ['_request' => (string) Uuid::v7(), '_form' => 'list'];
        $this->browser->request('POST', '/stores/list', $fields, ['file' => new UploadedFile($file, $name, test: true)]);
    }

    private function path(): string
    {
        $request = $this->browser->getRequest();

        return (string) preg_replace('~(/stores/list/[0-9a-f-]+).*~', '$1', $request->getPathInfo());
    }

    private function list(string $path): ImportedList
    {
        return $this->service(ImportedLists::class)->one(basename($path), $this->account('olive'));
    }

    private function csv(int $rows): string
    {
        return "Name,Maker,Qty,Where,Price\n".implode('', array_map(static fn (int $n): string => "Tern card {$n},Oddling,{$n},C2,1.50\n", range(1, $rows)));
    }

    public function testAListIsItsOwners(): void
    {
        $this->send($this->csv(2), 'mine.csv');
        $path = $this->path();
        $this->service(OpenRoom::class)->welcome(new Newcomer('ona', 'Ona', 'onas-password'), Role::Owner);
        $this->entities()->flush();
        $this->signIn('ona');
        $this->get($path);
        $this->assertCode(404);
        foreach (['/mend', '/take-in', '/put-away', ''] as $tail) {
            $this->post($path.$tail);
            $this->assertCode(404, $tail);
        }
        self::assertStringNotContainsString('mine.csv', $this->get('/stores/list')->text());
        $this->signIn('olive');
        self::assertStringContainsString('mine.csv', $this->get('/stores/list')->text());
    }
}
