<?php

declare(strict_types=1);

namespace App\Tests\Platform\Backup;

use App\Platform\Backup\BackupFailed;
use App\Platform\Backup\BackupFile;
use App\Platform\Backup\BackupReason;
use App\Platform\Backup\Backups;
use App\Platform\Backup\InvalidBackup;
use App\Platform\Backup\MakeBackup;
use App\Platform\Backup\Manifest;
use App\Platform\Backup\RoutineBackups;
use App\Tests\In;
use App\Tests\OwnFileTestCase;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Clock\Clock;
use Symfony\Component\Clock\MockClock;
use Symfony\Component\Filesystem\Filesystem;
use Symfony\Component\Process\Process;

/** A backup holds the whole room, is looked over before it is brought back, and never takes the place of a room by halves. */
final class BackupTest extends OwnFileTestCase
{
    private const PHOTO = '00112233445566778899aabbccddeeff';

    private string $other = '';

    protected function setUp(): void
    {
        parent::setUp();
        $this->other = $this->data.'-other';
        mkdir($this->other, 0o700);
    }

    protected function tearDown(): void
    {
        Clock::set(new \Symfony\Component\Clock\NativeClock());
        (new Filesystem())->remove($this->other);
        parent::tearDown();
    }

    public function testOnAnotherMachineTheRoomIsAsItWas(): void
    {
        $this->room();
        file_put_contents($this->data.'/secret', 'of this room');
        $audit = $this->console('lottel:audit');
        $pages = $this->pages();
        $file = $this->script('bin/backup', $this->other.'/taken-along.zip')[1];
        self::assertSame($this->other.'/taken-along.zip', $file);
        $this->data = $this->other.'/new machine';
        [$status, $said] = $this->script('bin/restore', $file);
        self::assertSame([0, 'The audit finds no difference.'], [$status, $said]);
        self::assertSame($audit, $this->console('lottel:audit'));
        self::assertSame($pages, $this->pages());
        self::assertFileExists($this->data.'/photos/'.self::PHOTO.'.jpg');
        self::assertSame('of this room', file_get_contents($this->data.'/secret'), 'calendars that were given out go on');
    }

    public function testTheRoomThatWasThereIsKeptAside(): void
    {
        $this->room();
        $file = $this->backUp();
        $this->pdo()->exec("UPDATE item SET name = 'Written later' WHERE id = 1");
        $command = $this->command('lottel:restore', $file);
        $command->mustRun();
        self::assertSame('0', $this->ask("SELECT count(*) FROM item WHERE name = 'Written later'"));
        self::assertSame(1, preg_match('~is kept in (\S+\.zip)~', $command->getOutput(), $kept));
        $this->console('lottel:restore', $kept[1]);
        self::assertSame('1', $this->ask("SELECT count(*) FROM item WHERE name = 'Written later'"));
    }

    public function testItIsOfOneMomentWhileSomebodyWrites(): void
    {
        $this->room();
        $this->pdo()->exec('CREATE TABLE pair (id INTEGER PRIMARY KEY, side TEXT)');
        $writer = new Process(['php', '-r', '
            $room = new PDO("sqlite:".$argv[1]."/room.sqlite");
            $room->exec("PRAGMA busy_timeout = 10000");
            $pair = "INSERT INTO pair (side) VALUES (\'left\'); INSERT INTO pair (side) VALUES (\'right\')";
            while (true) { $room->exec("BEGIN IMMEDIATE; $pair; COMMIT"); usleep(300); }',
            $this->data]);
        $writer->start();
        while ((int) $this->ask('SELECT count(*) FROM pair') < 10) {
            usleep(5000);
        }
        foreach (range(1, 3) as $nth) {
            $before = (int) $this->ask('SELECT count(*) FROM pair');
            $file = BackupFile::at($this->backUp());
            $folder = $this->other.'/'.$nth;
            mkdir($folder);
            $file->unpack($folder);
            $copy = new \PDO('sqlite:'.$folder.'/room.sqlite');
            $pairs = $copy->query("SELECT sum(side = 'left'), sum(side = 'right') FROM pair");
            $pairs = false === $pairs ? [] : $pairs->fetch(\PDO::FETCH_NUM);
            \assert(\is_array($pairs) && \is_int($pairs[0]));
            self::assertSame($pairs[0], $pairs[1], 'no transaction by halves');
            self::assertGreaterThanOrEqual($before, 2 * $pairs[0]);
        }
        self::assertTrue($writer->isRunning(), $writer->getErrorOutput());
        $writer->stop(0);
    }

