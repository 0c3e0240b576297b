<?php

declare(strict_types=1);

namespace App\Tests\Platform\Lan;

use PHPUnit\Framework\TestCase;
use Symfony\Component\Filesystem\Filesystem;
use Symfony\Component\Process\Process;

/** A room is served to the workroom once, and what a killed server has left behind does not stand in the way of the next. */
final class HoldTest extends TestCase
{
    private string $room = '';

    protected function setUp(): void
    {
        $this->room = sys_get_temp_dir().'/lottel-hold-'.bin2hex(random_bytes(6));
        mkdir($this->room.'/lan', 0o700, true);
    }

    protected function tearDown(): void
    {
        (new Filesystem())->remove($this->room);
    }

    public function testASecondServerIsRefusedAndSaysWhoTheFirstIs(): void
    {
        file_put_contents($this->room.'/lan/pid', '4711');
        $first = $this->holding('echo held; sleep 60 9>&-');
        $first->start();
        $first->waitUntil(static fn (string $type, string $said): bool => str_contains($said, 'held'));
        $second = $this->holding('echo held');
        $second->run();
        self::assertSame([1, ''], [$second->getExitCode(), $second->getOutput()]);
        self::assertStringContainsString('served to the workroom already, by process 4711', $second->getErrorOutput());
        $first->signal(\SIGKILL);
        $first->stop(0);
        $third = $this->holding('echo held');
        $third->mustRun();
        self::assertSame("held\n", $third->getOutput(), 'the lock ends with whoever held it, however it ended');
    }

    public function testWhatWasLeftBehindIsEndedAndNothingElse(): void
    {
        $mine = $this->idle($this->room.'/lan/nginx.conf');
        $others = $this->idle(sys_get_temp_dir().'/another/lan/php-fpm.conf');
        file_put_contents($this->room.'/lan/nginx.pid', (string) $mine->getPid());
        file_put_contents($this->room.'/lan/php.pid', (string) $others->getPid());
        $this->holding('echo held')->mustRun();
        self::assertFalse($mine->isRunning());
        self::assertTrue($others->isRunning(), 'a number that belongs to another process by now');
        $others->stop(0);
    }

    public function testWhatAnUpgradeBeganEndsWithIt(): void
    {
        $upgrade = new Process(['bash', '-euc', '. bin/turn; ends_with_me bash -c "echo \\$\\$; exec sleep 600"'], \dirname(__DIR__, 3));
        $upgrade->start();
        $upgrade->waitUntil(static fn (string $type, string $said): bool => str_contains($said, "\n"));
        $child = (int) $upgrade->getOutput();
        self::assertTrue($this->runs($child));
        $upgrade->signal(\SIGKILL);
        $upgrade->stop(0);
        for ($end = time() + 60; $this->runs($child) && time() < $end;) {
            usleep(20_000);
        }
        self::assertFalse($this->runs($child));
    }

    public function testNothingThatChangesARoomOutlivesTheUpgradeThatBeganIt(): void
    {
        $bin = \dirname(__DIR__, 3).'/bin';
        $lines = [...file($bin.'/compile') ?: [], ...file($bin.'/prepare') ?: [], ...file($bin.'/upgrade') ?: []];
        $begun = preg_grep('~php bin/console|bin/compile~', $lines) ?: [];
        self::assertGreaterThan(8, \count($begun));
        $bound = '~(ends_with_me|--pdeathsig KILL --) (php bin/console|bin/compile)~';
        self::assertSame([], array_values(preg_grep($bound, preg_grep('~^\s*#|--daily~', $begun, \PREG_GREP_INVERT) ?: [], \PREG_GREP_INVERT) ?: []));
    }

    /**
     * What has ended and is not yet laid to rest by its parent (Z) runs no more; a command line is empty while it is being exchanged, too.
     *
     * @phpstan-impure
     */
    private function runs(int $process): bool
    {
        return 1 === preg_match('~^State:\s+[^ZX]~m', (string) @file_get_contents("/proc/{$process}/status"));
    }

    private function holding(string $then): Process
    {
        return new Process(['bash', '-euc', "data={$this->room}; . bin/hold; hold_room; {$then}"], \dirname(__DIR__, 3), ['LOTTEL_HELD' => false]);
    }

    /** A process whose command names a file. */
    private function idle(string $file): Process
    {
        $process = new Process(['php', '-r', 'echo "here"; sleep(60);', '--', $file]);
        $process->start();
        $process->waitUntil(static fn (string $type, string $said): bool => str_contains($said, 'here'));

        return $process;
    }
}
