<?php

declare(strict_types=1);

namespace App\Room\ListImport;

use PhpOffice\PhpSpreadsheet\Cell\Cell;
use PhpOffice\PhpSpreadsheet\Cell\DataType;
use PhpOffice\PhpSpreadsheet\Reader\Ods;
use PhpOffice\PhpSpreadsheet\Reader\Xlsx;
use PhpOffice\PhpSpreadsheet\RichText\RichText;
use PhpOffice\PhpSpreadsheet\Shared\Date;
use PhpOffice\PhpSpreadsheet\Worksheet\Worksheet;

/**
 * Reads the rows of a spreadsheet or of a text with separators, whatever their encoding. Formulas are not worked out: what they came
 * to last is taken. Done in a process of its own, since a sheet is held in memory whole.
 */
final class SheetRows
{
    private const MOST_UNPACKED = 400_000_000;
    private const SNIFFED_BYTES = 65_536;
    private const SEPARATORS = [';', ',', "\t", '|'];

    public int $formulas = 0;

    /**
     * @return iterable<list<string>>
     *
     * @throws InvalidSheet if it is none, or too large
     */
    public function of(string $path): iterable
    {
        $begins = (string) file_get_contents($path, false, null, 0, 4);
        $row = 0;
        foreach ("PK\x03\x04" === $begins ? $this->spreadsheet($path) : $this->text($path) as $cells) {
            self::checkLength(++$row, $cells);
            yield $cells;
        }
    }

    /** @param list<string> $cells */
    private static function checkLength(int $row, array $cells): void
    {
        $lengths = array_map(static fn (string $cell): int => mb_strlen($cell), $cells);
        foreach ($lengths as $column => $length) {
            if ($length > InvalidSheet::MOST_CHARACTERS_OF_A_CELL) {
                throw InvalidSheet::hasALongCell($row, $column + 1);
            }
        }
        if (array_sum($lengths) > InvalidSheet::MOST_CHARACTERS_OF_A_ROW) {
            throw InvalidSheet::hasALongRow($row);
        }
    }

    /** @return iterable<list<string>> */
    private function spreadsheet(string $path): iterable
    {
        $reader = $this->reader($path);
        $reader->setReadDataOnly(false)->setReadEmptyCells(false);
        try {
            $names = $reader->listWorksheetInfo($path);
            $full = array_values(array_filter($names, static fn (array $sheet): bool => $sheet['totalRows'] > 0));
            $first = $full[0] ?? throw InvalidSheet::isEmpty();
            $this->check($first['totalRows'], $first['totalColumns']);
            $sheet = $reader->setLoadSheetsOnly([$first['worksheetName']])->load($path)->getActiveSheet();
        } catch (InvalidSheet $invalid) {
            throw $invalid;
        } catch (\Throwable) {
            throw InvalidSheet::isDamaged();
        }

        return $this->cells($sheet);
    }

    private function reader(string $path): Xlsx|Ods
    {
        $zip = new \ZipArchive();
        if (true !== $zip->open($path, \ZipArchive::RDONLY)) {
            throw InvalidSheet::isDamaged();
        }
        $unpacked = 0;
        for ($index = 0; $index < $zip->numFiles; ++$index) {
            $file = $zip->statIndex($index);
            $unpacked += false === $file ? 0 : $file['size'];
        }
        if ($unpacked > self::MOST_UNPACKED) {
            throw InvalidSheet::growsTooLarge();
        }
        $reader = match (true) {
            false !== $zip->locateName('xl/workbook.xml') => new Xlsx(),
            false !== $zip->locateName('content.xml') => new Ods(),
            default => throw InvalidSheet::isNoSheet(),
        };
        $zip->close();

        return $reader;
    }

    private function check(int $rows, int $columns): void
    {
        if ($rows > InvalidSheet::MOST_ROWS + 1) {
            throw InvalidSheet::hasTooManyRows();
        }
        if ($columns > InvalidSheet::MOST_COLUMNS) {
            throw InvalidSheet::hasTooManyColumns($columns);
        }
    }

