<?php

declare(strict_types=1);

namespace App\Platform\Database;

use Lottel\Core\Words\SizeWords;
use Lottel\Core\Words\Spelling;

/** What is asked of the full-text index. */
final class FullText
{
    private const MOST_WORDS = 8;

    /** @return list<string> the words of a text that are asked for */
    public static function words(string $text): array
    {
        return \array_slice(Spelling::words(SizeWords::joined($text)), 0, self::MOST_WORDS);
    }

    /** Returns what to ask for all words of a text, of which the last letters may be missing; null for no words. */
    public static function all(string $text): ?string
    {
        $words = self::words($text);

        return [] === $words ? null : implode(' AND ', array_map(self::beginning(...), $words));
    }

    /** @param list<string> $words */
    public static function any(array $words): string
    {
        return 1 === \count($words) ? self::beginning($words[0]) : '('.implode(' OR ', array_map(self::beginning(...), $words)).')';
    }

    public static function beginning(string $word): string
    {
        return '"'.$word.'"*';
    }
}
