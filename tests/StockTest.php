<?php

declare(strict_types=1);

namespace App\Tests;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What is here, wanted, used and made is said once, by views of the database: no other SQL sums it up anew. */
final class StockTest extends TestCase
{
    /** @return iterable<string, array{string, list<string>}> what must not be said anew, and where it may be, for what it asks is something else */
    public static function sums(): iterable
    {
        yield 'balances' => ['~\bb\.quantity\)|\bsum\(quantity\)[^\']* FROM balance~', []];
        yield 'what is wanted' => ['~sum\([^()]*(\([^()]*\))?[^()]*taken~', []];
        // The lines that one's own round still has.
        yield 'what is on lists' => ['~sum\(n?\.?quantity[^)]*\)[^"\']* FROM need\b~', []];
        yield 'which kits want' => ["~n\\.state = 'open' AND~", ['Kits/Rounds/RoundReading.php']];
        yield 'uses' => ["~reason (=|IN) \\(?'use'[^\"]*NOT EXISTS \\(SELECT 1 FROM movement~s", []];
        yield 'what came and went' => ["~sum\\(CASE WHEN [ft]\\.nature = 'outside' THEN~", []];
        yield 'what was made' => ["~reason = 'make'~", []];
    }

    /** @param list<string> $but */
    #[DataProvider('sums')]
    public function testNoOtherSqlSumsThem(string $pattern, array $but): void
    {
        $root = \dirname(__DIR__).'/src/';
        $found = [];
        foreach (new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator($root, \FilesystemIterator::SKIP_DOTS)) as $file) {
            if ($file instanceof \SplFileInfo && 1 === preg_match($pattern, (string) file_get_contents($file->getPathname()))) {
                $found[] = substr($file->getPathname(), \strlen($root));
            }
        }
        self::assertSame([], array_values(array_diff($found, $but)));
    }
}
