<?php

declare(strict_types=1);

namespace Lottel\Core\Catalogue;

use Lottel\Core\Words\SizeWords;
use Lottel\Core\Words\Spelling;

/** Finds what is probably the same thing under a name that is written a little differently, also by another maker. */
final class Likeness
{
    /** Words that say nothing about which thing it is. */
    private const EMPTY_WORDS = ['the', 'a', 'an', 'of', 'and', 'set', 'stamp', 'stamps', 'die', 'dies', 'pack', 'pad', 'no'];

    /** A share of common words from which two names are alike. */
    private const ALIKE = 0.7;

    /** @var array<string, list<int>> things by a word of their name */
    private array $byWord = [];

    /** @var array<int, list<string>> */
    private array $words = [];

    /** @param iterable<int, string> $names by thing */
    public function __construct(iterable $names)
    {
        foreach ($names as $id => $name) {
            $this->words[$id] = self::words($name);
            foreach ($this->words[$id] as $word) {
                $this->byWord[self::stem($word)][] = $id;
            }
        }
    }

    /** @return list<int> the things that are probably the same, the likeliest first */
    public function of(string $name, int $most = 3): array
    {
        $words = self::words($name);
        $shared = [];
        foreach ($words as $word) {
            foreach ($this->byWord[self::stem($word)] ?? [] as $id) {
                $shared[$id] = ($shared[$id] ?? 0) + 1;
            }
        }
        $likely = [];
        foreach ($shared as $id => $count) {
            $likeness = $this->likeness($words, $this->words[$id]);
            if ($likeness >= self::ALIKE) {
                $likely[$id] = $likeness;
            }
        }
        arsort($likely);

        return \array_slice(array_keys($likely), 0, $most);
    }

    /**
     * @param list<string> $ones
     * @param list<string> $others
     */
    private function likeness(array $ones, array $others): float
    {
        $common = 0;
        $left = $others;
        foreach ($ones as $word) {
            foreach ($left as $at => $other) {
                if (Spelling::distance($word, $other) <= Spelling::slips($word)) {
                    ++$common;
                    unset($left[$at]);
                    break;
                }
            }
        }

        return $common / max(1, \count($ones) + \count($others) - $common);
    }

    /** @return list<string> */
    private static function words(string $name): array
    {
        $all = Spelling::words(SizeWords::joined($name));
        $words = array_values(array_filter($all, static fn (string $word): bool => !\in_array($word, self::EMPTY_WORDS, true)));

        return [] === $words ? $all : $words;
    }

    /** The first letters, which are seldom misspelt. */
    private static function stem(string $word): string
    {
        return mb_substr($word, 0, 3);
    }
}
