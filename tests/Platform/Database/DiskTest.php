<?php

declare(strict_types=1);

namespace App\Tests\Platform\Database;

use App\Platform\Database\RoomUnavailable;
use App\Room\Catalogue\InvalidPhoto;
use App\Room\Catalogue\KeepPhoto;
use App\Room\Log\AuditReading;
use App\Tests\OwnFileTestCase;
use App\Tests\Platform\Backup\BackupTest;
use App\Tests\StatementLog;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\File\UploadedFile;
use Symfony\Component\Process\Process;

/** A full disk, a file that may only be read, a lock that does not open, a damaged file: told in plain words, and nothing is lost. */
final class DiskTest extends OwnFileTestCase
{
    /** @return iterable<string, array{string, string}> */
    public static function troubles(): iterable
    {
        yield 'the disk is full' => ['full', 'The disk is full'];
        yield 'the file may only be read' => ['read-only', 'may only be read'];
        yield 'somebody else holds the lock' => ['locked', 'Somebody else is writing just now'];
    }

    #[DataProvider('troubles')]
    public function testAWriteThatCannotBeIsToldAndNothingTypedIsLost(string $trouble, string $message): void
    {
        $this->newRoom();
        $item = $this->number("SELECT id FROM item WHERE name = 'Gulls'");
        $this->postAndFollow("/items/{$item}/home", ['address' => 'C2']);
        $step = $this->word('SELECT id FROM write_request ORDER BY at DESC, id DESC LIMIT 1');
        $before = $this->movements();
        $things = implode("\n", array_map(static fn (int $n): string => "Thing number {$n}; Oddling; 3; sea", range(1, 400)));
        $release = $this->make($trouble);
        $page = $this->post('/stores/places/C1/things', ['things' => $things, '_form' => 'things']);
        $this->assertCode(503);
        self::assertStringContainsString($message, $this->text());
        self::assertSame($things, trim($page->filter('#things-things')->text(normalizeWhitespace: false)), 'what was typed is still there');
        foreach (["/items/{$item}/home" => ['address' => 'C3'], '/log/undo' => ['step' => $step, 'back' => '/plan']] as $path => $fields) {
            if ('full' !== $trouble) {
                $this->post($path, $fields);
                $this->assertCode(503, $path);
                self::assertStringContainsString($message, $this->text());
            }
        }
        $this->get('/stores/places/C2');
        $this->assertCode(200, 'reading goes on');
        $release();
        self::assertSame($before, $this->movements(), 'nothing was written by halves');
        self::assertSame([], $this->service(AuditReading::class)->report()->differences);
        $this->post('/stores/places/C1/things', ['things' => 'Puffins']);
        $this->assertCode(303, 'afterwards it goes on');
    }

    #[DataProvider('troubles')]
    public function testSigningInWhenNothingCanBeWrittenIsToldInPlainWords(string $trouble, string $message): void
    {
        $this->newRoom();
        $this->browser->restart();
        $release = $this->make('full' === $trouble ? 'read-only' : $trouble);
        $this->browser->request('POST', '/sign-in', ['login' => 'olive', 'password' => 'olives-password']);
        $this->assertCode(503);
        self::assertStringNotContainsString('SQLSTATE', $this->text());
        self::assertStringNotContainsString('olives-password', $this->text());
        self::assertStringContainsString('olive', $this->text(), 'the log-in that was typed is shown');
        $release();
        $this->browser->request('POST', '/sign-in', ['login' => 'olive', 'password' => 'olives-password']);
        $this->assertCode(303);
        unset($message);
    }

