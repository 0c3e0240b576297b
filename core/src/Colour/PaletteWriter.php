<?php

declare(strict_types=1);

namespace Lottel\Core\Colour;

/** Writes palettes in the forms that {@see PaletteReader} reads, with the same colours and names. */
final class PaletteWriter
{
    /** @param list<NamedColour> $colours */
    public static function gpl(string $name, array $colours): string
    {
        $lines = ['GIMP Palette', 'Name: '.self::line($name), 'Columns: 0', '#'];
        foreach ($colours as $one) {
            $lines[] = rtrim(\sprintf("%3d %3d %3d\t%s", $one->colour->red, $one->colour->green, $one->colour->blue, self::line($one->name)));
        }

        return implode("\n", $lines)."\n";
    }

    /**
     * Returns custom properties, one for each colour; what a name says stands behind it, since a property's name holds less.
     *
     * @param list<NamedColour> $colours
     */
    public static function css(string $name, array $colours): string
    {
        $taken = [];
        $lines = ['/* '.self::comment($name).' */', ':root {'];
        foreach ($colours as $one) {
            $slug = self::slug($one->called());
            $taken[$slug] = 1 + ($taken[$slug] ?? 0);
            $property = 1 === $taken[$slug] ? $slug : $slug.'-'.$taken[$slug];
            while (1 !== $taken[$slug] && isset($taken[$property])) {
                $property = $slug.'-'.++$taken[$slug];
            }
            $taken[$property] ??= 1;
            $lines[] = \sprintf('    --%s: %s; /* %s */', $property, $one->colour->hex(), self::comment($one->name));
        }

        return implode("\n", [...$lines, '}'])."\n";
    }

    private static function slug(string $name): string
    {
        $plain = (string) preg_replace('/[^\p{L}\p{N}]+/u', '-', mb_strtolower($name));

        return '' === trim($plain, '-') ? 'colour' : trim($plain, '-');
    }

    private static function comment(string $text): string
    {
        return trim(str_replace(['*/', '/*'], ['* /', '/ *'], self::line($text)));
    }

    private static function line(string $text): string
    {
        return trim((string) preg_replace('/\s+/u', ' ', $text));
    }
}
