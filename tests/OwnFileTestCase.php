<?php

declare(strict_types=1);

namespace App\Tests;

use App\Kernel;
use App\Platform\Database\Row;
use DAMA\DoctrineTestBundle\Doctrine\DBAL\StaticDriver;
use Symfony\Bundle\FrameworkBundle\KernelBrowser;
use Symfony\Component\Filesystem\Filesystem;
use Symfony\Component\Process\Process;

/** A room in a folder of its own, which nothing takes back after the test: for what happens to files. */
abstract class OwnFileTestCase extends RoomTestCase
{
    protected string $data = '';
    private string $usual = '';

    protected function setUp(): void
    {
        parent::setUp();
        $this->data = sys_get_temp_dir().'/lottel-room-'.bin2hex(random_bytes(6));
        mkdir($this->data, 0o700, true);
    }

    protected function tearDown(): void
    {
        if ('' !== $this->usual) {
            self::ensureKernelShutdown();
            StaticDriver::setKeepStaticConnections(true);
            $_ENV['LOTTEL_DATA'] = $_SERVER['LOTTEL_DATA'] = $this->usual;
        }
        (new Filesystem())->remove($this->data);
        parent::tearDown();
    }

    /** The rows of a small room of an earlier version, in the schema of that version. */
    protected function moveInto(int $version): void
    {
        mkdir($this->data.'/photos', 0o700, true);
        (new PreparedRooms(\dirname(__DIR__)))->copyTo($this->data, $version);
        $room = new \PDO('sqlite:'.$this->data.'/room.sqlite', null, null, [\PDO::ATTR_ERRMODE => \PDO::ERRMODE_EXCEPTION]);
        $triggers = $room->query("SELECT name, sql FROM sqlite_master WHERE type = 'trigger'");
        /** @var array<string, string> $triggers */
        $triggers = false === $triggers ? [] : $triggers->fetchAll(\PDO::FETCH_KEY_PAIR);
        $drop = implode('', array_map(static fn (string $name): string => "DROP TRIGGER $name;", array_keys($triggers)));
        $room->exec(
            'PRAGMA foreign_keys = OFF; BEGIN; '.
                $drop.
                file_get_contents(__DIR__."/fixtures/room-version-{$version}.sql").
                implode(';', $triggers).
                '; COMMIT;',
        );
        $broken = $room->query('PRAGMA foreign_key_check');
        self::assertSame([], false === $broken ? null : $broken->fetchAll());
        $picture = imagecreatetruecolor(40, 30);
        imagejpeg($picture, $this->data.'/photos/00112233445566778899aabbccddeeff.jpg');
    }

    protected function openRoom(): void
    {
        self::ensureKernelShutdown();
        StaticDriver::setKeepStaticConnections(false);
        $this->usual = '' === $this->usual ? Row::word($_SERVER['LOTTEL_DATA'] ?? '') : $this->usual;
        $_ENV['LOTTEL_DATA'] = $_SERVER['LOTTEL_DATA'] = $this->data;
        self::$kernel = new Kernel('test', false);
        self::$kernel->boot();
        self::$booted = true;
        $browser = self::getContainer()->get('test.client');
        \assert($browser instanceof KernelBrowser);
        $browser->setServerParameters(['HTTP_SEC_FETCH_SITE' => 'same-origin']);
        $browser->disableReboot();
        $this->browser = $browser;
    }

    protected function console(string ...$arguments): string
    {
        $process = $this->command(...$arguments);
        $process->mustRun();

        return $process->getOutput().$process->getErrorOutput();
    }

    protected function command(string ...$arguments): Process
    {
        return new Process(
            ['php', 'bin/console', ...$arguments, '--no-interaction'],
            \dirname(__DIR__),
            ['APP_ENV' => 'test', 'APP_DEBUG' => '0', 'APP_SECRET' => 'x', 'LOTTEL_DATA' => $this->data],
            timeout: 900,
        );
    }
}
