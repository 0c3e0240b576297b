<?php

declare(strict_types=1);

namespace App\Tests;

/** Spreadsheets made by hand, as ECMA-376 (Office Open XML) and OASIS OpenDocument say: their smallest files that hold a table. */
final class SheetFile
{
    /** @param list<list<string|array{string, string}>> $rows cells; a formula is given with what it came to */
    public static function xlsx(array $rows): string
    {
        $xml = '';
        foreach ($rows as $r => $cells) {
            $xml .= '<row r="'.($r + 1).'">';
            foreach ($cells as $c => $cell) {
                $at = self::column($c).($r + 1);
                $xml .= match (true) {
                    \is_array($cell) => \sprintf('<c r="%s" t="str"><f>%s</f><v>%s</v></c>', $at, self::escape(substr($cell[0], 1)), self::escape($cell[1])),
                    1 === preg_match('/^\d+(\.\d+)?$/D', $cell) => \sprintf('<c r="%s"><v>%s</v></c>', $at, $cell),
                    default => \sprintf('<c r="%s" t="inlineStr"><is><t>%s</t></is></c>', $at, self::escape($cell)),
                };
            }
            $xml .= '</row>';
        }
        $main = 'http://schemas.openxmlformats.org/spreadsheetml/2006/main';
        $office = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships';
        $type = 'application/vnd.openxmlformats-officedocument.spreadsheetml';
        $package = 'http://schemas.openxmlformats.org/package/2006';
        $to = static fn (string $kind, string $target): string => "<Relationships xmlns=\"{$package}/relationships\">"
            ."<Relationship Id=\"r1\" Type=\"{$office}/{$kind}\" Target=\"{$target}\"/></Relationships>";

        return self::zip([
            '[Content_Types].xml' => "<Types xmlns=\"{$package}/content-types\">"
                .'<Default Extension="rels" ContentType="application/vnd.openxmlformats-package.relationships+xml"/>'
                ."<Override PartName=\"/xl/workbook.xml\" ContentType=\"{$type}.sheet.main+xml\"/>"
                ."<Override PartName=\"/xl/worksheets/sheet1.xml\" ContentType=\"{$type}.worksheet+xml\"/></Types>",
            '_rels/.rels' => $to('officeDocument', 'xl/workbook.xml'),
            'xl/workbook.xml' => "<workbook xmlns=\"{$main}\" xmlns:r=\"{$office}\">"
                .'<sheets><sheet name="Stash" sheetId="1" r:id="r1"/></sheets></workbook>',
            'xl/_rels/workbook.xml.rels' => $to('worksheet', 'worksheets/sheet1.xml'),
            'xl/worksheets/sheet1.xml' => "<worksheet xmlns=\"{$main}\"><sheetData>{$xml}</sheetData></worksheet>",
        ]);
    }

    /** @param list<list<string>> $rows */
    public static function ods(array $rows): string
    {
        $cell = static fn (string $text): string => '<table:table-cell office:value-type="string"><text:p>'.self::escape($text).'</text:p></table:table-cell>';
        $xml = '';
        foreach ($rows as $cells) {
            $xml .= '<table:table-row>'.implode('', array_map($cell, $cells)).'</table:table-row>';
        }
        $names = 'urn:oasis:names:tc:opendocument:xmlns';
        $short = ['office', 'table', 'text', 'style', 'number'];
        $all = implode(' ', array_map(static fn (string $of): string => "xmlns:{$of}=\"{$names}:".('number' === $of ? 'datastyle' : $of).':1.0"', $short));

        return self::zip([
            'mimetype' => 'application/vnd.oasis.opendocument.spreadsheet',
            'META-INF/manifest.xml' => "<manifest:manifest xmlns:manifest=\"{$names}:manifest:1.0\"><manifest:file-entry manifest:full-path=\"/\" "
                .'manifest:media-type="application/vnd.oasis.opendocument.spreadsheet"/></manifest:manifest>',
            'content.xml' => "<office:document-content {$all} office:version=\"1.2\">"
                ."<office:body><office:spreadsheet><table:table table:name=\"Stash\">{$xml}</table:table></office:spreadsheet></office:body>"
                .'</office:document-content>',
            'styles.xml' => "<office:document-styles {$all} office:version=\"1.2\"/>",
            'meta.xml' => "<office:document-meta xmlns:office=\"{$names}:office:1.0\" office:version=\"1.2\"><office:meta/></office:document-meta>",
            'settings.xml' => "<office:document-settings xmlns:office=\"{$names}:office:1.0\" office:version=\"1.2\"/>",
        ]);
    }

    /** A small archive that would fill the memory. */
    public static function swelling(int $megabytes): string
    {
        $zeros = (string) tempnam(sys_get_temp_dir(), 'zeros');
        $handle = fopen($zeros, 'r+');
        \assert(false !== $handle);
        ftruncate($handle, max(0, $megabytes * 1_000_000));
        fclose($handle);
        $content = self::zip(['xl/workbook.xml' => '<workbook/>'], ['xl/worksheets/sheet1.xml' => $zeros]);
        unlink($zeros);

        return $content;
    }

    /**
     * @param array<string, string> $files
     * @param array<string, string> $paths
     */
    public static function zip(array $files, array $paths = []): string
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'sheet');
        $zip = new \ZipArchive();
        $zip->open($path, \ZipArchive::OVERWRITE);
        foreach ($files as $name => $content) {
            $isXml = str_ends_with($name, '.xml') || str_ends_with($name, '.rels');
            $zip->addFromString($name, ($isXml ? '<?xml version="1.0" encoding="UTF-8"?>' : '').$content);
        }
        foreach ($paths as $name => $file) {
            $zip->addFile($file, $name);
        }
        $zip->close();
        $content = (string) file_get_contents($path);
        unlink($path);

        return $content;
    }

    private static function column(int $index): string
    {
        return ($index >= 26 ? \chr(64 + intdiv($index, 26)) : '').\chr(65 + $index % 26);
    }

    private static function escape(string $text): string
    {
        return htmlspecialchars($text, \ENT_XML1 | \ENT_QUOTES);
    }
}
