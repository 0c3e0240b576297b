<?php

declare(strict_types=1);

namespace App\Tests\Platform\Exchange;

use App\Platform\Database\Row;
use App\Platform\Exchange\ImportRoom;
use App\Platform\Exchange\InvalidRoomFile;
use App\Platform\Exchange\JsonFile;
use App\Platform\Exchange\RoomFormat;
use App\Tests\In;
use App\Tests\OwnFileTestCase;
use App\Tests\PreparedRooms;
use App\Tests\SpoiltRoom;
use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Clock\Clock;
use Symfony\Component\Clock\MockClock;
use Symfony\Component\Clock\NativeClock;
use Symfony\Component\HttpFoundation\File\UploadedFile;

/** A whole room goes into one document, and comes out of it as it was. */
final class RoomFileTest extends OwnFileTestCase
{
    private const PHOTO = '00112233445566778899aabbccddeeff';

    /** @var array<string, string> documents by what was written into them */
    private static array $written = [];

    private string $other = '';

    protected function setUp(): void
    {
        parent::setUp();
        $this->other = $this->data.'-other';
        // Pages that are held against each other are of one moment.
        Clock::set(new MockClock());
    }

    protected function tearDown(): void
    {
        (new \Symfony\Component\Filesystem\Filesystem())->remove($this->other);
        Clock::set(new NativeClock());
        parent::tearDown();
    }

    public function testTheDemoRoomIsTheSameAfterwards(): void
    {
        $document = $this->demo();
        $this->data = $this->other;
        $this->console('lottel:import', $this->file($document));
        self::assertSame(self::without($document), self::without($this->console('lottel:export', '-')), 'byte for byte, but for the moment');
        self::assertFileExists($this->data.'/photos/'.self::PHOTO.'.jpg');
        self::assertSame([], In::of(json_decode($this->console('lottel:audit'), true), 'differences'));
    }

    #[DataProvider('versions')]
    public function testARoomOfEachEarlierVersionGoesThrough(int $version): void
    {
        $this->moveInto($version);
        $this->console('doctrine:migrations:migrate');
        $audit = $this->console('lottel:audit');
        $document = $this->console('lottel:export', '-');
        $pages = $this->pages();
        [$this->data, $first] = [$this->other, $this->data];
        $this->console('lottel:import', $this->file($document));
        self::assertSame(self::without($document), self::without($this->console('lottel:export', '-')));
        self::assertSame($audit, $this->console('lottel:audit'));
        self::assertSame($pages, $this->pages());
        (new \Symfony\Component\Filesystem\Filesystem())->remove($first);
    }

    /** @return iterable<string, array{int}> */
    public static function versions(): iterable
    {
        foreach (range(1, 14) as $version) {
            yield "version {$version}" => [$version];
        }
    }

    /** Held against an implementation of JSON Schema that is not ours (opis/json-schema). */
    public function testTheDocumentIsAsItsSchemaSays(): void
    {
        $schema = (string) file_get_contents(\dirname(__DIR__, 3).'/docs/room.schema.json');
        $result = (new Validator())->validate(json_decode($this->demo()), $schema);
        $error = $result->error();
        self::assertSame([], null === $error ? [] : (new ErrorFormatter())->format($error));
        $wrong = SpoiltRoom::of($this->demo())->set('places.0.nature', 'attic')->json();
        self::assertFalse((new Validator())->validate(json_decode($wrong), $schema)->isValid());
    }

    public function testTheSchemaIsThatOfTheFormat(): void
    {
        $root = \dirname(__DIR__, 3);
        $how = \JSON_THROW_ON_ERROR | \JSON_PRETTY_PRINT | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES;
        $drawn = json_encode((new RoomFormat($root))->schema(), $how);
        self::assertSame($drawn."\n", file_get_contents($root.'/docs/room.schema.json'), 'Run bin/draw.');
    }

    public function testEveryTableAndColumnIsInItOrLeftOutForAReason(): void
    {
        $there = $said = [];
        $tables = "SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%' AND name NOT LIKE 'finder%' ORDER BY name";
        foreach ($this->database()->fetchFirstColumn($tables) as $table) {
            \assert(\is_string($table));
            if (!isset(RoomFormat::LEFT_OUT[$table])) {
                $there[$table] = Row::words($this->database()->fetchFirstColumn('SELECT name FROM pragma_table_info(?)', [$table]));
                $there[$table] = array_values(array_diff($there[$table], RoomFormat::FOLLOWS[$table] ?? []));
                sort($there[$table]);
            }
        }
        foreach ((new RoomFormat(\dirname(__DIR__, 3)))->sections() as $section) {
            $said[$section->table] = array_map(static fn ($field): string => $field->column, $section->fields);
            sort($said[$section->table]);
        }
        ksort($said);
        self::assertSame($there, $said);
    }

