<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\ListImport;

use Lottel\Core\Catalogue\Kind;
use Lottel\Core\ListImport\Headings;
use Lottel\Core\ListImport\InvalidRow;
use Lottel\Core\ListImport\ListField as F;
use Lottel\Core\ListImport\ListReader;
use Lottel\Core\ListImport\ListRow;
use Lottel\Core\ListImport\RowsBetween;
use Lottel\Core\Log\QuantityText;
use Lottel\Core\Log\Tracking;
use Lottel\Core\Measure\LengthUnit;
use Lottel\Core\Paper\Basis;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Headings and cells as people write them (common practice, no source). */
final class ListImportTest extends TestCase
{
    /** @return iterable<string, array{list<string>, list<F|null>}> */
    public static function headings(): iterable
    {
        yield 'plain' => [['Name', 'Brand', 'Qty', 'Location'], [F::Name, F::Maker, F::Quantity, F::Place]];
        yield 'a shop’s' => [['Product', 'Category', 'Price', 'Color', 'SKU'], [F::Name, F::Kind, F::Price, F::Colour, null]];
        yield 'measured' => [['Item', 'Width (in)', 'Height (in)', 'Weight (gsm)'], [F::Name, F::Width, F::Height, F::Weight]];
        yield 'talkative' => [
            ['What is it called? (name)', 'Which drawer', 'How many sheets', 'My notes'],
            [F::Name, F::Place, F::Quantity, F::Note],
        ];
        yield 'no field twice' => [['Name', 'Item name', 'Drawer', 'Box'], [F::Name, null, F::Place, null]];
        yield 'shouted' => [['STAMP SET', 'COMPANY', '#'], [F::Collection, F::Maker, F::Quantity]];
        yield 'nothing known' => [['', 'Zzz', 'Ok'], [null, null, null]];
    }

    /**
     * @param list<string> $headings
     * @param list<F|null> $fields
     */
    #[DataProvider('headings')]
    public function testAColumnIsToldByItsHeading(array $headings, array $fields): void
    {
        self::assertSame($fields, Headings::match($headings));
    }

    public function testAHeadingMayNameAUnit(): void
    {
        $units = array_map(Headings::unit(...), ['Width (in)', 'Height in mm', 'Size [cm]', 'gsm', 'Weight (lb)', 'Colour', 'Things within']);
        self::assertSame(['in', 'mm', 'cm', 'gsm', 'lb', '', ''], $units);
    }

    public function testAFirstRowWithoutNumbersThatTellsSomethingIsHeadings(): void
    {
        self::assertTrue(Headings::areHeadings('Name', 'Qty', ''));
        self::assertFalse(Headings::areHeadings('Gull stamps', '3', 'C1'), 'a number stands in it');
        self::assertFalse(Headings::areHeadings('Gull', 'Tern'), 'nothing is told by it');
        self::assertFalse(Headings::areHeadings('', ''));
    }

    public function testABareWeightIsGramsInAMetricRoomAndAskedAboutInAnother(): void
    {
        $read = static fn (LengthUnit $unit): ?ListRow => (new ListReader([F::Name, F::Kind, F::Weight], ['', '', ''], new QuantityText($unit)))
            ->read(['Card', 'paper', '220']);
        self::assertSame(220.0, $read(LengthUnit::Millimetre)?->thing->sheet->weight?->gsm());
        $this->expectExceptionMessage('Write it like 216 gsm or 80 lb cover');
        $read(LengthUnit::Inch);
    }

    public function testHeadingsAreFoundBelowATitle(): void
    {
        $table = [['My stash', ''], ['written down in March', ''], ['Item', 'Qty'], ['Gull stamps', '1'], ['Petrel card', '24']];
        self::assertSame(3, Headings::row($table));
        self::assertSame(1, Headings::row(\array_slice($table, 2)));
        self::assertSame(0, Headings::row(\array_slice($table, 3)), 'things alone');
        self::assertSame(1, Headings::row([['Name'], ['Gull'], ['Tern']]), 'one column');
        self::assertSame(0, Headings::row([]));
    }

