<?php

declare(strict_types=1);

namespace Lottel\Core\Design;

use Lottel\Core\Measure\InvalidLength;
use Lottel\Core\Measure\LengthUnit;
use Lottel\Core\Paper\SheetSize;

/** The words of a kit's first sentence of which nothing was made: they are told, and kept with the kit. */
final class PassedOver
{
    private const NUMBER = '(?:an?|one|two|three|four|five|six|seven|eight|nine|ten|\d{1,2})';
    private const JOINING = '/^(?:(?:'.self::NUMBER.'|the|and|with|of|each|all|on|in|some|my)(?:\s+|$))*$/iuD';
    /** What a design is read from, besides sizes. */
    private const READ = [
        'A\d|C[5-7]|DL|slimline',
        '[\d.½¼¾⅛⅜⅝⅞ ]+(?:in|inch|mm|cm)?\s*square',
        '(?:top|side|gate|tri)[- ]?fold(?:ed)?|flat',
        '(?:mats?|reveal)\s+(?:of\s+)?[\d.\/¼½¾⅛ ]+(?:in|mm)?(?![\d\/×x])',
        '(?:'.self::NUMBER.'\s+)?(?:mats?|panels?|strips?|frames?|windows?|photos?)|on foam',
        '(?:two|double|2)[- ]page|(?:one[- ]page )?(?:pages?|layouts?|spreads?)|cards?|tags?|bookmarks?|liners?|pockets?',
    ];

    /**
     * Returns the words, in the order in which they stand.
     *
     * @param bool $isRead whether a design was read from the sentence; without one, only its name was made of it
     *
     * @return list<string>
     */
    public static function in(string $sentence, LengthUnit $unit, bool $isRead): array
    {
        $left = [];
        foreach (\array_slice(preg_split('/\s*[,;]\s*/u', trim($sentence)) ?: [], 1) as $part) {
            array_push($left, ...($isRead ? self::left($part, $unit) : array_filter([trim($part)], self::isWord(...))));
        }

        return $left;
    }

    /** Returns a few of them in a sentence; empty where all was understood. */
    public static function sentence(string $sentence, LengthUnit $unit, bool $isRead): string
    {
        return self::told($isRead ? 'Not understood, and kept in its note' : 'The rest is kept in its note', self::in($sentence, $unit, $isRead));
    }

    /** @param list<string> $words */
    public static function told(string $what, array $words): string
    {
        return [] === $words ? '' : $what.': '.implode(', ', array_map(static fn (string $word): string => '“'.$word.'”', $words)).'.';
    }

    /** @return list<string> */
    private static function left(string $part, LengthUnit $unit): array
    {
        try {
            for ($sized = SheetSize::cutOutOf($part, $unit); null !== $sized; $sized = SheetSize::cutOutOf($part, $unit)) {
                $part = $sized[1]."\n".$sized[2];
            }
        } catch (InvalidLength) {
            return [trim($part)];
        }
        foreach (self::READ as $pattern) {
            $part = (string) preg_replace('/(?<![\p{L}\d])(?:'.$pattern.')(?![\p{L}\d])/iu', "\n", $part);
        }

        return array_values(array_filter(array_map(trim(...), explode("\n", $part)), self::isWord(...)));
    }

    private static function isWord(string $text): bool
    {
        return 1 === preg_match('/[\p{L}\d]/u', $text) && 1 !== preg_match(self::JOINING, trim($text));
    }
}
