<?php

declare(strict_types=1);

namespace App\Tests\Room\Labels;

use App\Platform\Database\Row;
use App\Room\Labels\SimulatedTapePrinter;
use App\Tests\RoomTestCase;
use Lottel\Core\Label\ScanCode;
use Lottel\Core\Label\Tape;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Process\Process;

/** Labels as they come out: checked with poppler's tools, their codes read back by zbar's decoder. */
final class LabelsTest extends RoomTestCase
{
    private const POINTS_PER_MM = 72 / 25.4;

    /** @return list<int> the waiting labels of places, by id */
    private function wishes(): array
    {
        return array_map(Row::number(...), $this->database()->fetchFirstColumn('SELECT id FROM label_wish ORDER BY id'));
    }

    private function body(): string
    {
        return $this->browser->getInternalResponse()->getContent();
    }

    private function run_(string $content, string $extension, string ...$command): string
    {
        $file = tempnam(sys_get_temp_dir(), 'label').'.'.$extension;
        file_put_contents($file, $content);
        $process = new Process(array_map(static fn (string $part): string => str_replace('FILE', $file, $part), $command));
        $process->mustRun();

        return $process->getOutput();
    }

    /** @return array{float, float, float, float} the numbers that a pattern picks out of a text, 0 for those that it does not have */
    private function numbers(string $pattern, string $text): array
    {
        self::assertSame(1, preg_match($pattern, $text, $m), $pattern);
        $numbers = array_map(floatval(...), \array_slice($m, 1));

        return [$numbers[0] ?? 0.0, $numbers[1] ?? 0.0, $numbers[2] ?? 0.0, $numbers[3] ?? 0.0];
    }

    /** @return list<string> what the codes in a picture say */
    private function codesIn(string $png): array
    {
        $read = array_filter(
            explode("\n", trim($this->run_($png, 'png', 'zbarimg', '--quiet', '--raw', '-Sdisable', '-Sqrcode.enable', 'FILE'))),
            static fn (string $line): bool => '' !== $line,
        );
        sort($read);

        return $read;
    }

    private function pictureOf(string $pdf, int $page = 1): string
    {
        return $this->run_($pdf, 'pdf', 'pdftoppm', '-png', '-r', '300', '-f', (string) $page, '-l', (string) $page, 'FILE');
    }

    public function testASheetHasItsLabelsWhereTheyBelongAndTheirCodesCanBeRead(): void
    {
        $this->furnish();
        $this->describePlace('C3', name: 'stamps L–R');
        $this->entities()->flush();
        $this->get('/stores/labels.pdf?'.http_build_query(['wish' => $this->wishes(), 'sheet' => 'a4-24', 'start' => 5, 'code' => 1]));
        $this->assertCode(200);
        $pdf = $this->body();
        self::assertStringStartsWith('%PDF-', $pdf);
        $facts = $this->run_($pdf, 'pdf', 'pdfinfo', 'FILE');
        self::assertMatchesRegularExpression('/Pages: +1\n/', $facts);
        $m = $this->numbers('/Page size: +([\d.]+) x ([\d.]+) pts/', $facts);
        self::assertEqualsWithDelta([210.0, 297.0], [$m[0] / self::POINTS_PER_MM, $m[1] / self::POINTS_PER_MM], 0.1, 'A4 to the tenth of a millimetre');
        $words = $this->run_($pdf, 'pdf', 'pdftotext', '-bbox', 'FILE', '-');
        // Begin with label 5 of a 3 × 8 sheet of 70 × 36 mm, upper margin 4.5 mm; a drawer label is 70 × 25 mm and lies in the middle.
        foreach (['C1' => [1, 1], 'C2' => [2, 1], 'C3' => [0, 2], 'C4' => [1, 2], 'C5' => [2, 2]] as $address => [$column, $row]) {
            [$left, $top, , $bottom] = array_map(
                static fn (float $points): float => $points / self::POINTS_PER_MM,
                $this->numbers('/xMin="([\d.]+)" yMin="([\d.]+)" xMax="([\d.]+)" yMax="([\d.]+)">'.$address.'</', $words),
            );
            self::assertEqualsWithDelta(70 * $column + 2, $left, 0.6, $address.' begins 2 mm from the edge of its label');
            self::assertGreaterThan(4.5 + 36 * $row + 5.5, ($top + $bottom) / 2, 'not above its label');
            self::assertLessThan(4.5 + 36 * $row + 30.5, $bottom, 'not below it');
        }
        $expected = array_map(fn (string $address): string => (string) ScanCode::ofPlace((int) $this->place($address)->id), ['C1', 'C2', 'C3', 'C4', 'C5']);
        sort($expected);
        self::assertSame($expected, $this->codesIn($this->pictureOf($pdf)));
        self::assertStringContainsString('L–R', $words);
    }