    /** Backups onto a full disk: see BackupTest. */
    public function testAnExportThatDoesNotFitOntoTheDiskIsToldAndNothingIsLeftOfIt(): void
    {
        $this->moveInto(14);
        $file = $this->data.'/taken-along';
        $write = new Process(
            ['bash', '-c', "trap '' XFSZ; ulimit -f 100; exec php bin/console lottel:export {$file}"],
            \dirname(__DIR__, 3),
            ['APP_ENV' => 'test', 'APP_DEBUG' => '0', 'APP_SECRET' => 'x', 'LOTTEL_DATA' => $this->data],
        );
        self::assertSame(1, $write->run());
        self::assertSame("The file could not be written whole; is the disk full?\n", $write->getErrorOutput());
        self::assertSame([], glob($file.'*'), 'no half of it');
        self::assertSame(0, $this->command('lottel:export', $file)->run(), 'with room on the disk it is written');
        self::assertFileExists($file);
    }

    public function testADamagedRoomIsToldAtItsStart(): void
    {
        $this->console('doctrine:migrations:migrate');
        $this->console('lottel:check');
        $file = $this->data.'/room.sqlite';
        $content = (string) file_get_contents($file);
        foreach (
            [
                'in the middle' => substr_replace($content, random_bytes(20000), 8192, 20000),
                'its head' => substr_replace($content, str_repeat('x', 100), 0, 100),
            ] as $where => $damaged
        ) {
            file_put_contents($file, $damaged);
            $check = $this->command('lottel:check');
            self::assertSame(1, $check->run(), $where);
            self::assertStringContainsString('The room’s file is damaged.', $check->getErrorOutput(), $where);
            self::assertStringNotContainsString('SQLSTATE', $check->getErrorOutput().$check->getOutput());
        }
    }

    public function testEachSortOfTroubleHasWordsOfItsOwn(): void
    {
        $said = [];
        foreach ([5, 6, 8, 10, 11, 13, 14, 26, 8 | 256] as $code) {
            $error = new \PDOException('some words of the driver');
            $error->errorInfo = ['HY000', $code, 'some words of the driver'];
            $said[$code] = RoomUnavailable::from(new \RuntimeException('around it', 0, $error))?->getMessage();
            self::assertNotNull($said[$code], (string) $code);
            self::assertStringNotContainsString('words of the driver', $said[$code]);
        }
        self::assertCount(5, array_unique($said));
        $wrong = new \PDOException('no such column');
        $wrong->errorInfo = ['HY000', 1, 'no such column'];
        self::assertNull(RoomUnavailable::from($wrong), 'a fault of the program stays one');
    }

