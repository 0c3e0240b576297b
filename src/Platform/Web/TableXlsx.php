<?php

declare(strict_types=1);

namespace App\Platform\Web;

/**
 * A list as a spreadsheet: one sheet of Office Open XML (ECMA-376, part 1, SpreadsheetML), written row by row so that its length is no matter.
 * Text is text, also where it begins like a formula.
 */
final class TableXlsx
{
    private const MAIN = 'http://schemas.openxmlformats.org/spreadsheetml/2006/main';
    private const OFFICE = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships';
    private const PACKAGE = 'http://schemas.openxmlformats.org/package/2006';
    private const TYPE = 'application/vnd.openxmlformats-officedocument.spreadsheetml';

    /** Cell styles by their place in styles.xml. */
    private const PLAIN = 0;
    private const HEAD = 1;
    private const DAY = 2;
    private const MOMENT = 3;
    private const MONEY = 4;
    private const DAYS_TO_1970 = 25569;

    /** @return string the path of a new file, which is the caller's to throw away */
    public function write(Table $table): string
    {
        $sheet = (string) tempnam(sys_get_temp_dir(), 'lottel-sheet');
        $this->sheet($table, $sheet);
        $path = (string) tempnam(sys_get_temp_dir(), 'lottel-list');
        $zip = new \ZipArchive();
        $zip->open($path, \ZipArchive::OVERWRITE);
        foreach ($this->parts($table->name) as $name => $xml) {
            $zip->addFromString($name, '<?xml version="1.0" encoding="UTF-8" standalone="yes"?>'.$xml);
        }
        $zip->addFile($sheet, 'xl/worksheets/sheet1.xml');
        $isWhole = $zip->close();
        unlink($sheet);

        return $isWhole ? $path : throw new \RuntimeException('The spreadsheet could not be written; is the disk full?');
    }

    private function sheet(Table $table, string $path): void
    {
        $xml = new \XMLWriter();
        $xml->openUri($path);
        $xml->startDocument('1.0', 'UTF-8', 'yes');
        $xml->startElement('worksheet');
        $xml->writeAttribute('xmlns', self::MAIN);
        $pane = '<pane ySplit="1" topLeftCell="A2" activePane="bottomLeft" state="frozen"/>';
        $xml->writeRaw('<sheetViews><sheetView workbookViewId="0">'.$pane.'</sheetView></sheetViews>');
        $xml->startElement('sheetData');
        $this->row($xml, 1, array_keys($table->columns), array_fill(0, \count($table->columns), null));
        $number = 1;
        foreach ($table->rows as $row) {
            $this->row($xml, ++$number, $row, array_values($table->columns));
        }
        $xml->endElement();
        $xml->endElement();
        $xml->endDocument();
        $xml->flush();
    }

    /**
     * @param list<float|int|string|null> $cells
     * @param list<ColumnKind|null> $kinds null for headings
     */
    private function row(\XMLWriter $xml, int $number, array $cells, array $kinds): void
    {
        $xml->startElement('row');
        $xml->writeAttribute('r', (string) $number);
        foreach ($cells as $column => $value) {
            if (null !== $value && '' !== $value) {
                $this->cell($xml, self::letters($column).$number, $value, $kinds[$column] ?? null);
            }
        }
        $xml->endElement();
        if (0 === $number % 500) {
            $xml->flush();
        }
    }

    private function cell(\XMLWriter $xml, string $at, float|int|string $value, ?ColumnKind $kind): void
    {
        $number = match (true) {
            ColumnKind::Day === $kind, ColumnKind::Moment === $kind => self::serial((string) $value),
            null === $kind, ColumnKind::Text === $kind, ColumnKind::AsItIs === $kind && \is_string($value) => null,
            default => is_numeric($value) ? (string) $value : null,
        };
        $xml->startElement('c');
        $xml->writeAttribute('r', $at);
        $style = match (true) {
            null === $kind => self::HEAD,
            null === $number => self::PLAIN,
            default => match ($kind) {
                ColumnKind::Day => self::DAY,
                ColumnKind::Moment => self::MOMENT,
                ColumnKind::Money => self::MONEY,
                default => self::PLAIN,
            },
        };
        if (self::PLAIN !== $style) {
            $xml->writeAttribute('s', (string) $style);
        }
        if (null !== $number) {
            $xml->writeElement('v', $number);
        } else {
            $xml->writeAttribute('t', 'inlineStr');
            $xml->startElement('is');
            $xml->startElement('t');
            $xml->writeAttribute('xml:space', 'preserve');
            $xml->text((string) preg_replace('/[\x00-\x08\x0B\x0C\x0E-\x1F]/', '', (string) $value));
            $xml->endElement();
            $xml->endElement();
        }
        $xml->endElement();
    }

