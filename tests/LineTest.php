<?php

declare(strict_types=1);

namespace App\Tests;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Lines that fit beside each other on a screen. */
final class LineTest extends TestCase
{
    private const MOST_CHARACTERS = 160;

    /** @return iterable<string, array{string, string}> */
    public static function folders(): iterable
    {
        yield 'the core' => ['core', 'php'];
        yield 'the application' => ['src', 'php'];
        yield 'tests' => ['tests', 'php|mjs'];
        yield 'migrations' => ['migrations', 'php'];
        yield 'templates' => ['templates', 'twig'];
        yield 'styles and scripts' => ['assets', 'css|js'];
    }

    #[DataProvider('folders')]
    public function testNoLineIsTooLong(string $folder, string $types): void
    {
        $long = [];
        $files = new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator(\dirname(__DIR__).'/'.$folder, \FilesystemIterator::SKIP_DOTS));
        foreach ($files as $file) {
            $path = $file instanceof \SplFileInfo ? $file->getPathname() : '';
            foreach (1 === preg_match("/\\.($types)$/D", $path) ? (array) file($path, \FILE_IGNORE_NEW_LINES) : [] as $number => $line) {
                if (mb_strlen((string) $line) > self::MOST_CHARACTERS) {
                    $long[] = $path.':'.($number + 1);
                }
            }
        }
        self::assertSame([], $long);
    }
}