    /** @return iterable<string, array{callable(SpoiltRoom): mixed, string, string}> what is done to it, the path, a part of what is said */
    public static function wrong(): iterable
    {
        $set = static fn (string $path, mixed $value): \Closure => static fn (SpoiltRoom $room): SpoiltRoom => $room->set($path, $value);
        $drop = static fn (string $path): \Closure => static fn (SpoiltRoom $room): SpoiltRoom => $room->drop($path);
        yield 'not a room' => [$set('format', 'shopping-list'), 'format', 'no room of Lottel'];
        yield 'newer' => [$set('version', 2), 'version', 'newer Lottel'];
        yield 'a section is missing' => [$drop('kits'), 'kits', 'missing'];
        yield 'a section too many' => [$set('cupboards', []), 'cupboards', 'not known'];
        yield 'a section that is no list' => [$set('kits', new \stdClass()), 'kits', 'must be a list'];
        yield 'a field is missing' => [$drop('items.3.name'), 'items[3].name', 'missing'];
        yield 'a field too many' => [$set('items.3.price', 5), 'items[3].price', 'not known'];
        yield 'text for a number' => [$set('items.3.width', 'wide'), 'items[3].width', 'whole number'];
        yield 'not whole' => [$set('movements.0.quantity', 1.5), 'movements[0].quantity', 'whole number'];
        yield 'too long' => [$set('items.0.name', str_repeat('x', 201)), 'items[0].name', '200 characters'];
        yield 'an unknown word' => [$set('items.0.kind', 'spoon'), 'items[0].kind', 'one of'];
        yield 'no colour' => [$set('items.0.colour', 'sea'), 'items[0].colour', 'colour'];
        yield 'no moment' => [$set('movements.0.at', '2026-02-31T10:00:00Z'), 'movements[0].at', 'moment'];
        yield 'no time zone' => [$set('rooms.0.time_zone', 'Skerrow/Quay'), 'rooms[0].time_zone', 'time zone'];
        yield 'null where something is' => [$set('items.0.name', null), 'items[0].name', 'null'];
        yield 'a home that is not there' => [$set('items.7.home', 9999), 'items[7].home', 'none of this number'];
        yield 'a unit in no room' => [$set('units.0.room', 3), 'units[0].room', 'none of this number'];
        yield 'a companion of nothing' => [$set('companions.0.other', 99999), 'companions.other', 'none of this number'];
        yield 'moves nothing that is known' => [$set('movements.9.item', 9999), 'movements[9].item', 'no thing'];
        yield 'from no place' => [$set('movements.9.from', 9999), 'movements[9].from', 'no place'];
        yield 'a gift of no movement' => [$set('gifts.0.movement', 99999), 'gifts[0].movement', 'none of this number'];
        yield 'a photo that is none' => [$set('photos.0.jpeg', base64_encode('tea')), 'photos[0].jpeg', 'damaged'];
        yield 'a photo by another way' => [$set('photos.0.name', '../../secret'), 'photos[0].name', '32 digits'];
        yield 'law 1' => [$set('movements.0.reason', 'pull'), 'movements[0]', 'Line 1 of the log breaks law 1'];
        yield 'a number twice' => [
            static fn (SpoiltRoom $room): SpoiltRoom => $room->set('places.5.id', $room->get('places.4.id')),
            'places[5].id',
            'used already',
        ];
        yield 'an address twice' => [
            static fn (SpoiltRoom $room): SpoiltRoom => $room->set('places.21.address', $room->get('places.20.address')),
            'places[21].address',
            'used already',
        ];
        yield 'a drawer with a number' => [$set('places.9.number', 4), 'places[9].number', 'called by its number'];
        yield 'a tray without its number' => [static function (SpoiltRoom $room): void {
            $room->set('places.'.$room->first('places', 'kind', 'tray').'.number', null);
        }, 'places[', 'called by its number'];
        yield 'places in a circle' => [static function (SpoiltRoom $room): void {
            $stored = \array_slice($room->where('places', 'nature', 'storage'), 0, 2, true);
            [$one, $two] = array_keys($stored);
            $room->set("places.{$one}.parent", $stored[$two]['id'])->set("places.{$two}.parent", $stored[$one]['id']);
        }, 'places[', 'circle'];
        yield 'nobody to sign in' => [static function (SpoiltRoom $room): void {
            $room->set('people.'.$room->first('people', 'role', 'owner').'.role', 'helper');
        }, 'people', 'owner'];
        yield 'no place outside' => [static function (SpoiltRoom $room): void {
            $used = [...array_column($room->rows('movements'), 'from'), ...array_column($room->rows('movements'), 'to')];
            $room->keep('places', static fn (array $place): bool => 'outside' !== $place['nature'] || \in_array($place['id'], $used, true));
        }, 'places', 'is missing'];
        yield 'law 2' => [static function (SpoiltRoom $room): void {
            $reversal = $room->first('movements', 'reason', 'reverse');
            $reversed = $room->first('movements', 'id', $room->get("movements.{$reversal}.reverses"));
            $other = 0 === $reversed ? 1 : 0;
            $room->set("movements.{$reversal}.reverses", $room->get("movements.{$other}.id"));
        }, 'movements[', 'breaks law 2'];
        yield 'law 4' => [static function (SpoiltRoom $room): void {
            $counted = array_column($room->where('items', 'tracking', 'count'), 'id');
            foreach (array_keys($room->where('movements', 'reason', 'pull')) as $pull) {
                if (\in_array($room->get("movements.{$pull}.item"), $counted, true)) {
                    $room->set("movements.{$pull}.quantity", 1_000_000);

                    return;
                }
            }
        }, 'movements[', 'breaks law 4'];
        yield 'law 5' => [
            static fn (SpoiltRoom $room): SpoiltRoom => $room->set('cuts.0.width', 1 + $room->number('cuts.0.width')),
            'cuts[0]',
            'law 5',
        ];
        yield 'law 6' => [static function (SpoiltRoom $room): void {
            $kit = $room->first('kits', 'stage', 'making');
            $room->set("kits.{$kit}.tray", null)->set("kits.{$kit}.stage", 'closed');
        }, 'places[', 'law 6'];
    }