    public function testAnyChangedByteIsNoticed(): void
    {
        $this->room();
        $content = (string) file_get_contents($this->backUp());
        $length = \strlen($content);
        mt_srand(1926);
        $places = [0, 1, $length - 1, $length - 64, $length - 65, $length - 80, ...array_map(static fn (): int => mt_rand(0, $length - 1), range(1, 120))];
        $file = $this->other.'/changed.zip';
        foreach ($places as $place) {
            $changed = $content;
            $changed[$place] = \chr(\ord($changed[$place]) ^ (1 << mt_rand(0, 7)));
            file_put_contents($file, $changed);
            try {
                BackupFile::at($file)->check();
                self::fail("Byte {$place} of {$length} was changed, and nobody noticed.");
            } catch (InvalidBackup $invalid) {
                self::assertMatchesRegularExpression('/damaged|no backup|newer/', $invalid->getMessage());
            }
        }
    }

    /** @return iterable<string, array{callable(string, self): string, string}> the content out of a good backup's, and what is said */
    public static function unusable(): iterable
    {
        yield 'a changed byte' => [static fn (string $good): string => substr_replace($good, 'x' === $good[900] ? 'y' : 'x', 900, 1), 'damaged'];
        yield 'cut off' => [static fn (string $good): string => substr($good, 0, -1000), 'no backup of Lottel'];
        yield 'empty' => [static fn (): string => '', 'no backup of Lottel'];
        yield 'something else' => [static fn (): string => str_repeat('A shopping list. ', 40), 'no backup of Lottel'];
        yield 'another archive' => [static fn (string $good, self $test): string => $test->archive(['letter.txt' => 'Dear Ben'], false), 'no backup of Lottel'];
        yield 'of a newer version' => [static fn (string $good, self $test): string => $test->archive([
            'manifest.json' => '{"format": "lottel-backup", "version": 2}',
        ]), 'newer Lottel'];
        yield 'of a newer room' => [static fn (string $good, self $test): string => $test->archive([
            'manifest.json' => $test->manifest(['room.sqlite' => 'x'], 'App\Migrations\Version20991231000001'), 'room.sqlite' => 'x',
        ]), 'newer Lottel'];
        yield 'a room that is none' => [static fn (string $good, self $test): string => $test->archive([
            'manifest.json' => $test->manifest(['room.sqlite' => 'tea']), 'room.sqlite' => 'tea',
        ]), 'damaged'];
        yield 'a file that leads elsewhere' => [static fn (string $good, self $test): string => $test->archive([
            'manifest.json' => $test->manifest(['room.sqlite' => 'x', '../../elsewhere' => 'x']), 'room.sqlite' => 'x', '../../elsewhere' => 'x',
        ]), 'damaged'];
        yield 'more than it says' => [static fn (string $good, self $test): string => $test->archive([
            'manifest.json' => $test->manifest(['room.sqlite' => 'x']), 'room.sqlite' => str_repeat('x', 5_000_000),
        ]), 'damaged'];
        yield 'a photo that is another' => [static fn (string $good, self $test): string => $test->archive($test->withAnotherPhoto($good)), 'damaged'];
        yield 'without its room' => [static fn (string $good, self $test): string => $test->archive(['manifest.json' => $test->manifest([])]), 'damaged'];
    }

    /** @param callable(string, self): string $spoil */
    #[DataProvider('unusable')]
    public function testWhatCannotBeBroughtBackIsToldAndNothingIsTouched(callable $spoil, string $message): void
    {
        $this->room();
        $good = (string) file_get_contents($this->backUp());
        file_put_contents($this->other.'/file.zip', $spoil($good, $this));
        $before = $this->everything();
        $restore = $this->command('lottel:restore', $this->other.'/file.zip');
        self::assertSame(2, $restore->run(), $restore->getOutput());
        self::assertStringContainsString($message, $restore->getErrorOutput());
        self::assertSame('', $restore->getOutput());
        self::assertSame($before, $this->everything());
    }

