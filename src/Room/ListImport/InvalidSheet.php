<?php

declare(strict_types=1);

namespace App\Room\ListImport;

use App\Platform\Steps\Refusal;

/** A file that is no list which could be read; the message tells a person why and what to do. */
final class InvalidSheet extends \RuntimeException implements Refusal
{
    public const MOST_BYTES = 50_000_000;
    public const MOST_ROWS = 20_000;
    public const MOST_COLUMNS = 100;
    public const MOST_CHARACTERS_OF_A_CELL = 4000;
    public const MOST_CHARACTERS_OF_A_ROW = 20_000;

    public function field(): string
    {
        return 'file';
    }

    /** What the process that reads said. */
    public static function because(string $why): self
    {
        return new self($why);
    }

    public static function didNotArrive(): self
    {
        return new self('Choose the list first: a CSV, TSV, XLSX or ODS file.');
    }

    public static function isTooLarge(): self
    {
        return new self(\sprintf('The file is larger than %d MB. Save only the sheet with the list, without pictures, as CSV.', self::MOST_BYTES / 1_000_000));
    }

    public static function isNoSheet(): self
    {
        return new self('This is neither CSV, TSV, XLSX nor ODS. Save the list as one of these.');
    }

    public static function isEmpty(): self
    {
        return new self('There is nothing in this list.');
    }

    public static function hasTooManyRows(): self
    {
        return new self(\sprintf('The list has more than %s rows. Take it in in two or more parts.', number_format(self::MOST_ROWS)));
    }

    public static function hasTooManyColumns(int $columns): self
    {
        return new self(\sprintf('The list has %d columns; %d are the most. Delete those that say nothing of the things.', $columns, self::MOST_COLUMNS));
    }

    /** @param int $row and $column from 1 */
    public static function hasALongCell(int $row, int $column): self
    {
        return new self(\sprintf(
            'The cell in row %s, column %d has more than %s characters. Shorten it, or see whether a quotation mark is missing at its end.',
            number_format($row),
            $column,
            number_format(self::MOST_CHARACTERS_OF_A_CELL),
        ));
    }

    public static function hasALongRow(int $row): self
    {
        $most = number_format(self::MOST_CHARACTERS_OF_A_ROW);

        return new self(\sprintf('Row %s has more than %s characters. Leave out the columns that say nothing of the things.', number_format($row), $most));
    }

    public static function growsTooLarge(): self
    {
        return new self('Unpacked, this file is far too large to be a list. Save the list as CSV.');
    }

    public static function isDamaged(): self
    {
        return new self('The file is damaged, or too large to be read. Open it in the program that wrote it, and save the list as CSV.');
    }

    public static function nothingIsReady(): self
    {
        return new self('No row of this list can be taken in as things stand. Mend some, or say what their columns say.');
    }

    public static function cannotBeKept(): self
    {
        return new self('The list could not be kept: is there room on the disk?');
    }
}
