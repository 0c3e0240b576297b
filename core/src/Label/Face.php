<?php

declare(strict_types=1);

namespace Lottel\Core\Label;

/**
 * The faces that labels are set in, and how wide their letters are, in thousandths of the size; read off DejaVu Sans 2.37.
 * Letters that are not listed are taken to be wide.
 */
enum Face: string
{
    case Plate = 'plate';
    case Plain = 'plain';
    case Bold = 'bold';

    private const MONOSPACED = 602;
    private const WIDE = 1000;

    private const PLAIN = [
        275 => '\'',
        278 => 'ijlìíîïĩīĭįıĵĺļ',
        284 => 'ł',
        295 => 'IJÌÍÎÏĨĪĬĮİĴ',
        318 => ' ,.·‘’',
        337 => '/:;\\|¦',
        342 => 'ŀ',
        352 => 'fſ',
        361 => '-­',
        375 => 'ľ',
        390 => '()[]',
        392 => 'tţťŧ',
        398 => 'rŕř',
        401 => '!¡²³¹',
        411 => 'ŗ',
        460 => '"',
        471 => 'ªº',
        500 => '*_`§¨¯°´¸–',
        518 => '“”',
        521 => 'sśŝşš',
        525 => 'zźżž',
        531 => '?¿',
        550 => 'cçćĉċč',
        556 => 'ĳ',
        557 => 'LĹĻĽĿ',
        562 => 'Ł',
        575 => 'F',
        579 => 'kķĸ',
        590 => 'Ĳ•',
        592 => 'vxyýÿŷ',
        598 => 'TŤ',
        603 => 'P',
        605 => 'Þ',
        611 => 'YÝŢŦŶŸ',
        612 => 'o«»ðòóôõöøōŏő',
        613 => 'aàáâãäåāăą',
        616 => 'eèéêëēĕėęě',
        630 => 'ß',
        632 => 'EÈÉÊËĒĔĖĘĚ',
        634 => 'hnuñùúûüĥńņňŋũūŭůűų',
        635 => 'SbdgpqþďđĝğġģŚŜŞŠ',
        636 => '$0123456789{}¢£¤¥µ¶',
        656 => 'KĶ',
        684 => 'VÅ',
        685 => 'XZŹŻŽ',
        686 => 'B',
        695 => 'RħŔŖŘ',
        698 => 'CÇĆĈĊČ',
        705 => 'AÀÁÂÃÄĀĂĄ',
        732 => 'UÙÚÛÜŨŪŬŮŰŲ',
        748 => 'NÑŃŅŇŊ',
        752 => 'HĤ',
        770 => 'DĎ',
        775 => 'GÐĐĜĞĠĢ',
        780 => '&',
        787 => 'OQÒÓÔÕÖØŌŎŐ',
        814 => 'ŉ',
        818 => 'wŵ',
        838 => '#+<=>^~¬±×÷',
        863 => 'M',
        916 => 'Ħ',
        950 => '%',
        970 => '¼½¾',
        974 => 'mÆ',
        982 => 'æ',
        989 => 'WŴ',
        1000 => '@©®—…',
        1023 => 'œ',
        1070 => 'Œ',
    ];

    private const BOLD = [
        306 => '\'',
        343 => 'ijlìíîïĩīĭįıĵĺļ',
        348 => ' ',
        365 => '/\\|¦',
        371 => 'ł',
        372 => 'IJÌÍÎÏĨĪĬĮİĴ',
        380 => ',.·‘’',
        400 => ':;',
        415 => '-­',
        435 => 'fſ',
        438 => '²³¹',
        456 => '!¡',
        457 => '()[]',
        478 => 'tţťŧ',
        479 => 'ľ',
        493 => 'rŕŗř',
        500 => '_`§¨¯°´¸–',
        521 => '"',
        523 => '*',
        557 => 'ŀ',
        564 => 'ªº',
        580 => '?¿',
        582 => 'zźżž',
        593 => 'cçćĉċč',
        595 => 'sśŝşš',
        636 => '¤¶',
        637 => 'LĹĻĽĿ',
        639 => '•',
        642 => 'Ł',
        645 => 'x',
        646 => '«»',
        652 => 'vyýÿŷ',
        657 => '“”',
        665 => 'kķĸ',
        675 => 'aàáâãäåāăą',
        678 => 'eèéêëēĕėęě',
        682 => 'ŢŦ',
        683 => 'EFÈÉÊËĒĔĖĘĚ',
        686 => 'ĳ',
        687 => 'SoðòóôõöøōŏőŞŠ',
        696 => '$0123456789¢£¥',
        700 => 'TŤ',
        712 => 'hnu{}ñùúûüĥńņňŋũūŭůűų',
        716 => 'bdgpqþďđĝğġģ',
        719 => 'ß',
        720 => 'ŚŜ',
        724 => 'YÝŶŸ',
        725 => 'ZŹŻŽ',
        733 => 'P',
        734 => 'CÇĆĈĊČ',
        736 => 'µ',
        738 => 'Þ',
        744 => 'Ĳ',
        762 => 'B',
        770 => 'RŔŖŘ',
        771 => 'X',
        774 => 'AVÀÁÂÃÄÅĀĂĄ',
        775 => 'KĶ',
        790 => 'ħ',
        812 => 'UÙÚÛÜŨŪŬŮŰŲ',
        821 => 'GĜĞĠĢ',
        830 => 'DĎ',
        837 => 'HNÑĤŃŅŇŊ',
        838 => '#+<=>^~¬±Ð×÷Đ',
        850 => 'OQÒÓÔÕÖØŌŎŐ',
        872 => '&',
        924 => 'wŵ',
        974 => 'Ħ',
        983 => 'ŉ',
        995 => 'M',
        1000 => '@©®—…',
        1002 => '%',
        1035 => '¼½¾',
        1042 => 'm',
        1048 => 'æ',
        1085 => 'Æ',
        1094 => 'œ',
        1103 => 'WŴ',
        1167 => 'Œ',
    ];

    /** Returns the width of a line of text in a size, both in tenths of a millimetre. */
    public function width(string $text, float $size): float
    {
        $letters = mb_str_split($text);
        if (self::Plate === $this) {
            return \count($letters) * self::MONOSPACED * $size / 1000;
        }
        $widths = self::widths($this);
        $width = 0;
        foreach ($letters as $letter) {
            $width += $widths[$letter] ?? self::WIDE;
        }

        return $width * $size / 1000;
    }

    /** @return array<string|int, int> by letter */
    private static function widths(self $face): array
    {
        /** @var array<string, array<string|int, int>> $tables */
        static $tables = [];
        if (!isset($tables[$face->value])) {
            $table = [];
            foreach (self::Bold === $face ? self::BOLD : self::PLAIN as $width => $letters) {
                $table += array_fill_keys(mb_str_split($letters), $width);
            }
            $tables[$face->value] = $table;
        }

        return $tables[$face->value];
    }
}