    /** Anybody can look over a backup with what every system has: its last 64 characters are the SHA-256 of what is before them. */
    public function testItIsAnArchiveThatEverySystemCanLookOver(): void
    {
        $this->room();
        $file = $this->backUp();
        $sum = new Process(['sh', '-c', 'head -c -64 "$1" | sha256sum | cut -d" " -f1; tail -c 64 "$1"; echo; unzip -tq "$1"', 'sh', $file]);
        $sum->mustRun();
        [$computed, $written, $tested] = explode("\n", $sum->getOutput());
        self::assertSame($computed, $written);
        self::assertStringContainsString('No errors detected', $tested);
    }

    public function testADamagedRoomIsRecognisedAtTheStartAndTheLastBackupOffered(): void
    {
        $this->room();
        $file = $this->backUp();
        $things = $this->ask('SELECT count(*) FROM item');
        $room = $this->data.'/room.sqlite';
        $handle = fopen($room, 'r+');
        \assert(false !== $handle);
        foreach (range(1, 40) as $page) {
            fseek($handle, 4096 * $page + 8);
            fwrite($handle, random_bytes(600));
        }
        fclose($handle);
        $check = $this->command('lottel:check');
        self::assertSame(1, $check->run());
        self::assertStringContainsString('damaged', $check->getErrorOutput());
        self::assertStringContainsString('bin/restore '.$file, $check->getErrorOutput());
        $restore = $this->command('lottel:restore', $file);
        $restore->mustRun();
        self::assertSame($things, $this->ask('SELECT count(*) FROM item'));
        self::assertSame(1, preg_match('~is kept in (\S+/aside-\S+)~', $restore->getOutput(), $kept), $restore->getOutput());
        self::assertFileExists($kept[1].'/room.sqlite', 'what is left of the damaged one is still there');
        self::assertSame(0, $this->command('lottel:check')->run());
    }

    public function testKilledInTheMiddleTheRoomIsTheOldOneOrTheNewOne(): void
    {
        $this->room();
        $old = $this->backUp();
        $this->pdo()->exec("UPDATE item SET name = 'Written later' WHERE id = 1");
        $new = $this->backUp();
        $fell = ['lottel:backup' => 0, 'lottel:restore' => 0];
        foreach ([150, 250, 350, 450, 550, 700, 900] as $nth => $milliseconds) {
            foreach (['lottel:backup' => [$this->other."/of-{$nth}.zip"], 'lottel:restore' => [0 === $nth % 2 ? $old : $new]] as $name => $arguments) {
                $command = $this->command($name, ...$arguments);
                $command->start();
                usleep(1000 * $milliseconds);
                if ($command->isRunning()) {
                    $command->signal(\SIGKILL);
                    ++$fell[$name];
                }
                $command->wait();
                self::assertSame('ok', $this->ask('PRAGMA integrity_check'));
                self::assertContains((int) $this->ask("SELECT count(*) FROM item WHERE name = 'Written later'"), [0, 1]);
                self::assertSame([], In::of(json_decode($this->console('lottel:audit'), true), 'differences'), "{$name} after {$milliseconds} ms");
                if (is_file($this->other."/of-{$nth}.zip")) {
                    BackupFile::at($this->other."/of-{$nth}.zip")->check();
                }
            }
        }
        self::assertGreaterThan(0, $fell['lottel:backup']);
        self::assertGreaterThan(0, $fell['lottel:restore']);
        $this->console('lottel:restore', $new);
        self::assertSame('1', $this->ask("SELECT count(*) FROM item WHERE name = 'Written later'"), 'and afterwards all goes on');
    }

