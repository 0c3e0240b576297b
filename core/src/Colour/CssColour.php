<?php

declare(strict_types=1);

namespace Lottel\Core\Colour;

/** Colours as CSS writes them (CSS Color Module Level 4): #rgb, #rrggbb, both with alpha, rgb(), hsl() and oklch(). Alpha is left out. */
final class CssColour
{
    private const NUMBER = '([-+]?\d*\.?\d+)(%|deg|)';

    /** Returns the colour, or null where the text is none of these. */
    public static function read(string $text): ?Srgb
    {
        $text = strtolower(trim($text));
        if (1 === preg_match('/^#(?:[0-9a-f]{3,4}|[0-9a-f]{6}|[0-9a-f]{8})$/D', $text)) {
            $digits = substr($text, 1);
            $digits = \strlen($digits) < 6 ? $digits[0].$digits[0].$digits[1].$digits[1].$digits[2].$digits[2] : substr($digits, 0, 6);

            return Srgb::ofHex('#'.$digits);
        }
        $n = self::NUMBER;
        if (1 !== preg_match("~^(rgb|hsl|oklch)a?\\(\\s*$n(?:\\s*,\\s*|\\s+)$n(?:\\s*,\\s*|\\s+)$n\\s*(?:[,/][^()]*)?\\)$~D", $text, $m)) {
            return null;
        }
        $values = [[(float) $m[2], $m[3]], [(float) $m[4], $m[5]], [(float) $m[6], $m[7]]];

        return match ($m[1]) {
            'rgb' => self::rgb($values),
            'hsl' => self::hsl($values[0][0], $values[1][0] / 100, $values[2][0] / 100),
            'oklch' => (new OkLch(0.0, self::part($values[1], 0.4), $values[2][0]))->atLightness(min(1.0, max(0.0, self::part($values[0], 1.0)))),
        };
    }

    /** @param array{float, string} $value a number as it is, or a share of what 100 % is */
    private static function part(array $value, float $whole): float
    {
        return '%' === $value[1] ? $value[0] / 100 * $whole : $value[0];
    }

    /** @param list<array{float, string}> $values */
    private static function rgb(array $values): Srgb
    {
        return self::of(array_map(static fn (array $value): float => self::part($value, 255.0) / 255, $values));
    }

    /** After section 7.1 of CSS Color Module Level 4, hue in degrees, the others 0 to 1. */
    private static function hsl(float $hue, float $saturation, float $lightness): Srgb
    {
        [$s, $l] = [min(1.0, max(0.0, $saturation)), min(1.0, max(0.0, $lightness))];
        $a = $s * min($l, 1 - $l);

        return self::of(array_map(static function (int $n) use ($hue, $l, $a): float {
            $k = fmod(fmod($n + $hue / 30, 12) + 12, 12);

            return $l - $a * max(-1.0, min($k - 3, 9 - $k, 1.0));
        }, [0, 8, 4]));
    }

    /** @param list<float> $channels 0 to 1 */
    private static function of(array $channels): Srgb
    {
        return Srgb::ofHex(\sprintf('#%02x%02x%02x', ...array_map(static fn (float $part): int => (int) round(255 * min(1.0, max(0.0, $part))), $channels)));
    }
}
