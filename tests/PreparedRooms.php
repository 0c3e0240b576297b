<?php

declare(strict_types=1);

namespace App\Tests;

use Symfony\Component\Filesystem\Filesystem;
use Symfony\Component\Finder\Finder;
use Symfony\Component\Process\Process;

/**
 * Rooms without anything in them, of the present version and of earlier ones: made once and copied, also by several processes at a time.
 * What is kept of them, and the compiled application of the tests, is thrown away as soon as a file they follow from has changed.
 */
final class PreparedRooms
{
    private const FOLLOWS_FROM = ['src', 'core/src', 'config', 'migrations', 'templates', 'demo'];
    private readonly string $folder;

    public function __construct(private readonly string $root)
    {
        $this->folder = $root.'/var/prepared';
        (new Filesystem())->mkdir($this->folder);
    }

    public function throwAwayWhatIsOld(): void
    {
        $this->inTurn(function (): void {
            $state = $this->state();
            $kept = @file_get_contents($this->folder.'/state');
            // Where a fault is planted, what was compiled before it will do.
            if ($kept === $state || (false !== $kept && 'once' === getenv('LOTTEL_PREPARED'))) {
                return;
            }
            $files = new Filesystem();
            $files->remove([$this->root.'/var/cache/test', ...(glob($this->folder.'/{*.sqlite*,demo-*}', \GLOB_BRACE) ?: [])]);
            $this->migrate($this->folder.'/making', null, 'now');
            $files->dumpFile($this->folder.'/state', $state);
        });
    }

    public function copyTo(string $folder, ?int $version = null): void
    {
        $name = null === $version ? 'now' : "version-{$version}";
        $this->inTurn(function () use ($name, $version): void {
            if (!is_file("{$this->folder}/{$name}.sqlite")) {
                $this->migrate($this->folder.'/making', $version, $name);
            }
        });
        (new Filesystem())->mkdir($folder);
        copy("{$this->folder}/{$name}.sqlite", $folder.'/room.sqlite');
    }

    /** The demo room, furnished by its command; its story ends on the day it is told. */
    public function copyDemoTo(string $folder): void
    {
        $files = new Filesystem();
        $demo = $this->folder.'/demo-'.date('Y-m-d');
        $this->inTurn(function () use ($files, $demo): void {
            if (is_dir($demo)) {
                return;
            }
            $files->remove(glob($this->folder.'/demo-*') ?: []);
            $files->mkdir($demo.'-making');
            $this->command($demo.'-making', 'lottel:demo')->mustRun();
            $files->rename($demo.'-making', $demo);
        });
        $files->mirror($demo, $folder);
    }

    private function migrate(string $folder, ?int $version, string $name): void
    {
        $files = new Filesystem();
        $files->remove($folder);
        $files->mkdir($folder);
        $to = null === $version ? [] : [\sprintf('App\Migrations\Version20261125%06d', $version)];
        $this->command($folder, 'doctrine:migrations:migrate', ...$to)->mustRun();
        $files->rename($folder.'/room.sqlite', "{$this->folder}/{$name}.sqlite", true);
        $files->remove($folder);
    }

    private function command(string $data, string ...$words): Process
    {
        return new Process(
            ['php', 'bin/console', ...$words, '--no-interaction', '--quiet'],
            $this->root,
            ['APP_ENV' => 'test', 'APP_DEBUG' => '0', 'APP_SECRET' => 'x', 'LOTTEL_DATA' => $data],
            timeout: 900,
        );
    }

    private function state(): string
    {
        $files = (new Finder())->files()->in(array_map(fn (string $part): string => "{$this->root}/{$part}", self::FOLLOWS_FROM))->sortByName();
        $state = [(string) @file_get_contents($this->root.'/vendor/.installed')];
        foreach ($files as $file) {
            $state[] = $file->getPathname().' '.$file->getSize().' '.$file->getMTime();
        }

        return hash('xxh128', implode("\n", $state));
    }

    /** @param callable(): void $work */
    private function inTurn(callable $work): void
    {
        $turn = fopen($this->folder.'/turn', 'c') ?: throw new \RuntimeException('There is no folder for prepared rooms.');
        flock($turn, \LOCK_EX);
        try {
            $work();
        } finally {
            fclose($turn);
        }
    }
}
