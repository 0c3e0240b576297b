<?php

declare(strict_types=1);

namespace App\Tests\Room\Lists;

use App\Room\Lists\RoomLists;
use App\Tests\OwnFileTestCase;
use PhpOffice\PhpSpreadsheet\Reader\Xlsx;
use PhpOffice\PhpSpreadsheet\Shared\Date;
use PHPUnit\Framework\Attributes\DataProvider;

/** The lists of the room, read back with another library than the one that wrote them (PhpSpreadsheet), and as plain CSV. */
final class ListsTest extends OwnFileTestCase
{
    /** @return iterable<string, array{string}> */
    public static function names(): iterable
    {
        foreach (array_keys(RoomLists::names()) as $name) {
            yield $name => [$name];
        }
    }

    #[DataProvider('names')]
    public function testASpreadsheetSaysWhatTheCsvSays(string $name): void
    {
        $this->room();
        $csv = $this->csv($name);
        $sheet = $this->xlsx($name);
        self::assertGreaterThan(1, \count($csv), 'something is in it');
        self::assertSame($csv[0], $sheet[0]);
        self::assertCount(\count($csv), $sheet);
        foreach ($csv as $nth => $cells) {
            self::assertSame(
                array_map(static fn (string $cell): string => ltrim(is_numeric($cell) ? (string) (float) $cell : $cell, "'"), $cells),
                array_map(static fn (string $cell): string => is_numeric($cell) ? (string) (float) $cell : $cell, array_pad($sheet[$nth], \count($cells), '')),
                "row {$nth}",
            );
        }
    }

    /** Names and shapes are said in docs/lists.md, and stay. */
    #[DataProvider('names')]
    public function testItsColumnsAreThoseOfTheDocs(string $name): void
    {
        $this->room();
        $docs = (string) file_get_contents(\dirname(__DIR__, 3).'/docs/lists.md');
        self::assertStringContainsString("\n## {$name}\n", $docs);
        self::assertStringContainsString("\n`".implode('`, `', $this->csv($name)[0])."`\n", $docs);
    }

    public function testNumbersDaysAndTextAreWhatTheyAreInASpreadsheet(): void
    {
        $this->room();
        $item = $this->word("SELECT id FROM item WHERE name = 'Tern and tide'");
        $this->database()->executeStatement("UPDATE item SET name = '=1+1', note = 'a < b & ü' WHERE id = ?", [$item]);
        $this->get('/lists/catalogue.xlsx');
        $file = $this->data.'/list.xlsx';
        file_put_contents($file, $this->browser->getInternalResponse()->getContent());
        $sheet = (new Xlsx())->load($file)->getActiveSheet();
        $row = 1 + (int) array_search($item, array_column($this->rowsOf($file), 0), true);
        self::assertSame('=1+1', $sheet->getCell('B'.$row)->getValueString());
        self::assertFalse($sheet->getCell('B'.$row)->isFormula(), 'text that begins like a formula is text');
        self::assertSame('a < b & ü', $sheet->getCell('R'.$row)->getValueString());
        self::assertIsNumeric($sheet->getCell('A'.$row)->getValue());
        self::assertTrue(Date::isDateTime($sheet->getCell('S'.$row)));
        $since = $this->word("SELECT since FROM item WHERE name = '=1+1'");
        self::assertSame($since, Date::excelToDateTimeObject((float) $sheet->getCell('S'.$row)->getValueString())->format('Y-m-d H:i:s'));
        self::assertTrue($sheet->getStyle('A1')->getFont()->getBold());
        $csv = $this->content('/lists/catalogue.csv');
        self::assertStringContainsString("'=1+1", $csv, 'in CSV it is made harmless');
    }

    /** @return iterable<string, array{string}> */
    public static function listsOfPages(): iterable
    {
        $ofRoom = ['/log', '/log?reason=pull', '/missing', '/upkeep/shopping', '/upkeep/figures'];
        foreach ([...$ofRoom, '/kits/KIT/cut/pieces', '/kits/KIT/cut/cuts', '/shelf/PIECE/supplies'] as $path) {
            yield $path => [$path];
        }
    }