    /** The child process may write no file larger than two blocks: the picture is cut off, as on a full disk. */
    public function testAPhotoThatIsCutOffDoesNotTakeThePlaceOfTheOldOne(): void
    {
        mkdir($this->data.'/photos');
        file_put_contents($this->data.'/photos/aa.jpg', 'the good one');
        $picture = imagecreatetruecolor(900, 700);
        for ($i = 0; $i < 20000; ++$i) {
            imagesetpixel($picture, mt_rand(0, 899), mt_rand(0, 699), mt_rand(0, 0xFFFFFF));
        }
        imagejpeg($picture, $this->data.'/new.jpg', 95);
        $code =
            'try {
                $file = new Symfony\Component\HttpFoundation\File\UploadedFile($argv[2], "new.jpg", "image/jpeg", null, true);
                echo (new App\Room\Catalogue\KeepPhoto($argv[1]))->keep($file);
            }
             catch (App\Room\Catalogue\InvalidPhoto $refused) { echo "refused: ", $refused->getMessage(); }';
        $shell = \sprintf(
            'trap "" XFSZ; ulimit -f 2; exec php -r %s %s %s',
            escapeshellarg('require "vendor/autoload.php"; '.$code),
            escapeshellarg($this->data),
            escapeshellarg($this->data.'/new.jpg'),
        );
        $process = new Process(['bash', '-c', $shell], \dirname(__DIR__, 3));
        $process->mustRun();
        self::assertStringStartsWith('refused: There is no room on the disk', $process->getOutput());
        self::assertSame(['aa.jpg'], array_values(array_diff((array) scandir($this->data.'/photos'), ['.', '..'])), 'nothing half done is left lying about');
        self::assertSame('the good one', file_get_contents($this->data.'/photos/aa.jpg'));
    }

    public function testWhileSomebodyWritesPagesAreReadAndWriteNothing(): void
    {
        $this->newRoom();
        $kit = $this->planKit('Gull day', [[$this->item($this->number("SELECT id FROM item WHERE name = 'Gulls'")), 1]]);
        $this->postAndFollow("/kits/{$kit}/pull");
        $release = $this->make('locked');
        $log = $this->service(StatementLog::class);
        foreach (self::PAGES as $path) {
            $log->statements = [];
            $this->get(str_replace('KIT', (string) $kit, $path));
            $this->assertCode(200, $path);
            self::assertSame([], array_values(array_filter(
                $log->statements,
                static fn (string $sql): bool => 1 !== preg_match('/^\s*(SELECT|PRAGMA|WITH)\b/i', $sql),
            )), $path);
        }
        $release();
    }

    public function testAPhotoIsReadBeforeTheRoomIsLocked(): void
    {
        $this->newRoom();
        $item = $this->number("SELECT id FROM item WHERE name = 'Gulls'");
        $path = $this->data.'/not-a-picture.png';
        file_put_contents($path, 'no picture');
        $release = $this->make('locked');
        $this->browser->request(
            'POST',
            "/items/{$item}/photo",
            ['_request' => '0190aaaa-0000-7000-8000-000000000009', '_form' => 'photo'],
            ['photo' => new UploadedFile($path, 'x.png', 'image/png', null, true)],
        );
        $this->assertCode(422, 'what is wrong with a picture is known without the lock');
        $release();
    }

    public function testAnUnwritablePhotoFolderIsToldAtTheForm(): void
    {
        $picture = imagecreatetruecolor(20, 20);
        imagejpeg($picture, $this->data.'/new.jpg');
        file_put_contents($this->data.'/photos', 'a file where the folder should be');
        $this->expectException(InvalidPhoto::class);
        $this->expectExceptionMessage('The photo that was there stays.');
        (new KeepPhoto($this->data))->keep(new UploadedFile($this->data.'/new.jpg', 'new.jpg', 'image/jpeg', null, true));
    }

    private const PAGES = [
        '/plan', '/pull', '/make', '/return', '/kits/KIT', '/kits/KIT/pull', '/kits/KIT/make', '/kits/KIT/return', '/kits/KIT/design',
        '/stores', '/stores/places/C1', '/stores/labels', '/stores/plan', '/stores/list', '/find?q=gull', '/log', '/paper', '/paper/ahead',
        '/year', '/shelf', '/albums', '/loans', '/occasions', '/missing', '/patterns', '/lists', '/take-in', '/propose',
        '/upkeep', '/upkeep/homes?look=1', '/upkeep/lying', '/upkeep/lost', '/upkeep/counts', '/upkeep/full', '/upkeep/figures', '/upkeep/idle',
        '/upkeep/stocks', '/upkeep/shopping', '/upkeep/rounds', '/upkeep/people', '/upkeep/devices', '/upkeep/safe', '/upkeep/health',
    ];

    private function newRoom(): void
    {
        $this->console('doctrine:migrations:migrate');
        $this->openRoom();
        $this->furnish();
        $this->putInto('C1', 'Gulls', 'Terns');
    }

    /** @return \Closure(): void takes the trouble away again */
    private function make(string $trouble): \Closure
    {
        if ('locked' === $trouble) {
            $this->database()->executeStatement('PRAGMA busy_timeout = 50');
            $other = new \PDO('sqlite:'.$this->data.'/room.sqlite');
            $other->exec('BEGIN IMMEDIATE');

            return static function () use ($other): void {
                $other->exec('ROLLBACK');
            };
        }
        if ('full' === $trouble) {
            $this->database()->fetchOne('PRAGMA max_page_count = 1');

            return function (): void {
                $this->database()->fetchOne('PRAGMA max_page_count = 1000000');
            };
        }
        $this->database()->executeStatement('PRAGMA query_only = ON');

        return function (): void {
            $this->database()->executeStatement('PRAGMA query_only = OFF');
        };
    }
}