    /** @param callable(SpoiltRoom): mixed $spoil */
    #[DataProvider('wrong')]
    public function testWhatIsWrongIsToldWithItsPathAndNothingIsChanged(callable $spoil, string $path, string $message): void
    {
        $room = SpoiltRoom::of($this->short());
        $spoil($room);
        $this->refused($room->json(), $path, $message);
    }

    /** @return iterable<string, array{string, string, string}> */
    public static function broken(): iterable
    {
        yield 'nothing' => ['', '', 'ends in the middle'];
        yield 'a list' => ['[1, 2]', '', 'must be a JSON object'];
        yield 'no JSON' => ['{"format": lottel}', '', 'not JSON'];
        yield 'a field twice' => ['{"format": "lottel-room", "format": "lottel-room"}', 'format', 'twice'];
        yield 'something behind it' => ['{"format": "lottel-room"} {}', '', 'behind the end'];
        yield 'another object' => ['{"name": "tea"}', 'format', 'missing'];
        yield 'in UTF-16' => [mb_convert_encoding('{"format": "lottel-room"}', 'UTF-16'), '', 'must be a JSON object'];
    }

    #[DataProvider('broken')]
    public function testWhatIsNoDocumentIsTold(string $document, string $path, string $message): void
    {
        $this->refused($document, $path, $message);
    }

    public function testADocumentThatIsCutOffAnywhereIsTold(): void
    {
        $document = $this->short();
        $this->seededCuts(\strlen($document), 12, function (int $at) use ($document): void {
            $this->refused(substr($document, 0, $at), null, '');
        });
    }

    public function testTheCommandSaysWhatIsWrongAndEndsWithTwo(): void
    {
        $command = $this->command('lottel:import', $this->file('{"format": "tea"}'));
        self::assertSame(2, $command->run());
        self::assertSame('format', In::of(json_decode($command->getOutput(), true), 'error', 'field'));
        $command = $this->command('lottel:import', $this->data.'/none.json');
        self::assertSame(2, $command->run());
        self::assertStringContainsString('cannot be read', $command->getOutput());
    }

    public function testARoomInWhichThingsHaveMovedIsNotReadOver(): void
    {
        $document = $this->demo();
        $this->data = $this->other;
        $this->console('lottel:import', $this->file($document));
        $command = $this->command('lottel:import', $this->file($document));
        self::assertSame(3, $command->run());
        self::assertStringContainsString('already', $command->getOutput());
    }