    /** @return iterable<string, array{list<string>, string|null}> */
    public static function rowsBetween(): iterable
    {
        yield 'a thing' => [['Gull stamps', '1', 'C1'], null];
        yield 'a thing of which nothing but its name is said' => [['Gull stamps', '', ''], null];
        yield 'nothing' => [['', ' ', ''], null];
        yield 'a line' => [['-----', '', '==='], 'a line'];
        yield 'the headings once more' => [['NAME', 'qty', 'Where'], 'the headings once more'];
        yield 'other headings further down' => [['Item', 'Count', ''], 'the headings once more'];
        yield 'a kind of thing' => [['Stencils', '', ''], 'a heading'];
        yield 'shouted' => [['INKS & PENS', '', ''], 'a heading'];
        yield 'with a colon' => [['Bought at the quay:', '', ''], 'a heading'];
        yield 'framed' => [['--- paper ---', '', ''], 'a heading'];
        yield 'in a row of fewer cells' => [['CARDSTOCK'], 'a heading'];
        yield 'the headings in a row of more cells' => [['Name', 'Qty', 'Where', ''], 'the headings once more'];
        yield 'in another column' => [['', 'Dies', ''], 'a heading'];
        yield 'a sum' => [['Total', '48', ''], 'a sum'];
        yield 'a thing that is called like a kind' => [['Die', '', ''], null];
        yield 'a shouted thing with more than its name' => [['GULLS', '2', ''], null];
        yield 'letters and a number' => [['TERN 12', '', ''], null];
    }

    /** @param list<string> $cells */
    #[DataProvider('rowsBetween')]
    public function testRowsThatAreNoThingsAreTold(array $cells, ?string $what): void
    {
        self::assertSame($what, (new RowsBetween(['Name', 'Qty', 'Where'], 3))->of($cells));
    }

    /** @return iterable<string, array{string, string, Basis, float, bool}> what is said, the heading's unit, pounds of what, g/m², whether that was taken */
    public static function weights(): iterable
    {
        yield 'its unit first' => ['g/m2 120', '', Basis::Cover, 120.0, false];
        yield 'pounds of nothing, as the list' => ['80lb', '', Basis::Cover, 216.3, true];
        yield 'pounds of nothing in a list of text papers' => ['80 lbs', '', Basis::Text, 118.4, true];
        yield 'pounds by the heading' => ['80', 'lb', Basis::Cover, 216.3, true];
        yield 'pounds that say of what' => ['80 lb text', 'lb', Basis::Cover, 118.4, false];
        yield 'both' => ['110 lb / 300 gsm', '', Basis::Cover, 300.0, false];
        yield 'both, the grams first' => ['300gsm (110#)', '', Basis::Cover, 300.0, false];
        yield 'grams by the heading' => ['300', 'gsm', Basis::Cover, 300.0, false];
    }

    /** The pounds by the formula of US basis weights: 1 lb cover is 2.704 g/m², 1 lb text 1.480 g/m² (from memory). */
    #[DataProvider('weights')]
    public function testAWeightIsReadByItsColumn(string $said, string $unit, Basis $pounds, float $gsm, bool $isTaken): void
    {
        $columns = [F::Name, F::Kind, F::Weight];
        $row = (new ListReader($columns, ['', '', $unit], new QuantityText(LengthUnit::Inch), pounds: $pounds))->read(['Card', 'paper', $said]);
        self::assertEqualsWithDelta($gsm, $row?->thing->sheet->weight?->gsm(), 0.1);
        self::assertSame($isTaken, $row?->isBasisTaken);
    }

    public function testARowIsReadWithAllThatItSays(): void
    {
        $row = $this->read(
            [F::Name, F::Maker, F::Kind, F::Quantity, F::Place, F::Themes, F::Colour, F::Size, F::Weight, F::Price, F::Note, F::Season],
            [
                'Buoy card', 'Marrowlight Paper', 'Cardstock', '1,250 sheets', 'H1', 'sea; weather', 'Buoy', '8 1/2 x 11', '80 lb cover',
                '$1,204.50', 'thick', 'Fall',
            ],
        );
        $inch = 8128;
        self::assertSame([Kind::Paper, Tracking::Count, 1250], [$row->thing->kind, $row->thing->tracking, $row->thing->quantity]);
        self::assertSame(['sea', 'weather'], $row->thing->themes);
        self::assertSame([(int) (8.5 * $inch), 11 * $inch], [$row->thing->sheet->size?->width->ticks, $row->thing->sheet->size?->height->ticks]);
        self::assertEqualsWithDelta(216.3, $row->thing->sheet->weight?->gsm(), 0.1);
        self::assertSame(['H1', 120450, 'thick', 'autumn', true], [$row->place, $row->cents, $row->note, $row->season, $row->isThere]);
    }

