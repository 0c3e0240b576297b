<?php

declare(strict_types=1);

namespace Lottel\Core\Words;

/** Words as they were probably meant. */
final class Spelling
{
    /** @return list<string> lower-case words without accents */
    public static function words(string $text): array
    {
        /** @var \Transliterator|null $plain */
        static $plain = null;
        $plain ??= \Transliterator::create('NFD; [:Nonspacing Mark:] Remove; Lower; NFC');
        $lower = $plain?->transliterate(mb_scrub($text)) ?? false;
        preg_match_all('/[\p{L}\p{N}]+/u', false === $lower ? mb_strtolower($text) : $lower, $m);

        return $m[0];
    }

    /** How many slips are forgiven in a word: none in a short one, one from four letters, two from eight. */
    public static function slips(string $word): int
    {
        $length = mb_strlen($word);

        return $length < 4 ? 0 : ($length < 8 ? 1 : 2);
    }

    /**
     * Returns how many letters have to be changed, added, taken away, or exchanged with their neighbour (the optimal string
     * alignment distance; Damerau, 1964).
     */
    public static function distance(string $one, string $other): int
    {
        [$a, $b] = [mb_str_split($one), mb_str_split($other)];
        $before = [];
        $last = range(0, \count($b));
        foreach ($a as $i => $letter) {
            $row = [$i + 1];
            foreach ($b as $j => $against) {
                $row[$j + 1] = min($last[$j + 1] + 1, $row[$j] + 1, $last[$j] + ($letter === $against ? 0 : 1));
                if ($i > 0 && $j > 0 && $letter === $b[$j - 1] && $a[$i - 1] === $against) {
                    $row[$j + 1] = min($row[$j + 1], $before[$j - 1] + 1);
                }
            }
            $before = $last;
            $last = $row;
        }

        return $last[\count($b)];
    }

    /**
     * Returns the known words that are nearest to a misspelt one, or of which the beginning is.
     *
     * @param iterable<string> $known lower-case, without accents
     *
     * @return list<string> none where nothing is near enough
     */
    public static function nearest(string $word, iterable $known, int $most = 4): array
    {
        $slips = self::slips($word);
        $length = \strlen($word);
        $near = [];
        foreach (0 === $slips ? [] : $known as $other) {
            $head = \strlen($other) > $length + $slips ? substr($other, 0, $length) : $other;
            if (abs(\strlen($head) - $length) > $slips || levenshtein($word, $head) > 2 * $slips) {
                continue;
            }
            $distance = self::distance($word, mb_scrub($head));
            if ($distance <= $slips) {
                $near[$other] = 10 * $distance + ($head === $other ? 0 : 1) + ($other[0] === $word[0] ? 0 : 2);
            }
        }
        asort($near);

        return \array_slice(array_map(strval(...), array_keys($near)), 0, $most);
    }
}