    public function testAnEntryIsReadTheSameHoweverTheDocumentIsWritten(): void
    {
        $rows = [['a' => 1, 'b' => 'x "y" {z} \\ ü'], ['a' => [], 'b' => new \stdClass()], ['a' => ['c' => [1, [2]]], 'b' => null], ['a' => 1.5, 'b' => true]];
        foreach ([0, \JSON_PRETTY_PRINT, \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES] as $how) {
            $handle = fopen('php://memory', 'w+');
            \assert(false !== $handle);
            fwrite($handle, ' '.json_encode(['first' => 7, 'rows' => $rows, 'none' => [], 'last' => ['x' => 1]], \JSON_THROW_ON_ERROR | $how)." \n");
            $json = new JsonFile($handle);
            $members = $json->members();
            self::assertSame(['first', 'rows', 'none', 'last'], array_keys($members));
            self::assertSame(7, $json->value($members['first']));
            $asLists = json_decode(json_encode($rows, \JSON_THROW_ON_ERROR), true);
            self::assertSame($asLists, array_map(
                static fn (mixed $entry): mixed => json_decode(json_encode($entry, \JSON_THROW_ON_ERROR), true),
                iterator_to_array($json->entries($members['rows'], 'rows')),
            ));
            self::assertSame([], iterator_to_array($json->entries($members['none'], 'none')));
            self::assertEquals((object) ['x' => 1], $json->value($members['last']));
        }
    }

    public function testKilledInTheMiddleNothingHasChangedAndItCanBeReadAgain(): void
    {
        $file = $this->file($this->demo());
        $this->data = $this->other;
        $this->empty();
        $killed = 0;
        foreach ([0.4, 0.7, 1.0, 1.3, 1.6] as $seconds) {
            $command = $this->command('lottel:import', $file);
            $command->start();
            usleep((int) (1_000_000 * $seconds));
            if (!$command->isRunning()) {
                continue;
            }
            $command->signal(\SIGKILL);
            $command->wait();
            ++$killed;
            if ('0' !== $this->ask('SELECT count(*) FROM movement')) {
                break;
            }
            self::assertSame('0', $this->ask('SELECT count(*) FROM item'));
            self::assertSame('ok', $this->ask('PRAGMA integrity_check'));
        }
        self::assertGreaterThan(0, $killed);
        $command = $this->command('lottel:import', $file);
        self::assertContains($command->run(), [0, 3], 'it is read in, or had been as the last kill came');
        self::assertSame([], In::of(json_decode($this->console('lottel:audit'), true), 'differences'));
    }

    public function testARoomThatNobodyHasOpenedIsFilledThroughTheBrowser(): void
    {
        $document = SpoiltRoom::of($this->demo())->set('steps', [])->set('changes', [])->json();
        $this->data = $this->other;
        $this->empty();
        $this->openRoom();
        $this->get('/begin');
        $this->post('/begin/room', ['_form' => 'bring']);
        $this->assertCode(422);
        self::assertStringContainsString('Choose the document first', $this->text());
        $send = fn (string $content): mixed => $this->browser->request('POST', '/begin/room', ['_form' => 'bring'], [
            'file' => new UploadedFile($this->file($content), 'room.json', test: true),
        ]);
        $send(substr($document, 0, 5000));
        $this->assertCode(422);
        self::assertStringContainsString('ends in the middle', $this->text());
        self::assertStringContainsString('Your room', $this->text());
        $send($document);
        $this->assertCode(303, $this->text());
        $this->browser->request('POST', '/sign-in', ['login' => 'ada', 'password' => 'lantern-room']);
        $this->get('/plan');
        $this->assertCode(200);
        self::assertStringContainsString('Tide Loft', $this->text());
        $send($document);
        self::assertStringEndsWith('/sign-in', (string) $this->browser->getResponse()->headers->get('Location'), 'an open room is not read over');
    }

    public function testOnlyTheOwnerTakesTheDocumentAlong(): void
    {
        $this->empty();
        $this->openRoom();
        $this->furnish();
        $this->get('/upkeep/room.json');
        $this->assertCode(200);
        $document = json_decode($this->browser->getInternalResponse()->getContent(), true);
        self::assertSame('lottel-room', In::of($document, 'format'));
        $this->signIn('hank');
        $this->get('/upkeep/room.json');
        $this->assertCode(403);
    }

    private function refused(string $document, ?string $path, string $message): void
    {
        if ($this->data !== $this->other) {
            $this->data = $this->other;
            $this->empty();
            $this->openRoom();
        }
        $before = $this->fingerprint();
        try {
            $handle = fopen($this->file($document), 'r');
            \assert(false !== $handle);
            ($this->service(ImportRoom::class))($handle);
            self::fail('It was read in.');
        } catch (InvalidRoomFile $invalid) {
            if (null !== $path) {
                self::assertTrue($path === $invalid->field || (str_ends_with($path, '[') && str_starts_with($invalid->field, $path)), $invalid->field);
            }
            self::assertStringContainsString($message, $invalid->getMessage());
        }
        self::assertSame($before, $this->fingerprint(), 'nothing was changed');
        self::assertSame([], glob($this->data.'/photos/*') ?: []);
    }

