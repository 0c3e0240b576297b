<?php

declare(strict_types=1);

namespace App\Tests\Platform\Database;

use App\Platform\Database\Row;
use App\Tests\In;
use App\Tests\OwnFileTestCase;
use PHPUnit\Framework\Attributes\DataProviderExternal;
use Symfony\Component\Filesystem\Filesystem;
use Symfony\Component\Process\Process;

/** A room of each earlier version comes along by the commands that people type, not by its migrations alone. */
final class UpgradeTest extends OwnFileTestCase
{
    #[DataProviderExternal(MigrationTest::class, 'versions')]
    public function testAnOldRoomIsTakenAlong(int $version): void
    {
        $this->moveInto($version);
        $movements = $this->ask('SELECT count(*) FROM movement');
        (new Filesystem())->mirror($this->data, $this->data.'-started');
        $upgrade = $this->script('bin/upgrade');
        $upgrade->run();
        self::assertSame(0, $upgrade->getExitCode(), $upgrade->getErrorOutput());
        self::assertMatchesRegularExpression('~^Backup: /.+\.zip$~m', $upgrade->getOutput());
        self::assertSame($movements, $this->ask('SELECT count(*) FROM movement'));
        $this->checkIsNew();

        (new Filesystem())->remove($this->data);
        (new Filesystem())->rename($this->data.'-started', $this->data);
        $start = $this->script('setsid', 'bin/start');
        $start->start();
        try {
            $start->waitUntil(static fn (string $type, string $said): bool => str_contains($said, 'Lottel: http'));
            self::assertSame(1, preg_match('~http://127\.0\.0\.1:\d+/~', $start->getOutput(), $url));
            $answer = false;
            while (false === $answer && $start->isRunning()) {
                $answer = @file_get_contents($url[0].'sign-in');
                usleep(50_000);
            }
            self::assertStringContainsString('Sign in', (string) $answer, $start->getErrorOutput());
        } finally {
            // All of its group: PHP's server leaves its workers behind.
            $pid = (int) $start->getPid();
            posix_kill(-$pid, \SIGKILL);
            $start->stop(0);
        }
        self::assertSame($movements, $this->ask('SELECT count(*) FROM movement'));
        $this->checkIsNew();
    }

    public function testOfTwoUpgradesOfOneRoomTheSecondWaits(): void
    {
        $this->moveInto(6);
        $both = [$this->script('bin/upgrade'), $this->script('bin/upgrade')];
        foreach ($both as $upgrade) {
            $upgrade->start();
        }
        foreach ($both as $upgrade) {
            self::assertSame(0, $upgrade->wait(), $upgrade->getErrorOutput().$upgrade->getOutput());
        }
        $this->checkIsNew();
    }

    public function testWhatWasLeftByAKillIsCleared(): void
    {
        $this->moveInto(14);
        foreach (['backups/.lottel-0123456789ab', '.restore-0123456789ab'] as $left) {
            mkdir($this->data.'/'.$left, 0o700, true);
            file_put_contents($this->data.'/'.$left.'/room.sqlite', 'half');
        }
        $this->console('lottel:backup');
        self::assertSame([], [...(glob($this->data.'/backups/.lottel-*') ?: []), ...(glob($this->data.'/.restore-*') ?: [])]);
    }

    public function testRootWorksAsTheRoomsOwnUser(): void
    {
        $root = \dirname(__DIR__, 3);
        $mayRead = new Process(['runuser', '-u', 'nobody', '--', 'test', '-r', $root.'/bin/console', '-a', '-x', $root.'/bin/upgrade']);
        if (0 !== posix_getuid() || 0 !== $mayRead->run()) {
            self::markTestSkipped('Only root can work as somebody else, where that one may read the program.');
        }
        $this->moveInto(13);
        $cache = $this->data.'-cache';
        (new Filesystem())->chown($this->data, 'nobody', true);
        try {
            $upgrade = $this->script('env', 'APP_CACHE_DIR='.$cache, 'bin/upgrade');
            $upgrade->run();
            self::assertSame(0, $upgrade->getExitCode(), $upgrade->getErrorOutput().$upgrade->getOutput());
            $owners = new Process(['find', $this->data, $cache, '-not', '-user', 'nobody']);
            $owners->mustRun();
            self::assertSame('', trim($owners->getOutput()), 'nothing is root’s');
        } finally {
            (new Filesystem())->remove($cache);
        }
    }

    private function checkIsNew(): void
    {
        $newest = (string) \count(glob(\dirname(__DIR__, 3).'/migrations/*.php') ?: []);
        self::assertSame($newest, $this->ask('SELECT count(*) FROM doctrine_migration_versions'));
        self::assertSame([], In::of(json_decode($this->console('lottel:audit'), true), 'differences'));
    }

    private function script(string ...$command): Process
    {
        return new Process($command, \dirname(__DIR__, 3), ['LOTTEL_DATA' => $this->data, 'APP_ENV' => 'prod', 'APP_SECRET' => false], timeout: 900);
    }

    private function ask(string $sql): string
    {
        $answer = (new \PDO('sqlite:'.$this->data.'/room.sqlite'))->query($sql);

        return Row::word(false === $answer ? '' : $answer->fetchColumn());
    }
}
