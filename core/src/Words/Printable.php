<?php

declare(strict_types=1);

namespace Lottel\Core\Words;

/**
 * Text that every file format takes in which the room is taken along: without control characters and without code points that are no
 * characters (XML 1.0, fifth edition, 2.2 Char; The Unicode Standard, 23.7 Noncharacters).
 */
final class Printable
{
    private const NOT = '[\x{0}-\x{8}\x{B}\x{C}\x{E}-\x{1F}\x{7F}-\x{84}\x{86}-\x{9F}\x{FDD0}-\x{FDEF}]|[\x{FFFE}\x{FFFF}]';

    /** Whether a text has nothing in it that cannot be printed; line breaks and tabs may be there. Text that is no UTF-8 has. */
    public static function is(string $text): bool
    {
        return 0 === preg_match('/'.self::NOT.'/u', $text);
    }

    /** Returns the text without what cannot be printed. */
    public static function cleaned(string $text): string
    {
        return (string) preg_replace('/'.self::NOT.'/u', '', mb_scrub($text));
    }
}