    /** A room that nobody has opened yet. */
    private function empty(): void
    {
        is_dir($this->data) || mkdir($this->data, 0o700);
        if (!isset(self::$written['empty'])) {
            $this->console('doctrine:migrations:migrate');
            self::$written['empty'] = (string) file_get_contents($this->data.'/room.sqlite');
        }
        file_put_contents($this->data.'/room.sqlite', self::$written['empty']);
    }

    private function fingerprint(): string
    {
        return (string) json_encode(array_map($this->ask(...), [
            'SELECT count(*) FROM movement',
            'SELECT count(*) FROM item',
            'SELECT group_concat(address) FROM place',
            'SELECT count(*) FROM account',
        ]));
    }

    private function ask(string $sql): string
    {
        $room = new \PDO('sqlite:'.$this->data.'/room.sqlite', null, null, [\PDO::ATTR_ERRMODE => \PDO::ERRMODE_EXCEPTION]);
        $answer = $room->query($sql);

        $value = false === $answer ? null : $answer->fetchColumn();

        return \is_scalar($value) ? (string) $value : '';
    }

    /** The demo room with a photo, as its document; furnished once for all tests. */
    private function demo(): string
    {
        if (!isset(self::$written['demo'])) {
            (new PreparedRooms(\dirname(__DIR__, 3)))->copyDemoTo($this->data);
            is_dir($this->data.'/photos') || mkdir($this->data.'/photos', 0o700);
            $picture = imagecreatetruecolor(40, 30);
            imagejpeg($picture, $this->data.'/photos/'.self::PHOTO.'.jpg');
            $this->ask("UPDATE item SET photo = '".self::PHOTO."' WHERE id = 3");
            $this->ask("INSERT INTO movement (item_id, from_id, to_id, account_id, reverses_id, quantity, at, reason, request_id)
                SELECT item_id, to_id, from_id, account_id, id, quantity, at, 'reverse', '0190c0de-0000-7000-8000-000000000001' FROM movement
                WHERE reason = 'take in' ORDER BY id DESC LIMIT 1");
            self::$written['demo'] = $this->console('lottel:export', '-');
        }

        return self::$written['demo'];
    }

    /** A small room with a photo. */
    private function short(): string
    {
        if (!isset(self::$written['short'])) {
            $this->moveInto(13);
            $this->console('doctrine:migrations:migrate', '--allow-no-migration');
            $this->ask("UPDATE item SET photo = '".self::PHOTO."' WHERE id = 3");
            self::$written['short'] = $this->console('lottel:export', '-');
        }

        return self::$written['short'];
    }

    private static function without(string $document): string
    {
        return (string) preg_replace('/^"exported_at": .*$/m', '', $document);
    }

    private function file(string $content): string
    {
        $file = (string) tempnam($this->dataOfTest(), 'room');
        file_put_contents($file, $content);

        return $file;
    }

    private function dataOfTest(): string
    {
        $folder = $this->other.'-files';
        is_dir($folder) || mkdir($folder, 0o700);

        return $folder;
    }

    /** @return array<string, string> the text of pages, by path */
    private function pages(): array
    {
        $this->openRoom();
        $this->signIn('olive');
        $pages = [];
        $paths = ['/plan', '/stores', '/stores/places/C1', '/log', '/upkeep/idle', '/find?q=terns', '/paper', '/stores/queue', '/occasions', '/make'];
        foreach ($paths as $path) {
            $this->get($path);
            $this->assertCode(200, $path);
            $pages[$path] = $this->text();
        }
        self::ensureKernelShutdown();

        return $pages;
    }

    /** @param callable(int): void $act */
    private function seededCuts(int $length, int $many, callable $act): void
    {
        mt_srand(1926);
        for ($nth = 0; $nth < $many; ++$nth) {
            $act(mt_rand(1, $length - 3));
        }
    }

    public function testAFileWhoseOnlyOwnerLeftIsRefused(): void
    {
        $room = SpoiltRoom::of($this->short());
        $owner = $room->first('people', 'role', 'owner');
        $file = $this->file($room->set("people.{$owner}.left_at", '2026-11-20T10:00:00Z')->json());
        [$this->data] = [$this->other];
        $import = $this->command('lottel:import', $file);
        self::assertSame(2, $import->run());
        self::assertStringContainsString('There must be an owner, who can sign in.', $import->getOutput().$import->getErrorOutput());
    }
}
