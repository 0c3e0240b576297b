<?php

declare(strict_types=1);

namespace App\Tests\Platform\Database;

use App\Platform\Database\Row;
use App\Tests\In;
use App\Tests\OwnFileTestCase;
use Doctrine\ORM\Tools\SchemaValidator;
use PHPUnit\Framework\Attributes\DataProvider;

/** A room of each earlier version comes along with its log, its photos and its audit. */
final class MigrationTest extends OwnFileTestCase
{
    public function testTheSchemaIsInSync(): void
    {
        self::assertSame([], (new SchemaValidator($this->entities()))->validateMapping());
        $update = (new SchemaValidator($this->entities()))->getUpdateSchemaList();
        self::assertSame(
            ['DROP TABLE doctrine_migration_versions'],
            $update,
            'nothing to create, change or drop; the migrations’ own table is filtered by the command',
        );
    }

    /** @return iterable<string, array{int}> */
    public static function versions(): iterable
    {
        yield 'the first' => [1];
        yield 'the second' => [2];
        yield 'the third' => [3];
        yield 'the fourth' => [4];
        yield 'the fifth' => [5];
        yield 'the sixth' => [6];
        yield 'the seventh' => [7];
        yield 'the eighth' => [8];
        yield 'the ninth' => [9];
        yield 'the tenth' => [10];
        yield 'the eleventh' => [11];
        yield 'the twelfth' => [12];
        yield 'the thirteenth' => [13];
        yield 'the fourteenth' => [14];
        yield 'the fifteenth' => [15];
        yield 'the sixteenth' => [16];
        yield 'the seventeenth' => [17];
    }

    #[DataProvider('versions')]
    public function testAnOldRoomComesAlong(int $version): void
    {
        $this->moveInto($version);
        $lines = 'SELECT id, item_id, from_id, to_id, kit_id, account_id, reverses_id, quantity, at, reason, note, request_id FROM movement ORDER BY id';
        $log = $this->rows($lines);
        $balances = $this->rows('SELECT * FROM balance ORDER BY item_id, place_id');
        $items = $this->rows('SELECT id, name, home_id FROM item ORDER BY id');

        $this->console('doctrine:migrations:migrate');
        $again = $this->console('doctrine:migrations:migrate', '--allow-no-migration');
        self::assertStringContainsString('Already at the latest version', $again);
        self::assertSame([], In::of(json_decode($this->console('lottel:audit'), true), 'differences'));
        $this->console('doctrine:schema:validate');
        self::assertSame($log, $this->rows($lines));
        self::assertSame($balances, $this->rows('SELECT * FROM balance ORDER BY item_id, place_id'));
        self::assertSame($items, $this->rows('SELECT id, name, home_id FROM item ORDER BY id'));
        self::assertSame('1', Row::word($this->rows("SELECT count(*) AS n FROM place WHERE address = 'counted'")[0]['n']));
        self::assertSame([], $this->rows('SELECT id FROM item WHERE since IS NULL AND id IN (SELECT item_id FROM movement)'));
        self::assertNotNull($this->rows("SELECT used_at FROM item WHERE name = 'Tern and tide'")[0]['used_at']);
        $twelve = 12 * 8128;
        self::assertSame(
            [['sheet_width' => $twelve, 'sheet_height' => $twelve]],
            $this->rows("SELECT sheet_width, sheet_height FROM item WHERE name = 'Buoy card 12 x 12'"),
            'its name says how large it is',
        );
    }

    public function testWhatWasWrittenAboutPaperIsReadOrKept(): void
    {
        $this->moveInto(5);
        $this->console('doctrine:migrations:migrate');
        $card = $this->rows("SELECT grammage, basis, direction, finish, note, details, sheet_width FROM item WHERE name = 'Petrel card'")[0];
        self::assertEqualsWithDelta(216_329, (int) Row::word($card['grammage']), 10);
        self::assertSame(
            ['cover', null, 'felt', 'Pattern or grain runs: up the page', '{}', null],
            [$card['basis'], $card['direction'], $card['finish'], $card['note'], $card['details'], $card['sheet_width']],
            'what cannot be read is kept in the note, and what nobody has said is not guessed',
        );
    }