    public function testTheFontsAreInThePdf(): void
    {
        $this->furnish();
        $this->get('/stores/labels.pdf?'.http_build_query(['wish' => $this->wishes(), 'sheet' => 'plain-letter', 'start' => 1]));
        $fonts = $this->run_($this->body(), 'pdf', 'pdffonts', 'FILE');
        $lines = \array_slice(explode("\n", trim($fonts)), 2);
        $used = array_filter($lines, static fn (string $line): bool => str_contains($line, 'DejaVu'));
        self::assertNotSame([], $used);
        foreach ($used as $line) {
            self::assertMatchesRegularExpression('/\byes\b/', $line, 'embedded: '.$line);
        }
        self::assertMatchesRegularExpression('/Page size: +612 x 792 pts/', $this->run_($this->body(), 'pdf', 'pdfinfo', 'FILE'));
    }

    public function testSheetsThatDoNotGoAreRefused(): void
    {
        $this->furnish();
        $wishes = $this->wishes();
        foreach (
            [
                ['wish' => [], 'sheet' => 'a4-24', 'start' => 1],
                ['wish' => $wishes, 'sheet' => 'a4-65', 'start' => 1],
                ['wish' => $wishes, 'sheet' => 'papyrus', 'start' => 1],
                ['wish' => $wishes, 'sheet' => 'a4-24', 'start' => 25],
                ['wish' => $wishes, 'sheet' => 'a4-24', 'start' => 'x'],
            ] as $query
        ) {
            $this->get('/stores/labels.pdf?'.http_build_query($query));
            $this->assertCode(422, (string) json_encode($query));
            self::assertCount(1, $this->browser->getCrawler()->filter('.problem'));
        }
    }

    public function testWhatIsTooLargeForASheetIsNamedAndTheOthersAreStillChosen(): void
    {
        $this->furnish();
        $this->postAndFollow('/stores/places/C1/inner', ['label' => 'x', 'kind' => 'box', 'layer' => '0']);
        $wishes = $this->wishes();
        $this->get('/stores/labels.pdf?'.http_build_query(['wish' => $wishes, 'sheet' => 'a4-24', 'start' => 1]));
        $this->assertCode(422);
        $page = $this->browser->getCrawler();
        self::assertStringContainsString('C1.x is larger than a label of this sheet. Only the other 5 are still chosen', $page->filter('.problem')->text());
        self::assertCount(5, $page->filter('[name="wish[]"][checked]'));
        self::assertSame('a4-24', $page->filter('#sheet-sheet option[selected]')->attr('value'));
        $chosen = $page->filter('[name="wish[]"][checked]')->extract(['value']);
        $this->get('/stores/labels.pdf?'.http_build_query(['wish' => $chosen, 'sheet' => 'a4-24', 'start' => 1]));
        $this->assertCode(200);
    }

    public function testLabelsOfAllSizesSharePlainPaperOfTheRoom(): void
    {
        $this->furnish();
        self::assertSame('plain-letter', $this->get('/stores/labels')->filter('#sheet-sheet option[selected]')->attr('value'));
        $this->database()->executeStatement("UPDATE room SET measure = 'mm'");
        self::assertSame('plain-a4', $this->get('/stores/labels')->filter('#sheet-sheet option[selected]')->attr('value'));
        foreach (['C1' => 'box', 'C2' => 'box', 'C3' => 'jar', 'C4' => 'folder'] as $address => $kind) {
            foreach (['p', 'q', 'r'] as $label) {
                $this->postAndFollow("/stores/places/{$address}/inner", ['label' => $label, 'kind' => $kind, 'layer' => '0']);
            }
        }
        $wishes = $this->wishes();
        self::assertCount(17, $wishes);
        $this->get('/stores/labels.pdf?'.http_build_query(['wish' => $wishes, 'sheet' => 'plain-a4']));
        self::assertMatchesRegularExpression('/Pages: +1\n/', $this->run_($this->body(), 'pdf', 'pdfinfo', 'FILE'));
    }