    public function testOneIsMadeOnEachDayOnWhichSomethingWasWritten(): void
    {
        $this->room();
        $this->openRoom();
        $written = new \DateTimeImmutable($this->ask('SELECT max(at) FROM write_request').' UTC');
        $clock = new MockClock($written->modify('+1 hour'));
        Clock::set($clock);
        $daily = $this->service(RoutineBackups::class)->daily(...);
        $backups = $this->service(Backups::class);
        self::assertNotNull($daily());
        self::assertNull($daily(), 'one a day');
        $clock->modify('+3 days');
        self::assertNull($daily(), 'nothing was written since');
        for ($day = 1; $day <= 20; ++$day) {
            $clock->modify('+1 day');
            $today = $clock->now()->modify('-1 hour')->format('Y-m-d H:i:s');
            $this->pdo()->exec("UPDATE write_request SET at = '{$today}' WHERE id = (SELECT request_id FROM step_change ORDER BY id DESC LIMIT 1)");
            self::assertNotNull($daily());
        }
        $kept = array_filter($backups->all(), static fn ($backup): bool => BackupReason::Daily === $backup->reason);
        self::assertCount(14, $kept);
        self::assertEquals($clock->now()->getTimestamp(), $backups->newest()?->madeAt->getTimestamp(), 'the oldest went');
        $clock->modify('+1 minute');
        ($this->service(MakeBackup::class))(BackupReason::Asked);
        self::assertSame(BackupReason::Asked, $backups->newest()?->reason);
    }

    public function testOneIsMadeBeforeARoomIsMadeNewer(): void
    {
        $this->moveInto(11);
        $file = trim($this->console('lottel:backup', '--before-migration'));
        self::assertStringContainsString('before-migration', $file);
        self::assertStringContainsString('Version20261125000011', BackupFile::at($file)->manifest->schema);
        $this->console('doctrine:migrations:migrate');
        self::assertSame('', trim($this->console('lottel:backup', '--before-migration')), 'nothing is to be made newer');
        $this->console('lottel:restore', $file);
        $newest = (string) \count(glob(\dirname(__DIR__, 3).'/migrations/*.php') ?: []);
        self::assertSame($newest, $this->ask('SELECT count(*) FROM doctrine_migration_versions'), 'it is made newer as it is brought back');
        self::assertSame([], In::of(json_decode($this->console('lottel:audit'), true), 'differences'));
    }

    public function testADiskThatIsFullLeavesNothingHalfMade(): void
    {
        $this->room();
        $good = $this->backUp();
        $before = $this->everything();
        // No file may grow beyond a few blocks, as on a full disk.
        foreach (['1', '40', '400'] as $blocks) {
            $words = ['trap "" XFSZ; ulimit -f "$1"; shift; exec php bin/console "$@"', 'sh', $blocks, 'lottel:backup', $this->other.'/full.zip'];
            $full = new Process(['sh', '-c', ...$words], \dirname(__DIR__, 3), $this->command('lottel:backup')->getEnv());
            self::assertSame(1, $full->run(), $blocks.': '.$full->getOutput().$full->getErrorOutput());
            self::assertStringContainsString('could not be written', $full->getErrorOutput());
            self::assertSame([], array_diff(scandir($this->other) ?: [], ['.', '..']), 'nothing is left lying about');
        }
        self::assertSame($before, $this->everything());
        BackupFile::at($good)->check();
    }

    public function testARoomThatGivesWayToOneThatIsReadInIsKept(): void
    {
        $this->room();
        $document = $this->other.'/room.json';
        $this->console('lottel:export', $document);
        $this->data .= '-opened';
        mkdir($this->data, 0o700);
        $this->openRoomAt();
        $command = $this->command('lottel:import', $document);
        $command->mustRun();
        self::assertSame(1, preg_match('~is kept in (\S+-before-import\.zip)~', $command->getErrorOutput(), $kept), $command->getErrorOutput());
        self::assertSame('Old loft', $this->ask('SELECT name FROM room'));
        $this->console('lottel:restore', $kept[1]);
        self::assertSame('Just opened', $this->ask('SELECT name FROM room'));
        (new Filesystem())->remove($this->data);
    }

    public function testTwoAtOnceAreNotMade(): void
    {
        $this->room();
        $this->openRoom();
        $second = null;
        $this->service(\App\Platform\Backup\BackupLock::class)->hold(function () use (&$second): int {
            try {
                ($this->service(MakeBackup::class))(BackupReason::Asked);
            } catch (BackupFailed $failed) {
                $second = $failed->getMessage();
            }

            return 0;
        });
        self::assertStringContainsString('just now', (string) $second);
    }

    public function testAFolderThatCannotBeWrittenToIsTold(): void
    {
        $this->room();
        $file = $this->other.'/none/there/backup.zip';
        touch($this->other.'/none');
        $command = $this->command('lottel:backup', $file);
        self::assertSame(1, $command->run());
        self::assertStringContainsString('could not be written', $command->getErrorOutput());
        self::assertSame('', $command->getOutput());
    }

