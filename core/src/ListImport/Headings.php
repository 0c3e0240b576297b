<?php

declare(strict_types=1);

namespace Lottel\Core\ListImport;

/** Tells by its heading what a column of somebody's list says (common practice, no source). */
final class Headings
{
    /** Words of headings; the first field whose words are all of a heading, or then a part of it, is meant. */
    private const WORDS = [
        'name' => 'name|item|item name|product|product name|title|description|thing|what|stamp set name|article',
        'kind' => 'kind|type|category|item type|product type|what it is|class|group|department',
        'maker' => 'maker|brand|company|manufacturer|made by|by|vendor|producer|designer|label',
        'quantity' => 'quantity|qty|count|amount|how many|number|no of|on hand|in stock|stock|pcs|pieces|sheets|units|have|#|no',
        'place' => 'place|location|drawer|where|storage|bin|box|home|shelf|stored in|stored|kept in|container|address|position|spot|room',
        'themes' => 'themes|theme|tags|tag|occasion|occasions|keywords|subject|topic',
        'colour' => 'colour|color|colours|colors|hue|shade|colour name|color name',
        'size' => 'size|dimensions|dimension|measures|format|measurements|sheet size|size w x h',
        'width' => 'width|wide|w',
        'height' => 'height|high|h|length|long',
        'weight' => 'weight|paper weight|gsm|grammage|lb|lbs|pounds|g m2',
        'words' => 'words|sentiments|sentiment|phrases|text|sayings|words on it',
        'collection' => 'collection|line|series|range|kit name|release|set',
        'season' => 'season|holiday|time of year',
        'price' => 'price|cost|paid|unit price|price each|cost each|value|msrp',
        'shop' => 'shop|store|bought at|bought from|purchased from|supplier|source',
        'note' => 'note|notes|comment|comments|remarks|remark|details|other|info',
    ];

    private const UNITS = [
        'in' => 'in|inch|inches|"',
        'mm' => 'mm|millimetres?|millimeters?',
        'cm' => 'cm|centimetres?|centimeters?',
        'gsm' => 'gsm|g/m2|g/m²|grammage',
        'lb' => 'lbs?|pounds?|#',
    ];

    /**
     * Returns what each column says, null where nothing is told by its heading; no field is told twice.
     *
     * @param list<string> $headings
     *
     * @return list<ListField|null>
     */
    public static function match(array $headings): array
    {
        $plain = array_map(self::plain(...), $headings);
        $found = [];
        $taken = [];
        foreach ([self::isAll(...), self::isPart(...)] as $fits) {
            foreach (self::WORDS as $field => $words) {
                foreach ($plain as $column => $heading) {
                    if (!isset($found[$column]) && !isset($taken[$field]) && '' !== $heading && $fits($heading, explode('|', $words))) {
                        $found[$column] = $taken[$field] = ListField::from($field);
                    }
                }
            }
        }

        return array_map(static fn (int $column): ?ListField => $found[$column] ?? null, array_keys($plain));
    }

    /** Returns the unit that a heading names for the bare numbers below it: in, mm, cm, gsm or lb; empty where it names none. */
    public static function unit(string $heading): string
    {
        foreach (self::UNITS as $unit => $words) {
            if (1 === preg_match('~(?:^|[\s(\[/,])(?:'.$words.')\s*[)\]]?\s*$~iu', trim($heading))) {
                return $unit;
            }
        }

        return '';
    }

    /**
     * Returns which of the first rows of a list has its headings, from 1; 0 where none has. What stands above them, such as a title, tells
     * fewer columns than they do.
     *
     * @param list<list<string>> $rows
     */
    public static function row(array $rows): int
    {
        $told = array_map(
            static fn (array $cells): int => self::areHeadings(...$cells) ? \count(array_filter(self::match($cells))) : 0,
            $rows,
        );
        $most = [] === $told ? 0 : max($told);
        $best = array_search($most, $told, true);

        return match (true) {
            $most > 1 && false !== $best => $best + 1,
            default => ($told[0] ?? 0) > 0 ? 1 : 0,
        };
    }

    /** Whether a row looks like headings: no number stands in it, and at least one column is told by it. */
    public static function areHeadings(string ...$cells): bool
    {
        $filled = array_filter($cells, static fn (string $cell): bool => '' !== trim($cell));
        $numbers = array_filter($filled, static fn (string $cell): bool => 1 === preg_match('/^[\s\d.,\/$€£-]+$/D', $cell));

        return [] !== $filled && [] === $numbers && [] !== array_filter(self::match(array_values($cells)));
    }

    private static function plain(string $heading): string
    {
        $bare = (string) preg_replace('/[(\[].*?[)\]]/u', ' ', $heading);
        $bare = '' === trim($bare) ? $heading : $bare;

        return trim((string) preg_replace('/[^\p{L}\p{N}#]+/u', ' ', mb_strtolower($bare)));
    }

    /** @param list<string> $words */
    private static function isAll(string $heading, array $words): bool
    {
        return \in_array($heading, $words, true);
    }

    /** @param list<string> $words */
    private static function isPart(string $heading, array $words): bool
    {
        $told = array_filter($words, static fn (string $word): bool => mb_strlen($word) > 2);

        return 1 === preg_match('/(?<![\p{L}\p{N}])(?:'.implode('|', array_map(preg_quote(...), $told)).')(?![\p{L}\p{N}])/u', $heading);
    }
}