    /** @return iterable<string, array{list<F|null>, list<string>, list<string>, array{float, float}}> columns, units, cells, millimetres */
    public static function sizes(): iterable
    {
        yield 'one column, inches as the room' => [[F::Name, F::Size], ['', ''], ['Card', '4¼ × 5½'], [107.95, 139.7]];
        yield 'centimetres by the cell' => [[F::Name, F::Size], ['', ''], ['Card', '10.5 x 14.8 cm'], [105, 148]];
        yield 'millimetres by the heading' => [[F::Name, F::Size], ['', 'mm'], ['Card', '105 x 148'], [105, 148]];
        yield 'the cell knows better than the heading' => [[F::Name, F::Size], ['', 'mm'], ['Card', '6 x 6 in'], [152.4, 152.4]];
        yield 'two columns' => [[F::Name, F::Width, F::Height], ['', 'in', 'in'], ['Card', '12', '12'], [304.8, 304.8]];
    }

    /**
     * @param list<F|null> $columns
     * @param list<string> $units
     * @param list<string> $cells
     * @param array{float, float} $millimetres
     */
    #[DataProvider('sizes')]
    public function testUnitsAndFractionsAreUnderstood(array $columns, array $units, array $cells, array $millimetres): void
    {
        $size = $this->read($columns, $cells, $units)->thing->sheet->size;
        self::assertEqualsWithDelta($millimetres[0], (float) $size?->width->ticks / 320, 0.01);
        self::assertEqualsWithDelta($millimetres[1], (float) $size?->height->ticks / 320, 0.01);
    }

    /** @return iterable<string, array{string, string, Kind}> what the kind's column says, the name, what it is */
    public static function kinds(): iterable
    {
        yield 'as we say it' => ['stamp set', 'Gulls', Kind::StampSet];
        yield 'in the plural' => ['Stencils', 'Waves', Kind::Stencil];
        yield 'as people say it' => ['Clear stamps', 'Gulls', Kind::StampSet];
        yield 'by the name alone' => ['', 'Petrel ink pad', Kind::Ink];
        yield 'neither, so as the list is' => ['', 'Gulls', Kind::Embellishment];
        yield 'a word that nobody knows' => ['Doodads', 'Gulls', Kind::Embellishment];
    }

    #[DataProvider('kinds')]
    public function testWhatItIsIsToldByItsColumnThenByItsName(string $said, string $name, Kind $kind): void
    {
        $reader = new ListReader([F::Kind, F::Name], ['', ''], new QuantityText(LengthUnit::Inch), kind: Kind::Embellishment);
        self::assertSame($kind, $reader->read([$said, $name])?->thing->kind);
    }

    /** @return iterable<string, array{string, bool, int}> what is said, whether it is there, how many */
    public static function quantities(): iterable
    {
        yield 'nothing said' => ['', true, 1];
        yield 'a number' => ['12', true, 12];
        yield 'as spreadsheets write it' => ['12.0', true, 12];
        yield 'with its word' => ['3 pcs', true, 3];
        yield 'none' => ['0', false, 1];
        yield 'a word for none' => ['none', false, 1];
    }

    #[DataProvider('quantities')]
    public function testHowManyThereAre(string $said, bool $isThere, int $quantity): void
    {
        $row = $this->read([F::Name, F::Kind, F::Quantity], ['Card', 'paper', $said]);
        self::assertSame([$isThere, $quantity], [$row->isThere, $row->thing->quantity]);
    }

