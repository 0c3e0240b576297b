<?php

declare(strict_types=1);

namespace App\Platform\Web;

use Symfony\Component\Serializer\Encoder\CsvEncoder;

/** Lists as spreadsheets open them: UTF-8 with its mark, and text that would be taken for a formula made harmless. */
final class Csv
{
    public const MARK = "\u{FEFF}";

    /** @param list<list<mixed>> $rows */
    public static function rows(array $rows): string
    {
        return (new CsvEncoder([CsvEncoder::ESCAPE_FORMULAS_KEY => true]))->encode($rows, 'csv', [CsvEncoder::NO_HEADERS_KEY => true]);
    }

    /** @param list<list<mixed>> $rows the headings first */
    public static function file(array $rows): string
    {
        return self::MARK.self::rows($rows);
    }
}
