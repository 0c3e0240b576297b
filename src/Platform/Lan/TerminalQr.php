<?php

declare(strict_types=1);

namespace App\Platform\Lan;

/** A QR code in a terminal: two modules to a character, dark on light. */
final class TerminalQr
{
    private const MARGIN = 2;

    /** @param list<list<int>> $rows the columns of the dark modules in each row */
    public static function of(array $rows): string
    {
        $dark = array_map(static fn (array $columns): array => array_fill_keys($columns, true), $rows);
        $lines = [];
        for ($y = -self::MARGIN, $size = \count($rows) + self::MARGIN; $y < $size; $y += 2) {
            $line = '';
            for ($x = -self::MARGIN; $x < $size; ++$x) {
                $line .= match ([isset($dark[$y][$x]), isset($dark[$y + 1][$x])]) {
                    [false, false] => '█',
                    [false, true] => '▀',
                    [true, false] => '▄',
                    default => ' ',
                };
            }
            $lines[] = $line;
        }

        return implode("\n", $lines);
    }
}
