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
    private const FOLLOWS_FROM = ['src', 'core/src', 'config', 'migrations', 'templates'];
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
            if ($kept === $state) {
                return;
            }
            $files = new Filesystem();
            $files->remove([$this->root.'/var/cache/test', ...(glob($this->folder.'/*.sqlite*') ?: [])]);
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

    private function migrate(string $folder, ?int $version, string $name): void
    {
        $files = new Filesystem();
        $files->remove($folder);
        $files->mkdir($folder);
        $to = null === $version ? [] : [\sprintf('App\Migrations\Version20261125%06d', $version)];
        (new Process(
            ['php', 'bin/console', 'doctrine:migrations:migrate', ...$to, '--no-interaction', '--quiet'],
            $this->root,
            ['APP_ENV' => 'test', 'APP_DEBUG' => '0', 'APP_SECRET' => 'x', 'LOTTEL_DATA' => $folder],
            timeout: 900,
        ))->mustRun();
        $files->rename($folder.'/room.sqlite', "{$this->folder}/{$name}.sqlite", true);
        $files->remove($folder);
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