    /** Days since the beginning of 1900, as spreadsheets count them (ECMA-376, part 1, 18.17.4). */
    private static function serial(string $moment): ?string
    {
        $seconds = strtotime(str_ends_with($moment, 'Z') ? $moment : $moment.' UTC');

        if (false === $seconds) {
            return null;
        }
        // A hair more than the second, since readers cut off what is behind it.
        $hair = 0 === $seconds % 86_400 ? 0 : 1e-9;

        return rtrim(rtrim(\sprintf('%.10F', self::DAYS_TO_1970 + $seconds / 86_400 + $hair), '0'), '.');
    }

    private static function letters(int $column): string
    {
        return ($column >= 26 ? \chr(64 + intdiv($column, 26)) : '').\chr(65 + $column % 26);
    }

    /** @return array<string, string> */
    private function parts(string $name): array
    {
        $office = self::OFFICE;
        $to = static fn (string $id, string $kind, string $target): string => "<Relationship Id=\"{$id}\" Type=\"{$office}/{$kind}\" Target=\"{$target}\"/>";
        $relations = static fn (string ...$of): string => '<Relationships xmlns="'.self::PACKAGE.'/relationships">'.implode('', $of).'</Relationships>';
        $part = static fn (string $path, string $type): string => "<Override PartName=\"{$path}\" ContentType=\"".self::TYPE.".{$type}+xml\"/>";

        return [
            '[Content_Types].xml' => '<Types xmlns="'.self::PACKAGE.'/content-types">'
                .'<Default Extension="rels" ContentType="application/vnd.openxmlformats-package.relationships+xml"/>'
                .$part('/xl/workbook.xml', 'sheet.main').$part('/xl/worksheets/sheet1.xml', 'worksheet').$part('/xl/styles.xml', 'styles').'</Types>',
            '_rels/.rels' => $relations($to('r1', 'officeDocument', 'xl/workbook.xml')),
            'xl/workbook.xml' => '<workbook xmlns="'.self::MAIN."\" xmlns:r=\"{$office}\"><sheets>"
                ."<sheet name=\"{$name}\" sheetId=\"1\" r:id=\"r1\"/></sheets></workbook>",
            'xl/_rels/workbook.xml.rels' => $relations($to('r1', 'worksheet', 'worksheets/sheet1.xml'), $to('r2', 'styles', 'styles.xml')),
            'xl/styles.xml' => '<styleSheet xmlns="'.self::MAIN.'"><numFmts count="2"><numFmt numFmtId="164" formatCode="yyyy\-mm\-dd"/>'
                .'<numFmt numFmtId="165" formatCode="yyyy\-mm\-dd\ hh:mm:ss"/></numFmts>'
                .'<fonts count="2"><font><sz val="11"/></font><font><b/><sz val="11"/></font></fonts>'
                .'<fills count="2"><fill><patternFill patternType="none"/></fill><fill><patternFill patternType="gray125"/></fill></fills>'
                .'<borders count="1"><border/></borders><cellStyleXfs count="1"><xf/></cellStyleXfs>'
                .'<cellXfs count="5"><xf/><xf fontId="1" applyFont="1"/><xf numFmtId="164" applyNumberFormat="1"/>'
                .'<xf numFmtId="165" applyNumberFormat="1"/><xf numFmtId="4" applyNumberFormat="1"/></cellXfs></styleSheet>',
        ];
    }
}