    public function testTheOwnerMakesTakesAndThrowsAway(): void
    {
        $this->room();
        $this->openRoom();
        $this->signIn('olive');
        $this->get('/upkeep');
        self::assertStringContainsString('There is no backup yet', $this->text());
        $this->get('/upkeep/safe');
        self::assertStringContainsString('There is no backup yet', $this->text());
        $this->postAndFollow('/upkeep/safe');
        self::assertMatchesRegularExpression('/The whole room is in lottel-[\d-]+-asked\.zip\./', $this->text());
        self::assertStringContainsString('The last backup is a minute old', $this->text());
        $this->postAndFollow('/upkeep/safe');
        $backups = $this->service(Backups::class);
        [$newest, $older] = $backups->all();
        $this->get('/upkeep/safe/'.$newest->name);
        $this->assertCode(200);
        self::assertSame('application/zip', $this->browser->getResponse()->headers->get('Content-Type'));
        $this->get('/upkeep/safe');
        self::assertStringContainsString('One was taken along last on', $this->text());
        $this->post("/upkeep/safe/{$newest->name}/throw-away");
        $this->assertCode(409);
        self::assertStringContainsString('the newest backup', $this->text());
        $this->postAndFollow("/upkeep/safe/{$older->name}/throw-away");
        self::assertCount(1, $backups->all());
        $this->post("/upkeep/safe/{$older->name}/throw-away");
        $this->assertCode(409);
        $this->get('/upkeep/safe/lottel-2026-01-01-000000-asked.zip');
        $this->assertCode(404);
        $this->get('/upkeep/safe/room.sqlite');
        $this->assertCode(404);
        $this->signIn('hank');
        foreach (['/upkeep/safe', '/upkeep/safe/'.$newest->name] as $path) {
            $this->get($path);
            $this->assertCode(403, $path);
        }
        $this->get('/upkeep');
        $this->assertCode(200);
    }

    public function testTheOwnerBringsOneBackByThePage(): void
    {
        $this->room();
        $this->openRoom();
        $this->signIn('olive');
        $this->postAndFollow('/upkeep/safe');
        $backup = $this->service(Backups::class)->newest()->name ?? self::fail();
        $this->pdo()->exec("UPDATE item SET name = 'Written later' WHERE id = 1");
        $this->get('/upkeep/safe');
        self::assertStringContainsString(
            "LOTTEL_DATA='{$this->data}' bin/restore {$this->data}/backups/{$backup}",
            $this->text(),
            'the command is of this room',
        );
        $this->signIn('hank');
        $this->post("/upkeep/safe/{$backup}/bring-back");
        $this->assertCode(403);
        $this->signIn('olive');
        $this->post('/upkeep/safe/lottel-2026-01-01-000000-asked.zip/bring-back');
        $this->assertCode(409);
        self::assertSame('1', $this->ask("SELECT count(*) FROM item WHERE name = 'Written later'"));

        $this->postAndFollow("/upkeep/safe/{$backup}/bring-back");
        self::assertStringContainsString('The room is as it was on', $this->text());
        self::assertSame(1, preg_match('/is kept as (lottel-[\w-]+\.zip)/', $this->text(), $kept));
        self::assertSame('0', $this->ask("SELECT count(*) FROM item WHERE name = 'Written later'"));
        $this->get('/plan');
        self::assertStringContainsString('/sign-in', (string) $this->browser->getResponse()->headers->get('Location'), 'everybody signs in anew');
        $this->signIn('olive');
        $this->postAndFollow("/upkeep/safe/{$kept[1]}/bring-back");
        self::assertSame('1', $this->ask("SELECT count(*) FROM item WHERE name = 'Written later'"), 'and what was there comes back');
    }

