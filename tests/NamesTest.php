<?php

declare(strict_types=1);

namespace App\Tests;

use PHPUnit\Framework\TestCase;

/** Names by which people find their way through the code. */
final class NamesTest extends TestCase
{
    public function testOneClassNameStandsForOneThing(): void
    {
        $names = array_map(static fn (string $file): string => basename($file, '.php'), [...self::files('src'), ...self::files('core/src')]);
        self::assertGreaterThan(1000, \count($names));
        self::assertSame([], array_keys(array_filter(array_count_values($names), static fn (int $times): bool => $times > 1)));
    }

    public function testTestsStandInTheFoldersOfWhatTheyTest(): void
    {
        foreach (['tests' => 'src', 'core/tests' => 'core/src'] as $tests => $code) {
            foreach (self::files($tests) as $file) {
                $folder = substr(\dirname($file), \strlen(\dirname(__DIR__)."/{$tests}"));
                self::assertTrue(
                    is_dir(\dirname(__DIR__)."/{$code}{$folder}") || \in_array($folder, ['/fixtures', '/Reference'], true),
                    "{$tests}{$folder} tests nothing",
                );
            }
        }
    }

    /** @return list<string> */
    private static function files(string $folder): array
    {
        $files = [];
        foreach (new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator(\dirname(__DIR__).'/'.$folder, \FilesystemIterator::SKIP_DOTS)) as $file) {
            if ($file instanceof \SplFileInfo && 'php' === $file->getExtension()) {
                $files[] = $file->getPathname();
            }
        }

        return $files;
    }
}
