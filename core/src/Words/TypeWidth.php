<?php

declare(strict_types=1);

namespace Lottel\Core\Words;

/**
 * How wide a text is in the face that pages are set in, so that a drawing knows what goes beside what. The advance widths, in
 * thousandths of the size, were measured from the shipped Atkinson Hyperlegible Next, weight 400, for the characters 32 to 126.
 */
final class TypeWidth
{
    private const OF_ASCII = [
        280, 286, 301, 651, 592, 919, 731, 160, 299, 299, 485, 606, 210, 362, 210, 387,
        648, 407, 548, 576, 614, 588, 598, 510, 615, 595, 210, 210, 553, 628, 553, 480,
        778, 626, 613, 645, 669, 569, 552, 694, 694, 392, 512, 631, 541, 824, 693, 714,
        592, 724, 614, 592, 558, 690, 593, 856, 623, 575, 607, 317, 387, 344, 552, 372,
        243, 525, 566, 485, 564, 538, 314, 558, 550, 252, 245, 492, 262, 845, 550, 548,
        566, 574, 349, 471, 326, 540, 461, 684, 481, 449, 460, 344, 237, 344, 555,
    ];
    private const OF_OTHERS = 720;

    /** Returns the width in the unit of the size; letters with accents count as their letter, other signs as wide ones. */
    public static function of(string $text, float $size): float
    {
        $width = 0;
        foreach (mb_str_split($text) as $character) {
            $width += self::OF_ASCII[mb_ord(self::plain($character)) - 32] ?? self::OF_OTHERS;
        }

        return $width * $size / 1000;
    }

    /** Returns the text, or as much of its beginning as goes into a width together with an ellipsis; empty where nothing does. */
    public static function cut(string $text, float $size, float $width): string
    {
        if (self::of($text, $size) <= $width) {
            return $text;
        }
        for ($many = mb_strlen($text) - 1; $many > 0; --$many) {
            $cut = rtrim(mb_substr($text, 0, $many)).'…';
            if (self::of($cut, $size) <= $width) {
                return $cut;
            }
        }

        return '';
    }

    /**
     * Breaks a text into lines between its words, as few as it takes; a size such as 12 × 12 stays whole.
     *
     * @param list<float> $widths of the first line, the second one, …; the last is that of all further ones
     *
     * @return non-empty-list<string>|null null where a word by itself is too wide
     */
    public static function lines(string $text, float $size, array $widths): ?array
    {
        $lines = [''];
        foreach (preg_split('/(?<!×)\s+(?!×)/u', trim($text)) ?: [] as $word) {
            $line = (string) end($lines);
            $longer = '' === $line ? $word : $line.' '.$word;
            if (self::of($longer, $size) <= self::widthOf($lines, $widths)) {
                $lines[\count($lines) - 1] = $longer;
                continue;
            }
            if ('' !== $line || 1 === \count($lines)) {
                $lines[] = $word;
            }
            if (self::of($word, $size) > self::widthOf($lines, $widths)) {
                return null;
            }
        }

        return $lines;
    }

    /**
     * @param non-empty-list<string> $lines
     * @param list<float> $widths
     */
    private static function widthOf(array $lines, array $widths): float
    {
        return $widths[min(\count($lines), \count($widths)) - 1] ?? 0.0;
    }

    private static function plain(string $character): string
    {
        $plain = \Normalizer::normalize($character, \Normalizer::FORM_D);

        return \is_string($plain) && '' !== $plain && \ord($plain) < 127 ? $plain[0] : $character;
    }
}