    public function testASheetOfOnesOwn(): void
    {
        $this->furnish();
        $own = [
            'sheet_name' => 'round ones',
            'page_width' => '210 mm',
            'page_height' => '297 mm',
            'left' => '10 mm',
            'top' => '10.5 mm',
            'sheet_columns' => '2',
            'sheet_rows' => '6',
            'label_width' => '90 mm',
            'label_height' => '40 mm',
            'gap_across' => '5 mm',
            'gap_down' => '2 mm',
        ];
        $this->postAndFollow('/stores/labels/sheets', $own);
        $key = 'own-'.$this->number('SELECT id FROM label_sheet');
        $this->get('/stores/labels.pdf?'.http_build_query(['wish' => $this->wishes(), 'sheet' => $key, 'start' => 12]));
        self::assertMatchesRegularExpression('/Pages: +2\n/', $this->run_($this->body(), 'pdf', 'pdfinfo', 'FILE'), 'one on the first page, four on the next');
        foreach ([['sheet_columns' => '3'], ['label_height' => '60 mm'], ['label_width' => '2 mm'], ['sheet_name' => ''], ['page_width' => 'wide']] as $wrong) {
            $this->post('/stores/labels/sheets', $wrong + ['_form' => 'own', 'sheet_name' => 'another'] + $own);
            $this->assertCode(422, (string) json_encode($wrong));
            self::assertGreaterThan(0, $this->browser->getCrawler()->filter('.field-error')->count());
        }
    }

    /** @return iterable<string, array{string}> */
    public static function formats(): iterable
    {
        foreach (['front', 'box end', 'tab', 'divider', 'die back', 'lid', 'swatch', 'layer', 'contents'] as $format) {
            yield $format => [$format];
        }
    }

    #[DataProvider('formats')]
    public function testEveryLabelIsTrueToSizeInEveryFile(string $format): void
    {
        $this->furnish();
        [$gulls] = $this->putInto('C3', 'Lighthouse & gulls; Two Bollards; 1; sea; #1f5c6b', 'Éider <family>; Oddling');
        $subject = \in_array($format, ['die back', 'swatch'], true) ? 'item/'.$gulls->id : 'place/'.$this->place('C3')->id;
        $query = http_build_query(['format' => $format, 'code' => 1]);
        $this->get("/stores/labels/{$subject}.svg?{$query}");
        $this->assertCode(200);
        $m = $this->numbers('/<svg [^>]*width="([\d.]+)mm" height="([\d.]+)mm"/', $this->body());
        $svg = new \DOMDocument();
        self::assertTrue($svg->loadXML($this->body()), 'it is well formed');
        $this->get("/stores/labels/{$subject}.pdf?{$query}");
        $p = $this->numbers('/Page size: +([\d.]+) x ([\d.]+) pts/', $this->run_($this->body(), 'pdf', 'pdfinfo', 'FILE'));
        self::assertEqualsWithDelta([$m[0], $m[1]], [$p[0] / self::POINTS_PER_MM, $p[1] / self::POINTS_PER_MM], 0.1);
        $this->get("/stores/labels/{$subject}.png?{$query}");
        $png = $this->body();
        $size = getimagesizefromstring($png);
        self::assertNotFalse($size);
        self::assertEqualsWithDelta([$m[0] * 12, $m[1] * 12], [$size[0], $size[1]], 1);
        if (str_contains($svg->saveXML() ?: '', 'crispEdges')) {
            $expected = (string) (str_starts_with($subject, 'item') ? ScanCode::ofItem((int) $gulls->id) : ScanCode::ofPlace((int) $this->place('C3')->id));
            self::assertSame([$expected], $this->codesIn($png), 'the code in the picture can be read');
        } else {
            self::assertContains($format, ['tab'], 'only a tab has no room for a code');
        }
    }

    public function testASizeOfOnesOwnAndSizesThatCannotBe(): void
    {
        $this->furnish();
        $page = $this->get('/stores/places/C1/label?format=front&width=3+3/8&height=30+mm&code=1');
        self::assertStringContainsString('about 3⅜ × 1 3/16 in', $this->text());
        self::assertCount(1, $page->filter('.label-stage svg'));
        foreach (['width=2+mm&height=1', 'width=900&height=1', 'width=-3&height=1', 'width=big&height=1'] as $query) {
            $this->get('/stores/places/C1/label?format=front&'.$query);
            $this->assertCode(422, $query);
            self::assertStringContainsString('A label is from ¼ in to 11¾ in wide and high', $this->text());
            $this->get('/stores/labels/place/'.$this->place('C1')->id.'.pdf?format=front&'.$query);
            $this->assertCode(400, $query);
        }
    }

