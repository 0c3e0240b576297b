<?php

declare(strict_types=1);

namespace Lottel\Core\Colour;

/**
 * Reads palettes: .gpl (a first line that says so, then red, green, blue and a name in each line; layout from memory), custom
 * properties of CSS (CSS Custom Properties Level 1, colours after CSS Color Level 4), and lists parted by commas, semicolons or tabs
 * (RFC 4180) with a name and a colour, or red, green and blue, in each row.
 */
final class PaletteReader
{
    public const MOST = 500;
    private const LONGEST_NAME = 60;
    private const COLOUR_HEADINGS = ['colour', 'color', 'hex', 'value'];
    private const CHANNEL_HEADINGS = ['red', 'green', 'blue'];

    /** @throws InvalidPalette if it has no colour, or too many */
    public static function read(string $text): ReadPalette
    {
        $text = str_starts_with($text, "\u{FEFF}") ? substr($text, 3) : $text;
        $lines = preg_split('/\r\n|\r|\n/', $text) ?: [];
        $palette = match (true) {
            1 === preg_match('/^\S+ Palette\s*$/', $lines[0] ?? '') => self::channels($lines),
            1 === preg_match('/(^|[\s{;])--[^\s:;{}]+\s*:/', $text) => self::properties($text),
            default => self::rows($lines),
        };
        if ([] === $palette->colours) {
            throw InvalidPalette::hasNone();
        }

        return \count($palette->colours) > self::MOST ? throw InvalidPalette::tooMany(self::MOST) : $palette;
    }

    /** @param list<string> $lines */
    private static function channels(array $lines): ReadPalette
    {
        [$name, $colours, $unread] = ['', [], []];
        foreach (\array_slice($lines, 1) as $at => $line) {
            if (1 === preg_match('/^Name:\s*(.*?)\s*$/i', $line, $m)) {
                $name = self::short($m[1]);
            } elseif (1 === preg_match('/^\s*(\d{1,3})\s+(\d{1,3})\s+(\d{1,3})(?:\s+(.*?))?\s*$/', $line, $m) && max($m[1], $m[2], $m[3]) <= 255) {
                $colours[] = new NamedColour(self::short($m[4] ?? ''), self::ofChannels([(int) $m[1], (int) $m[2], (int) $m[3]]));
            } elseif (1 !== preg_match('/^\s*(#.*|Columns:.*)?$/i', $line)) {
                $unread[] = $at + 2;
            }
        }

        return new ReadPalette($name, $colours, $unread);
    }

    private static function properties(string $text): ReadPalette
    {
        [$colours, $unread] = [[], []];
        preg_match_all(
            '~(?:^|[\s{;])--(?<name>[^\s:;{}]+)\s*:\s*(?<value>[^;{}]*?)\s*(?:;[ \t]*(?:/\*[ \t]*(?<said>[^\r\n]*?)[ \t]*\*/)?|(?=[}])|$)~u',
            $text,
            $found,
            \PREG_SET_ORDER | \PREG_OFFSET_CAPTURE | \PREG_UNMATCHED_AS_NULL,
        );
        foreach ($found as $one) {
            $colour = CssColour::read((string) $one['value'][0]);
            if (null === $colour) {
                $unread[] = 1 + substr_count($text, "\n", 0, (int) $one['name'][1]);
                continue;
            }
            $said = $one['said'][0] ?? null;
            $colours[] = new NamedColour(self::short($said ?? ucfirst(strtr((string) $one['name'][0], '-_', '  '))), $colour);
        }

        return new ReadPalette('', $colours, $unread);
    }

    /** @param list<string> $lines */
    private static function rows(array $lines): ReadPalette
    {
        $separator = self::separator($lines);
        [$colours, $unread, $headings] = [[], [], null];
        foreach ($lines as $at => $line) {
            if ('' === trim($line)) {
                continue;
            }
            $cells = array_map(static fn (?string $cell): string => trim((string) $cell), str_getcsv($line, $separator, '"', ''));
            $asHeadings = array_map(mb_strtolower(...), $cells);
            if ([] === $colours && null === $headings && [] !== array_intersect($asHeadings, [...self::COLOUR_HEADINGS, ...self::CHANNEL_HEADINGS])) {
                $headings = $asHeadings;
                continue;
            }
            $one = null === $headings ? self::plainRow($cells) : self::headedRow($cells, $headings);
            if (null === $one) {
                $unread[] = $at + 1;
            } else {
                $colours[] = $one;
            }
        }

        return new ReadPalette('', $colours, $unread);
    }

    /** @param list<string> $lines */
    private static function separator(array $lines): string
    {
        $many = array_map(static fn (string $separator): int => substr_count(implode("\n", \array_slice($lines, 0, 20)), $separator), ["\t", ';', ',']);

        return ["\t", ';', ','][(int) array_search(max($many), $many, true)];
    }

    /** @param list<string> $cells */
    private static function plainRow(array $cells): ?NamedColour
    {
        foreach ($cells as $at => $cell) {
            $colour = self::ofCell($cell);
            if (null !== $colour) {
                unset($cells[$at]);

                return new NamedColour(self::short(array_values(array_filter($cells, static fn (string $other): bool => '' !== $other))[0] ?? ''), $colour);
            }
        }

        return null;
    }

    /**
     * @param list<string> $cells
     * @param list<string> $headings
     */
    private static function headedRow(array $cells, array $headings): ?NamedColour
    {
        $named = array_combine(\array_slice($headings, 0, \count($cells)), \array_slice($cells, 0, \count($headings)));
        $name = self::short($named['name'] ?? $named['colour name'] ?? $named['color name'] ?? '');
        foreach (self::COLOUR_HEADINGS as $heading) {
            $colour = self::ofCell($named[$heading] ?? '');
            if (null !== $colour) {
                return new NamedColour($name, $colour);
            }
        }
        $channels = array_map(static fn (string $heading): string => $named[$heading] ?? '', self::CHANNEL_HEADINGS);
        $areWhole = [] === array_filter($channels, static fn (string $channel): bool => 1 !== preg_match('/^\d{1,3}$/D', $channel) || (int) $channel > 255);

        return $areWhole ? new NamedColour($name, self::ofChannels(array_map(intval(...), $channels))) : null;
    }

    private static function ofCell(string $cell): ?Srgb
    {
        return CssColour::read(1 === preg_match('/^[0-9a-f]{6}$/iD', $cell) ? '#'.$cell : $cell);
    }

    /** @param list<int> $channels */
    private static function ofChannels(array $channels): Srgb
    {
        return Srgb::ofHex(\sprintf('#%02x%02x%02x', ...$channels));
    }

    private static function short(string $name): string
    {
        return mb_substr(trim((string) preg_replace('/\s+/u', ' ', $name)), 0, self::LONGEST_NAME);
    }
}