    /** @return iterable<list<string>> */
    private function cells(Worksheet $sheet): iterable
    {
        $last = $sheet->getHighestDataColumn();
        foreach ($sheet->getRowIterator() as $row) {
            $cells = [];
            $iterator = $row->getCellIterator('A', $last);
            $iterator->setIterateOnlyExistingCells(false);
            foreach ($iterator as $cell) {
                $cells[] = $this->value($cell);
            }
            yield $cells;
        }
    }

    private function value(Cell $cell): string
    {
        $value = $cell->getValue();
        if (DataType::TYPE_FORMULA === $cell->getDataType()) {
            ++$this->formulas;
            $value = $cell->getOldCalculatedValue();
        }
        if ((\is_int($value) || \is_float($value)) && Date::isDateTime($cell)) {
            return Date::excelToDateTimeObject($value)->format('Y-m-d');
        }

        return match (true) {
            $value instanceof RichText => $value->getPlainText(),
            \is_bool($value) => $value ? 'yes' : 'no',
            \is_float($value) => rtrim(rtrim(\sprintf('%.6F', $value), '0'), '.'),
            \is_scalar($value) => (string) $value,
            default => '',
        };
    }

    /** @return iterable<list<string>> */
    private function text(string $path): iterable
    {
        $begins = (string) file_get_contents($path, false, null, 0, self::SNIFFED_BYTES);
        $encoding = self::encoding($path, $begins);
        $handle = fopen($path, 'r');
        if (false === $handle) {
            throw InvalidSheet::didNotArrive();
        }
        if ('UTF-8' !== $encoding) {
            stream_filter_append($handle, "convert.iconv.{$encoding}/UTF-8//TRANSLIT", \STREAM_FILTER_READ);
            $begins = (string) @iconv($encoding, 'UTF-8//IGNORE', $begins);
        }
        if (1 === preg_match('/[\x00-\x08\x0E-\x1F]/', ltrim($begins, "\u{FEFF}"))) {
            throw InvalidSheet::isNoSheet();
        }

        return $this->lines($handle, self::separator(ltrim($begins, "\u{FEFF}")));
    }

    /**
     * @param resource $handle
     *
     * @return iterable<list<string>>
     */
    private function lines($handle, string $separator): iterable
    {
        for ($row = 0; false !== ($cells = fgetcsv($handle, null, $separator, '"', '')); ++$row) {
            $this->check($row + 1, \count($cells));
            $cells = array_map(static fn (mixed $cell): string => (string) $cell, $cells);
            if (0 === $row) {
                $cells[0] = ltrim($cells[0], "\u{FEFF}");
            }
            yield $cells;
        }
    }

    /** By its mark, or because all of it is UTF-8, or what spreadsheets write otherwise. */
    private static function encoding(string $path, string $begins): string
    {
        return match (true) {
            str_starts_with($begins, "\xFF\xFE") => 'UTF-16LE',
            str_starts_with($begins, "\xFE\xFF") => 'UTF-16BE',
            str_starts_with($begins, "\xEF\xBB\xBF"), mb_check_encoding((string) file_get_contents($path), 'UTF-8') => 'UTF-8',
            default => 'WINDOWS-1252',
        };
    }

    /** The one that parts the most lines into the same number of cells. */
    private static function separator(string $begins): string
    {
        $lines = \array_slice(preg_split('/\R+/u', $begins, -1, \PREG_SPLIT_NO_EMPTY) ?: [], 0, 20);
        $best = ',';
        $most = 0;
        foreach (self::SEPARATORS as $separator) {
            $counts = array_map(static fn (string $line): int => \count(str_getcsv($line, $separator, '"', '')), $lines);
            $usual = [] === $counts ? 1 : max($counts);
            $fits = $usual < 2 ? 0 : \count(array_keys($counts, $usual, true)) * $usual;
            [$best, $most] = $fits > $most ? [$separator, $fits] : [$best, $most];
        }

        return $best;
    }
}