    #[DataProvider('listsOfPages')]
    public function testThePagesListsAreTakenAlongAsBoth(string $path): void
    {
        $this->room();
        $path = strtr($path, [
            'KIT' => $this->word('SELECT min(id) FROM kit'),
            'PIECE' => $this->word("SELECT min(id) FROM item WHERE kind = 'finished piece' AND removed_at IS NULL"),
        ]);
        [$page, $query] = explode('?', $path, 2) + ['', ''];
        $csv = self::cells($this->content("{$page}.csv?{$query}"));
        $file = $this->data.'/list.xlsx';
        file_put_contents($file, $this->content("{$page}.xlsx?{$query}"));
        $sheet = $this->rowsOf($file);
        self::assertGreaterThan(3, \count($csv[0]));
        self::assertSame($csv[0], $sheet[0]);
        self::assertCount(\count($csv), $sheet);
        foreach ($csv as $nth => $row) {
            $plain = static fn (string $cell): string => ltrim(is_numeric($cell) ? (string) (float) $cell : $cell, "'");
            self::assertSame(array_map($plain, $row), array_map($plain, array_pad($sheet[$nth], \count($row), '')), "row {$nth}");
        }
        $this->get("{$page}.pdf2");
        $this->assertCode(404);
    }

    public function testWhoWorksHereTakesListsAlong(): void
    {
        $this->room();
        $this->get('/lists');
        self::assertStringContainsString('Lists and drawings to take along', $this->text());
        foreach (['/lists/secrets.csv', '/lists/log.pdf', '/lists/../log.csv'] as $path) {
            $this->get($path);
            $this->assertCode(404, $path);
        }
    }

    private function room(): void
    {
        $this->moveInto(14);
        $this->console('doctrine:migrations:migrate', '--allow-no-migration');
        $this->openRoom();
        $this->signIn('olive');
    }

    private function content(string $path): string
    {
        $this->get($path);
        $this->assertCode(200, $path);

        return $this->browser->getInternalResponse()->getContent();
    }

    /** @return list<list<string>> */
    private function csv(string $name): array
    {
        return self::cells($this->content("/lists/{$name}.csv"));
    }

    /** @return list<list<string>> */
    private static function cells(string $csv): array
    {
        $handle = fopen('php://memory', 'w+');
        \assert(false !== $handle);
        fwrite($handle, ltrim($csv, "\u{FEFF}"));
        rewind($handle);
        $rows = [];
        while (false !== ($cells = fgetcsv($handle, null, ',', '"', ''))) {
            $rows[] = array_map(static fn (?string $cell): string => (string) $cell, $cells);
        }

        return $rows;
    }

    /** @return list<list<string>> days and moments as the CSV writes them */
    private function xlsx(string $name): array
    {
        $file = $this->data.'/list.xlsx';
        file_put_contents($file, $this->content("/lists/{$name}.xlsx"));

        return $this->rowsOf($file);
    }

    /** @return list<list<string>> */
    private function rowsOf(string $file): array
    {
        $sheet = (new Xlsx())->load($file)->getActiveSheet();
        $rows = [];
        foreach ($sheet->getRowIterator() as $row) {
            $cells = [];
            $iterator = $row->getCellIterator('A', $sheet->getHighestDataColumn());
            $iterator->setIterateOnlyExistingCells(false);
            foreach ($iterator as $cell) {
                $value = $cell->getValueString();
                $format = $cell->getStyle()->getNumberFormat()->getFormatCode();
                $cells[] = is_numeric($value) && str_contains((string) $format, 'yyyy')
                    ? Date::excelToDateTimeObject((float) $value)->format(str_contains((string) $format, 'hh') ? 'Y-m-d\TH:i:s\Z' : 'Y-m-d')
                    : $value;
            }
            $rows[] = $cells;
        }

        return $rows;
    }

    public function testWhatWasTakenOutOfTheCatalogueIsOnNoList(): void
    {
        $this->room();
        $gone = $this->number('SELECT max(id) FROM item');
        $name = $this->word('SELECT name FROM item WHERE id = ?', [$gone]);
        self::assertStringContainsString($name, $this->content('/lists/catalogue.csv'));
        $this->database()->executeStatement("UPDATE item SET removed_at = '2026-12-01 10:00:00' WHERE id = ?", [$gone]);
        self::assertStringNotContainsString($name, $this->content('/lists/catalogue.csv'));
    }
}