    public function testASizeOfWhatHasNoneGoesIntoTheNote(): void
    {
        $row = $this->read([F::Name, F::Size, F::Note], ['Gull stamps', '4 x 6', 'old']);
        self::assertSame([Kind::StampSet, "old\nSize: 4 x 6"], [$row->thing->kind, $row->note]);
    }

    /** @return iterable<string, array{list<F|null>, list<string>, F, string}> */
    public static function mistakes(): iterable
    {
        yield 'no name' => [[F::Name, F::Maker], ['', 'Oddling'], F::Name, 'called'];
        yield 'a long name' => [[F::Name], [str_repeat('x', 201)], F::Name, 'too long'];
        yield 'a long maker' => [[F::Name, F::Maker], ['Card', str_repeat('x', 121)], F::Maker, '120'];
        yield 'no number' => [[F::Name, F::Kind, F::Quantity], ['Card', 'paper', 'a few'], F::Quantity, ''];
        yield 'less than nothing' => [[F::Name, F::Quantity], ['Card', '-3'], F::Quantity, 'less than nothing'];
        yield 'a day that was a fraction' => [[F::Name, F::Size], ['Card', '2026-01-04'], F::Size, 'fraction'];
        yield 'no size' => [[F::Name, F::Size], ['Card', 'large'], F::Size, ''];
        yield 'no weight' => [[F::Name, F::Weight], ['Card', 'heavy'], F::Weight, ''];
        yield 'no colour' => [[F::Name, F::Colour], ['Card', '#12345'], F::Colour, 'Neither'];
        yield 'no price' => [[F::Name, F::Price], ['Card', 'dear'], F::Price, '3.50'];
    }

    /**
     * @param list<F|null> $columns
     * @param list<string> $cells
     */
    #[DataProvider('mistakes')]
    public function testAMistakeIsToldWithItsField(array $columns, array $cells, F $field, string $why): void
    {
        try {
            $this->read($columns, $cells);
            self::fail('It was read.');
        } catch (InvalidRow $wrong) {
            self::assertSame($field, $wrong->field, $wrong->getMessage());
            self::assertStringContainsString($why, $wrong->getMessage());
        }
    }

    public function testAnEmptyRowIsPassedOver(): void
    {
        self::assertNull((new ListReader([F::Name, null], ['', ''], new QuantityText(LengthUnit::Inch)))->read([' ', 'x']));
    }

    public function testARowAddsOnlyToWhatIsCountedSo(): void
    {
        $paper = $this->read([F::Name, F::Kind, F::Quantity], ['Card', 'paper', '5']);
        $none = $this->read([F::Name, F::Kind, F::Quantity], ['Card', 'paper', '0']);
        $ribbon = $this->read([F::Name, F::Kind, F::Quantity], ['Rope', 'ribbon', '5 yd']);
        $stamp = $this->read([F::Name, F::Kind], ['Gull', 'stamp set']);
        $ink = $this->read([F::Name, F::Kind, F::Quantity], ['Petrel', 'ink', 'half']);
        self::assertTrue($paper->addsTo(Tracking::Count));
        self::assertTrue($ribbon->addsTo(Tracking::Length));
        self::assertFalse($none->addsTo(Tracking::Count), 'nothing is there to be added');
        self::assertFalse($paper->addsTo(Tracking::Length), 'pieces are no length');
        self::assertFalse($stamp->addsTo(Tracking::One), 'one thing does not become two');
        self::assertFalse($ink->addsTo(Tracking::Level), 'a container is as full as it is');
    }

    public function testTheSameThingIsKnownHoweverItIsWritten(): void
    {
        self::assertSame(ListRow::keyOf('Tern & Tide', 'Kelp & Comma'), ListRow::keyOf(' tern  tide', 'KELP, COMMA'));
        self::assertNotSame(ListRow::keyOf('Tern and tide', 'Oddling'), ListRow::keyOf('Tern and tide', 'Kelp & Comma'));
    }

    /**
     * @param list<F|null> $columns
     * @param list<string> $cells
     * @param list<string> $units
     */
    private function read(array $columns, array $cells, array $units = []): ListRow
    {
        $row = (new ListReader($columns, $units, new QuantityText(LengthUnit::Inch)))->read($cells);
        self::assertNotNull($row);

        return $row;
    }
}