    public function testTheQueueIsFedAndEmptied(): void
    {
        $this->furnish();
        $page = $this->get('/stores/labels');
        self::assertStringContainsString('5 waiting', $this->text());
        $this->post('/stores/labels/printed', ['wish' => \array_slice($this->wishes(), 0, 4)]);
        $this->browser->followRedirect();
        self::assertStringContainsString('1 waiting', $this->text());
        $this->post('/stores/labels/printed', ['wish' => $this->wishes()]);
        $this->browser->followRedirect();
        self::assertStringContainsString('Every place has a label that is true', $this->text());
        $this->postAndFollow('/stores/places/C2', ['name' => 'envelopes', 'scheme' => 'name']);
        $this->postAndFollow('/stores/places/C2', ['name' => 'envelopes', 'scheme' => 'maker']);
        $this->get('/stores/labels');
        self::assertStringContainsString('1 waiting', $this->text());
        self::assertStringContainsString('renamed', $this->text());
        $this->describePlace('C4', \Lottel\Core\Catalogue\Kind::Die);
        $this->entities()->flush();
        [$die] = $this->putInto('C4', 'Nesting gulls; Oddling');
        $this->postAndFollow("/items/{$die->id}/home", ['address' => 'C5']);
        $this->get('/stores/labels');
        self::assertStringContainsString('Nesting gulls', $this->text());
        self::assertStringContainsString('moved', $this->text());
    }

    public function testTheTapePrinterPrintsRunsOutAndJams(): void
    {
        $this->furnish();
        $printer = $this->service(SimulatedTapePrinter::class);
        $printer->empty();
        $printer->load(Tape::Eighteen);
        [$first, $second, $third] = $this->wishes();
        $this->postAndFollow('/stores/tape', ['tape' => '18', 'wish' => [$first, $second]]);
        self::assertCount(2, $this->browser->getCrawler()->filter('.tape svg'));
        self::assertCount(3, $this->wishes());
        $status = $printer->status();
        self::assertSame(['C2', 'C1'], array_column($status->last, 'text'));
        self::assertMatchesRegularExpression('/height="18mm"/', $status->last[0]['svg']);
        self::assertSame(
            SimulatedTapePrinter::FULL -
                array_sum(
                    array_map(
                        static fn (array $tape): int => 1 === preg_match('/width="([\d.]+)mm"/', $tape['svg'], $m) ? (int) round(10 * (float) $m[1]) : 0,
                        $status->last,
                    ),
                ),
            $status->left,
            'so much tape is gone as was cut off',
        );

        $this->postAndFollow('/stores/tape/set', ['do' => 'jam', 'tape' => '18']);
        $this->post('/stores/tape', ['tape' => '18', 'wish' => [$third]]);
        $this->assertCode(409);
        self::assertStringContainsString('jammed', $this->text());
        $this->postAndFollow('/stores/tape/set', ['do' => 'clear', 'tape' => '18']);
        $this->postAndFollow('/stores/tape/set', ['do' => 'short', 'tape' => '24']);
        $this->post('/stores/tape', ['tape' => '24', 'wish' => [$third]]);
        $this->assertCode(409);
        self::assertStringContainsString('The tape is out', $this->text());
        $this->post('/stores/tape', ['tape' => '12', 'wish' => [$third]]);
        $this->assertCode(409);
        self::assertStringContainsString('24 mm tape in the printer', $this->text());
        $this->post('/stores/tape', ['tape' => '13', 'wish' => [$third]]);
        $this->assertCode(422);
        self::assertCount(3, $this->wishes(), 'what was not printed still waits');
        $printer->load(Tape::Eighteen, 700);
        $this->postAndFollow('/stores/tape', ['tape' => '18', 'wish' => $this->wishes()]);
        self::assertStringContainsString('1 on tape, cut and ready. Then it stopped. The tape is out', $this->text());
        self::assertCount(2, $this->wishes(), 'what came out waits no longer');
        for ($label = 0; $label < 14; ++$label) {
            $this->postAndFollow('/stores/tape/set', ['do' => 'load', 'tape' => '6']);
            $this->postAndFollow('/stores/labels/place/'.$this->place('C1')->id.'/wish', ['format' => 'front']);
            $this->postAndFollow('/stores/tape', ['tape' => '6', 'wish' => [$this->number('SELECT max(id) FROM label_wish')]]);
        }
        self::assertCount(12, $printer->status()->last, 'the last ones are kept');
        $this->postAndFollow('/stores/tape/set', ['do' => 'forget', 'tape' => '6']);
        self::assertStringContainsString('Nothing has been printed yet', $this->text());
    }

    public function testTheLegendSaysWhatIsWhere(): void
    {
        $this->furnish();
        $this->putInto('C2', 'Gulls', 'Terns', 'Puffins', 'Eiders', 'Petrels', 'Herons', 'Curlews', 'Sandpipers');
        $page = $this->get('/stores/units/C/legend');
        self::assertCount(5, $page->filter('.legend-sheet tbody tr'));
        self::assertStringContainsString('Curlews, Eiders, Gulls, Herons, Petrels, Puffins and 2 more', $this->text());
        self::assertGreaterThan(0, $page->filter('.legend-page svg.elevation')->count());
    }
}