    public function testOneThatIsSpoiltOrOfAnEarlierVersionIsNotBroughtBackByThePage(): void
    {
        $this->moveInto(13);
        $old = basename(trim($this->console('lottel:backup')));
        $this->console('doctrine:migrations:migrate');
        $this->openRoom();
        $this->signIn('olive');
        $this->post("/upkeep/safe/{$old}/bring-back");
        $this->assertCode(409);
        self::assertStringContainsString('of an earlier version of Lottel', $this->text());
        $spoilt = $this->data.'/backups/lottel-2026-11-02-000000-asked.zip';
        file_put_contents($spoilt, substr((string) file_get_contents($this->data.'/backups/'.$old), 0, -200));
        $this->post('/upkeep/safe/'.basename($spoilt).'/bring-back');
        $this->assertCode(409);
    }

    public function testWhatWasShutOutStaysOut(): void
    {
        $this->room();
        $room = $this->pdo();
        $at = "'2026-11-20 10:00:00'";
        foreach (['gone' => 'a', 'still here' => 'b'] as $name => $letter) {
            $token = str_repeat($letter, 64);
            $room->exec("INSERT INTO device (account_id, name, token, let_in_at, seen_at) VALUES (1, '{$name}', '{$token}', {$at}, {$at})");
            $salt = str_repeat($letter, 32);
            $room->exec("INSERT INTO feed (account_id, name, salt, made_at) VALUES (1, '{$name}', '{$salt}', {$at})");
        }
        $file = $this->backUp();
        $room->exec("UPDATE device SET shut_out_at = {$at} WHERE name = 'gone'");
        $room->exec("UPDATE feed SET stopped_at = {$at} WHERE name = 'gone'");
        $room->exec("UPDATE account SET left_at = {$at} WHERE login = 'hank'");
        $said = $this->console('lottel:restore', $file);
        self::assertStringContainsString('1 device that was shut out, 1 calendar that was stopped and 1 person who left stay out.', $said);
        self::assertSame('gone', $this->ask("SELECT group_concat(name) FROM device WHERE shut_out_at IS NOT NULL AND name <> 'an old phone'"));
        self::assertSame('gone', $this->ask('SELECT group_concat(name) FROM feed WHERE stopped_at IS NOT NULL'));
        self::assertSame('hank', $this->ask('SELECT group_concat(login) FROM account WHERE left_at IS NOT NULL'));
        $room = $this->pdo();
        $room->exec("UPDATE account SET left_at = {$at} WHERE login = 'olive'");
        $this->console('lottel:restore', $file);
        self::assertSame('0', $this->ask("SELECT left_at IS NOT NULL FROM account WHERE login = 'olive'"), 'a room is not left without an owner');
    }

    public function testABackupOfTheFutureKeepsNoneBack(): void
    {
        $this->room();
        $file = $this->backUp();
        rename($file, \dirname($file).'/lottel-2099-01-01-000000-daily.zip');
        $this->openRoom();
        Clock::set(new MockClock(new \DateTimeImmutable($this->ask('SELECT max(at) FROM write_request').' UTC +1 hour')));
        self::assertNotNull($this->service(RoutineBackups::class)->daily());
    }

    public function testTheKeysOfTheMachineAreInNoBackup(): void
    {
        $this->room();
        mkdir($this->data.'/tls');
        file_put_contents($this->data.'/tls/authority.key', 'secret');
        $file = $this->backUp();
        self::assertSame(
            [],
            array_filter(array_keys(BackupFile::at($file)->manifest->files), static fn (string $name): bool => str_starts_with($name, 'tls/')),
        );
        $this->console('lottel:restore', $file);
        self::assertSame('secret', file_get_contents($this->data.'/tls/authority.key'));
    }

    /** @param array<string, string> $files */
    public function archive(array $files, bool $isSealed = true): string
    {
        $path = $this->other.'/made.zip';
        $zip = new \ZipArchive();
        $zip->open($path, \ZipArchive::CREATE | \ZipArchive::OVERWRITE);
        foreach ($files as $name => $content) {
            $zip->addFromString($name, $content);
        }
        if ($isSealed) {
            $zip->setArchiveComment('lottel-backup 1 sha256:'.str_repeat('0', 64));
        }
        $zip->close();
        $content = (string) file_get_contents($path);

        return $isSealed ? substr($content, 0, -64).hash('sha256', substr($content, 0, -64)) : $content;
    }