    public function testAWallAndAColourOfAnOldRoomGetOneSpelling(): void
    {
        $this->moveInto(14);
        $room = new \PDO('sqlite:'.$this->data.'/room.sqlite', null, null, [\PDO::ATTR_ERRMODE => \PDO::ERRMODE_EXCEPTION]);
        $room->exec("UPDATE item SET colour_name = 'Petrel blue' WHERE name = 'Petrel card';
            UPDATE item SET colour_name = 'petrel blue' WHERE name = 'Petrel ink';
            UPDATE item SET colour_name = 'petrel' WHERE name = 'Rope grosgrain'");
        $prices = $this->rows('SELECT id, item_id, cents FROM price ORDER BY id');
        $this->console('doctrine:migrations:migrate');
        self::assertSame(
            ['Petrel blue', 'Petrel blue', 'petrel'],
            array_column($this->rows("SELECT colour_name FROM item WHERE name IN ('Petrel card', 'Petrel ink', 'Rope grosgrain') ORDER BY id"), 'colour_name'),
        );
        self::assertSame($prices, $this->rows('SELECT id, item_id, cents FROM price WHERE is_spent ORDER BY id'), 'what was bought so far was spent');
    }

    public function testWhatALineStandsForAndTheNumberOfATrayAreReadFromTheirWords(): void
    {
        $this->moveInto(16);
        $room = new \PDO('sqlite:'.$this->data.'/room.sqlite', null, null, [\PDO::ATTR_ERRMODE => \PDO::ERRMODE_EXCEPTION]);
        $lines = [['count', 'counted: used without a word'], ['count', 'counted: counted wrongly before'], ['move', 'was found here'], ['move', '']];
        foreach ($lines as $line) {
            $room->prepare("INSERT INTO movement (item_id, from_id, to_id, account_id, quantity, at, reason, note, request_id)
                SELECT b.item_id, b.place_id, CASE ? WHEN 'count' THEN (SELECT id FROM place WHERE address = 'counted')
                    ELSE (SELECT max(id) FROM place WHERE nature = 'storage' AND retired_at IS NULL AND id <> b.place_id) END,
                    1, 1, '2026-11-30 10:00:00', ?, ?, '-'
                FROM balance b JOIN place p ON p.id = b.place_id AND p.nature = 'storage' JOIN item i ON i.id = b.item_id AND i.tracking = 'count' LIMIT 1")
                ->execute([$line[0], ...$line]);
        }
        $room->exec("INSERT INTO place (nature, kind, address, name, also_kinds) VALUES ('tray', 'basket', 'give-away box', 'give-away box', '[]'),
            ('tray', 'tray', 'tray 12', 'tray 12', '[]'), ('tray', 'person', 'lent to 4 winds', 'lent to 4 winds', '[]')");
        $this->console('doctrine:migrations:migrate');
        self::assertSame(['used', null, 'found here', null], array_column($this->rows("SELECT why FROM movement WHERE request_id = '-' ORDER BY id"), 'why'));
        self::assertSame(
            ['basket 1' => 1, 'basket 2' => 2, 'box 1' => 1, 'folder 1' => 1, 'give-away box' => null, 'lent to 4 winds' => null, 'tray 12' => 12],
            array_column($this->rows("SELECT address, number FROM place WHERE nature = 'tray' AND (kind <> 'tray' OR address = 'tray 12')
                AND address <> 'lent to Maren Tull' ORDER BY address"), 'number', 'address'),
        );
        $this->expectExceptionMessage('law 2: a movement is never changed');
        (new \PDO('sqlite:'.$this->data.'/room.sqlite'))->exec("UPDATE movement SET why = NULL WHERE why = 'used'");
    }

    public function testWhatWasWrittenAboutDiesIsReadOrKept(): void
    {
        $this->moveInto(11);
        $room = new \PDO('sqlite:'.$this->data.'/room.sqlite');
        foreach (['3 × 4, 2 × 3' => 'nested', 'three sizes' => ''] as $sizes => $shape) {
            $details = json_encode(array_filter(['cut sizes' => $sizes, 'shape' => $shape]), \JSON_THROW_ON_ERROR);
            $room->prepare("INSERT INTO item (name, kind, tracking, themes, hazards, note, details) VALUES (?, 'die', 'one', '[]', '[]', 'From Olive', ?)")
                ->execute(['Die '.$shape, $details]);
        }
        $this->console('doctrine:migrations:migrate');
        $inch = 8128;
        self::assertSame(
            [
                ['name' => 'Die ', 'cut_sizes' => null, 'note' => "From Olive\nCuts these sizes: three sizes", 'details' => '{}'],
                ['name' => 'Die nested', 'cut_sizes' => json_encode([[3 * $inch, 4 * $inch], [2 * $inch, 3 * $inch]]), 'note' => 'From Olive',
                    'details' => '{"shape":"nested"}'],
            ],
            $this->rows("SELECT name, cut_sizes, note, details FROM item WHERE kind = 'die' ORDER BY name"),
        );
    }

    #[DataProvider('versions')]
    public function testInAnOldRoomOneWorksOn(int $version): void
    {
        $this->moveInto($version);
        $this->console('doctrine:migrations:migrate');
        $this->openRoom();
        $this->signIn('olive');
        foreach (['/plan', '/stores', '/stores/places/C2', '/log', '/upkeep', '/find?q=terns', '/find?q=12x12', '/stores/queue', '/stores/labels'] as $path) {
            $this->get($path);
            $this->assertCode(200, $path);
        }
        $this->get('/find?q=12x12');
        self::assertStringContainsString('Buoy card 12 x 12', $this->text(), 'sizes are found however they are written');
        $pull = $this->number(
            "SELECT max(m.id) FROM movement m JOIN item i ON i.id = m.item_id WHERE i.name = 'Tern and tide' AND m.reason = 'pull'",
        );
        $this->postAndFollow("/log/{$pull}/reverse");
        self::assertStringContainsString('Tern and tide is back in C1 and open on the list again', $this->text());
        self::assertSame('open', $this->database()->fetchOne("SELECT n.state FROM need n JOIN item i ON i.id = n.item_id WHERE i.name = 'Tern and tide'"));
        $made = $this->number("SELECT max(id) FROM movement WHERE reason = 'make'");
        $this->postAndFollow("/log/{$made}/reverse");
        self::assertStringContainsString('not in the room any more', $this->text());
        if ($version >= 3) {
            $step = $this->word(
                "SELECT m.request_id FROM movement m JOIN item i ON i.id = m.item_id WHERE i.name = 'Lantern room' AND m.reason = 'pull' ORDER BY m.id DESC",
            );
            $this->postAndFollow('/log/undo', ['step' => $step, 'back' => '/plan']);
            self::assertStringContainsString(
                'Lantern room is open on the list again and back in C4',
                $this->text(),
                'what was done before can still be undone',
            );
            $this->get('/items/5');
            self::assertMatchesRegularExpression('/Petrel ink in C3 2\b/', $this->text(), 'two bottles since it is counted by the piece');
        }
        if ($version >= 5) {
            self::assertCount(1, $this->get('/stores/places/C4')->filter('.seen-place a'), 'photos of places come along');
            self::assertSame(1, $this->number('SELECT count(*) FROM put_off'));
        }
        if ($version >= 7) {
            $kit = $this->number('SELECT min(kit_id) FROM sheet_in_work');
            self::assertCount(1, $this->get("/kits/{$kit}/cut")->filter('form[action$="/cut/made"]'), 'one goes on cutting');
            $cut = $this->number('SELECT movement_id FROM cut');
            $this->postAndFollow("/log/{$cut}/reverse");
            self::assertSame(0, $this->number('SELECT count(*) FROM sheet_in_work WHERE is_logged'), 'and takes a cut back');
        }
        if ($version >= 8) {
            $kit = $this->number('SELECT kit_id FROM design');
            self::assertCount(1, $this->get("/kits/{$kit}/design")->filter('.card-drawing'), 'designs come along');
            self::assertStringContainsString('3 of 4', $this->get("/kits/{$kit}/make")->filter('.making-steps')->text(), 'and how far they are');
            $this->postAndFollow('/patterns/1', ['name' => 'Again', 'quantity' => '2']);
        }
        if ($version >= 11) {
            $round = $this->number("SELECT errand_id FROM errand_task WHERE what = 'carry'");
            self::assertStringContainsString('1 thing in basket 1', $this->get("/upkeep/rounds/{$round}")->text(), 'a search round goes on');
            self::assertStringContainsString('counted', $this->get('/stores/places/C2/count')->text(), 'and what was counted is known');
        }
        if ($version >= 12) {
            $die = $this->number("SELECT id FROM item WHERE name = 'Gull dies'");
            $page = $this->get("/items/{$die}");
            self::assertStringContainsString('cuts 3 × 4, 2 × 3', $page->text(), 'what a die cuts comes along');
            self::assertStringContainsString('otherwise it lives in C4', $page->text(), 'and where it lives when the season is over');
            self::assertStringContainsString('1 thing in it', $this->get('/upkeep/move')->text(), 'and what is in a box of the move');
        }
        if ($version >= 9) {
            self::assertStringContainsString('Maren Tull', $this->get('/occasions/1')->text(), 'dates come along');
            self::assertSame('[60,60,0,60,0,180,0]', $this->word('SELECT week_minutes FROM room'), 'and the hours at the bench');
            $parked = $this->number('SELECT id FROM kit WHERE tray_id IN (SELECT place_id FROM folder)');
            self::assertStringContainsString('waits in folder 1', $this->get("/kits/{$parked}")->text(), 'and what waits in a folder');
            $given = $this->number('SELECT item_id FROM gift');
            self::assertStringContainsString('sent to Hob', $this->get("/shelf/{$given}")->text(), 'and where a card went');
        }
        if ($version >= 10) {
            self::assertStringContainsString('to Maren Tull since', $this->get('/loans')->text(), 'and what is lent');
            self::assertStringContainsString('Corner rounder', $this->get('/loans')->text(), 'and what is somebody else’s');
            $class = $this->get('/kits/'.$this->number('SELECT kit_id FROM workshop').'/class');
            self::assertSame(['4', '1'], [(string) $class->filter('.bag')->count(), (string) $class->filter('.bag.packed')->count()], 'and bags');
            self::assertTrue($this->account('hank')->isChild);
        }
        if ($version >= 2) {
            $this->get('/items/'.$this->number('SELECT id FROM item WHERE photo IS NOT NULL').'/photo');
            $this->assertCode(200);
            $this->get('/find');
            self::assertStringContainsString('sea', $this->text(), 'kept searches come along');
        }
    }

    /** @return list<array<string, mixed>> */
    private function rows(string $sql): array
    {
        $answer = (new \PDO('sqlite:'.$this->data.'/room.sqlite'))->query($sql);
        /** @var list<array<string, mixed>> $rows */
        $rows = false === $answer ? [] : $answer->fetchAll(\PDO::FETCH_ASSOC);

        return $rows;
    }
}
