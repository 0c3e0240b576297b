<?php

declare(strict_types=1);

namespace App\Tests\Platform\Lan;

use PHPUnit\Framework\TestCase;
use Symfony\Component\Filesystem\Filesystem;
use Symfony\Component\Process\Process;

/** bin/setup sees what PHP has, however slowly PHP says it. */
final class SetupTest extends TestCase
{
    private const CHECKS = 200;
    private string $folder = '';

    protected function setUp(): void
    {
        $this->folder = sys_get_temp_dir().'/lottel-setup-'.bin2hex(random_bytes(6));
        mkdir($this->folder);
    }

    protected function tearDown(): void
    {
        (new Filesystem())->remove($this->folder);
    }

    /** While the machine is kept busy, two hundred times; PHP says its modules in many small pieces, as it may under load. */
    public function testNoExtensionIsMissedUnderLoad(): void
    {
        $this->php([
            'Core',
            'curl',
            'gd',
            'intl',
            'mbstring',
            'PDO',
            'pdo_sqlite',
            'sqlite3',
            'xml',
            'zip',
            ...array_map(static fn (int $n): string => 'other'.$n, range(1, 400)),
        ]);
        $load = array_map(static fn (): Process => new Process(['php', '-r', 'while (true) { hash("sha256", random_bytes(4096)); }']), [1, 2, 3]);
        array_map(static fn (Process $busy) => $busy->start(), $load);
        $loop = \sprintf('failed=0; for n in $(seq %d); do bin/setup --check >/dev/null || failed=$((failed + 1)); done; echo $failed', self::CHECKS);
        $process = new Process(['bash', '-c', $loop], \dirname(__DIR__, 3), ['PATH' => $this->folder.':'.getenv('PATH')], timeout: 900);
        $process->mustRun();
        array_map(static fn (Process $busy) => $busy->stop(0), $load);
        self::assertSame('0', trim($process->getOutput()), 'so many of '.self::CHECKS.' checks missed an extension that is there');
    }

    public function testAnExtensionThatIsMissingIsNamed(): void
    {
        $this->php(['Core', 'curl', 'gd', 'intl', 'mbstring', 'PDO', 'xml', 'xmlreader']);
        $process = new Process(['bin/setup', '--check'], \dirname(__DIR__, 3), ['PATH' => $this->folder.':'.getenv('PATH')]);
        self::assertSame(1, $process->run());
        self::assertSame('missing: pdo_sqlite', trim($process->getOutput()));
    }

    /** @param list<string> $modules */
    private function php(array $modules): void
    {
        $lines = implode('', array_map(static fn (string $module): string => "echo {$module}\n", $modules));
        file_put_contents($this->folder.'/php', "#!/usr/bin/env bash\nset -e\n".$lines);
        chmod($this->folder.'/php', 0o755);
    }
}