    /** @return array<string, string> the files of a backup, of which one photo has another content of the same length */
    public function withAnotherPhoto(string $good): array
    {
        $zip = new \ZipArchive();
        file_put_contents($this->other.'/good.zip', $good);
        self::assertTrue($zip->open($this->other.'/good.zip'));
        $files = [];
        for ($n = 0; $n < $zip->numFiles; ++$n) {
            $files[(string) $zip->getNameIndex($n)] = (string) $zip->getFromIndex($n);
        }
        $zip->close();
        $spoilt = 0;
        foreach ($files as $name => $content) {
            $isPhoto = str_starts_with($name, 'photos/');
            $files[$name] = $isPhoto ? strrev($content) : $content;
            $spoilt += $isPhoto ? 1 : 0;
        }
        self::assertGreaterThan(0, $spoilt);

        return $files;
    }

    /** @param array<string, string> $files */
    public function manifest(array $files, string $schema = 'App\Migrations\Version20261125000013'): string
    {
        $said = array_map(static fn (string $content): array => ['bytes' => \strlen($content), 'sha256' => hash('sha256', $content)], $files);

        return (new Manifest(new \DateTimeImmutable('2026-11-01'), BackupReason::Asked, 'A room', $schema, 3, $said))->json();
    }

    private function room(): void
    {
        $this->moveInto(13);
        $this->console('doctrine:migrations:migrate', '--allow-no-migration');
        $this->pdo()->exec("UPDATE item SET photo = '".self::PHOTO."' WHERE id = 1");
    }

    /** A room that somebody has opened, and in which nothing has moved yet. */
    private function openRoomAt(): void
    {
        $this->console('doctrine:migrations:migrate');
        $room = $this->pdo();
        $room->exec("INSERT INTO room (name, measure, time_zone) VALUES ('Just opened', 'in', 'UTC')");
        $room->exec("INSERT INTO account (login, name, password, role) VALUES ('nia', 'Nia', 'x', 'owner')");
    }

    private function backUp(): string
    {
        return trim($this->console('lottel:backup'));
    }

    /** @return array{int, string} how it ended, and its last line */
    private function script(string $script, string ...$arguments): array
    {
        $process = new Process([\dirname(__DIR__, 3).'/'.$script, ...$arguments], $this->other, ['LOTTEL_DATA' => $this->data], timeout: 900);
        $process->run();
        $lines = explode("\n", trim($process->getOutput()));

        return [$process->getExitCode() ?? -1, end($lines)];
    }

    private function pdo(): \PDO
    {
        return new \PDO('sqlite:'.$this->data.'/room.sqlite', null, null, [\PDO::ATTR_ERRMODE => \PDO::ERRMODE_EXCEPTION]);
    }

    private function ask(string $sql): string
    {
        $answer = $this->pdo()->query($sql);
        $value = false === $answer ? null : $answer->fetchColumn();

        return \is_scalar($value) ? (string) $value : '';
    }

    /** @return array<string, string> every file of the room's folder, by path */
    private function everything(): array
    {
        $files = [];
        foreach (new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator($this->data, \FilesystemIterator::SKIP_DOTS)) as $file) {
            \assert($file instanceof \SplFileInfo);
            if (!str_ends_with($file->getFilename(), '-shm') && !str_ends_with($file->getFilename(), '-wal')) {
                $files[$file->getPathname()] = (string) md5_file($file->getPathname());
            }
        }
        ksort($files);

        return $files;
    }

    /** @return array<string, string> */
    private function pages(): array
    {
        $this->openRoom();
        $this->signIn('olive');
        $pages = [];
        foreach (['/plan', '/stores', '/log', '/find?q=terns', '/paper', '/make'] as $path) {
            $this->get($path);
            $this->assertCode(200, $path);
            $pages[$path] = $this->text();
        }
        self::ensureKernelShutdown();

        return $pages;
    }

    public function testOfTwoOwnersOfWhomOneLeftLongAgoTheOtherIsNotShutOut(): void
    {
        $this->room();
        $room = $this->pdo();
        $at = "'2026-11-20 10:00:00'";
        $room->exec("UPDATE account SET role = 'owner', left_at = {$at} WHERE login = 'hank'");
        $file = $this->backUp();
        $room->exec("UPDATE account SET left_at = {$at} WHERE login = 'olive'");
        $this->console('lottel:restore', $file);
        self::assertSame('0', $this->ask("SELECT left_at IS NOT NULL FROM account WHERE login = 'olive'"));
    }
}
