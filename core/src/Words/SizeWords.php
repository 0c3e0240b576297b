<?php

declare(strict_types=1);

namespace Lottel\Core\Words;

/** Sizes in names and searches: `12x12`, `12 × 12` and `12 by 12` are the same, and so are `4.25 x 5 1/2` and `4¼ × 5½`. */
final class SizeWords
{
    private const VULGAR = ['¼' => ' 1/4', '½' => ' 1/2', '¾' => ' 3/4', '⅛' => ' 1/8', '⅜' => ' 3/8', '⅝' => ' 5/8', '⅞' => ' 7/8'];
    private const SIDE = '(\d{1,4}(?:\.\d{1,3})?(?:[ -]\d{1,2}\/\d{1,2})?|\d{1,2}\/\d{1,2})';
    private const PARTS = 64;

    /** Returns the text with each size in it as one word, such as `s768x768`, in 64ths of whatever it is measured in. */
    public static function joined(string $text): string
    {
        $plain = strtr($text, self::VULGAR);

        return (string) preg_replace_callback(
            '/(?<![\d.\/])'.self::SIDE.'\s*["″”]?\s*(?:[x×*]|by)\s*'.self::SIDE.'(?![\d.\/])/iu',
            static fn (array $m): string => ' s'.self::parts($m[1]).'x'.self::parts($m[2]).' ',
            $plain,
        );
    }

    /** Returns the sizes of a text as words of their own, for an index beside the text. */
    public static function in(string $text): string
    {
        preg_match_all('/\bs\d+x\d+\b/', self::joined($text), $m);

        return implode(' ', array_unique($m[0]));
    }

    private static function parts(string $side): int
    {
        $whole = 1 === preg_match('/^(\d+(?:\.\d+)?)(?![\d.\/])/', $side, $m) ? (float) $m[1] : 0.0;
        $fraction = 1 === preg_match('/(\d+)\/(\d+)$/D', $side, $m) && 0 !== (int) $m[2] ? (int) $m[1] / (int) $m[2] : 0.0;

        return (int) round(self::PARTS * ($whole + $fraction));
    }
}
