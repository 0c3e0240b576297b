<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Paper;

use Lottel\Core\Measure\InvalidLength;
use Lottel\Core\Measure\LengthFormat;
use Lottel\Core\Measure\LengthUnit;
use Lottel\Core\Measure\Size;
use Lottel\Core\Paper\Basis;
use Lottel\Core\Paper\Direction;
use Lottel\Core\Paper\Grammage;
use Lottel\Core\Paper\InvalidGrammage;
use Lottel\Core\Paper\Outline;
use Lottel\Core\Paper\Sheet;
use Lottel\Core\Paper\SheetShape;
use Lottel\Core\Paper\SheetSize;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Sheets with their measures: weights and sizes as people write them, areas and weights that follow. */
final class SheetTest extends TestCase
{
    /** @return iterable<string, array{string, int, string, string}> what is written, in whole g/m² (trade tables, from memory), exactly, in words */
    public static function weights(): iterable
    {
        yield 'cover' => ['80 lb cover', 216, '80 lb cover', '80 lb cover, 216 g/m²'];
        yield 'cardstock is cover' => ['65lb cardstock', 176, '65 lb cover', '65 lb cover, 176 g/m²'];
        yield 'a hash' => ['110# index', 199, '110 lb index', '110 lb index, 199 g/m²'];
        yield 'half pounds' => ['24.5 LB Bond', 92, '24.5 lb bond', '24.5 lb bond, 92 g/m²'];
        yield 'gsm' => ['300 gsm', 300, '300 gsm', '300 g/m²'];
        yield 'grams' => ['118.5g', 119, '118.5 gsm', '119 g/m²'];
        yield 'with a comma' => ['118,5 g/m²', 119, '118.5 gsm', '119 g/m²'];
    }

    #[DataProvider('weights')]
    public function testAWeightIsReadAndWritten(string $text, int $gsm, string $exact, string $words): void
    {
        $weight = Grammage::parse($text);
        self::assertSame($gsm, (int) round($weight->gsm()));
        self::assertSame([$exact, $words], [$weight->exact(), $weight->inWords()]);
        self::assertEquals($weight, Grammage::parse($weight->exact()), 'and means the same when it is read again');
    }

    public function testEveryWholePoundIsTheSameWhenItIsReadAgain(): void
    {
        foreach (Basis::cases() as $basis) {
            for ($pounds = 16; $pounds <= 200; ++$pounds) {
                $weight = Grammage::parse("$pounds lb {$basis->value}");
                self::assertSame("$pounds lb {$basis->value}", $weight->exact());
            }
        }
    }

    /** @return iterable<string, array{string, string}> */
    public static function noWeights(): iterable
    {
        yield 'pounds of what' => ['80 lb', 'of what?'];
        yield 'pounds of felt' => ['80 lb felt', 'of what?'];
        yield 'words' => ['heavy', 'no weight of paper'];
        yield 'nothing' => ['', 'no weight of paper'];
        yield 'nought' => ['0 gsm', '10 to 3,000'];
        yield 'lead' => ['9000 gsm', '10 to 3,000'];
    }

    #[DataProvider('noWeights')]
    public function testWhatIsNoWeightIsRefused(string $text, string $says): void
    {
        $this->expectException(InvalidGrammage::class);
        $this->expectExceptionMessage($says);
        Grammage::parse($text);
    }

    /** @return iterable<string, array{string, string, LengthUnit}> */
    public static function sizes(): iterable
    {
        yield 'fractions' => ['8 1/2 × 11', '8½ × 11 in', LengthUnit::Inch];
        yield 'an x and decimals' => ['4.25x5.5', '4¼ × 5½ in', LengthUnit::Inch];
        yield 'by' => ['12 by 12', '12 × 12 in', LengthUnit::Inch];
        yield 'a unit at the end is of both' => ['210 x 297 mm', '210 × 297 mm', LengthUnit::Inch];
        yield 'a unit of each' => ['8 1/2 in × 11 in', '215.9 × 279.4 mm', LengthUnit::Millimetre];
        yield 'letter' => ['Letter', '8½ × 11 in', LengthUnit::Inch];
        yield 'A4' => ['a4', '210 × 297 mm', LengthUnit::Millimetre];
    }

    #[DataProvider('sizes')]
    public function testASizeIsRead(string $text, string $size, LengthUnit $unit): void
    {
        $read = SheetSize::read($text, $unit);
        $shown = str_ends_with($size, 'mm') ? LengthUnit::Millimetre : LengthUnit::Inch;
        self::assertSame($size, (new LengthFormat($shown))->sides($read->width, $read->height));
    }

    public function testWhatIsNoSizeIsRefused(): void
    {
        foreach (['', '12', '12 × ', '12 × 12 × 12', 'B7', '0 × 4', '4 × 900000', 'wide × high'] as $text) {
            try {
                SheetSize::read($text, LengthUnit::Inch);
                self::fail($text.' was read');
            } catch (InvalidLength $wrong) {
                self::assertNotSame('', $wrong->getMessage());
            }
        }
    }

    public function testASizeIsFoundInAName(): void
    {
        $in = static fn (string $name, LengthUnit $unit = LengthUnit::Inch): ?Size => SheetSize::inName($name, $unit);
        self::assertNull($in('Skerry paper 30x30', LengthUnit::Millimetre), 'thirty centimetres, most likely: it is asked');
        self::assertEquals(Size::ofSixteenths(192, 192), $in('Petrel cardstock 12 × 12'));
        self::assertEquals(Size::ofSixteenths(44, 68), $in('Buoy scrap 2 3/4 x 4 1/4'));
        self::assertEquals(Size::ofSixteenths(136, 176), $in('Petrel cardstock, letter'));
        self::assertEquals(Size::ofMillimetres(210, 297), $in('Sketch paper A4', LengthUnit::Millimetre));
        self::assertEquals(Size::ofMillimetres(305, 305), $in('Watercolour 305x305', LengthUnit::Millimetre));
        self::assertNull($in('Petrel 12x12', LengthUnit::Millimetre), 'no sheet is 12 mm wide: what is meant is not guessed');
        foreach (['Petrel cardstock', 'Lettering pad', '3 sheets', 'A2 envelopes', 'Tower A44'] as $name) {
            self::assertNull($in($name), $name);
        }
    }

    public function testAScrapMayLackACorner(): void
    {
        $l = SheetShape::read('6 × 8 without 3 × 5', LengthUnit::Inch);
        self::assertSame(2 * (6 * 8 - 3 * 5) * 8128 ** 2, $l->doubledArea());
        self::assertNull(SheetShape::read('6 × 8', LengthUnit::Inch)->outline);
        foreach (['6 × 8 without 6 × 5', '6 × 8 without 3', '6 without 3 × 5', '6 × 8 without'] as $text) {
            try {
                SheetShape::read($text, LengthUnit::Inch);
                self::fail($text.' was read');
            } catch (InvalidLength $wrong) {
                self::assertNotSame('', $wrong->getMessage());
            }
        }
    }

    /** An A4 sheet of 80 g/m² weighs 5 g, since 16 of them are a square metre (ISO 216). */
    public function testASheetWeighsWhatItsAreaSays(): void
    {
        $sheet = new Sheet(Size::ofMillimetres(210, 297), Grammage::parse('80 gsm'), Direction::Height);
        self::assertEqualsWithDelta(4.99, $sheet->grams(), 0.005);
        self::assertNull((new Sheet(Size::ofMillimetres(210, 297)))->grams());
        self::assertNull((new Sheet(null, Grammage::parse('80 gsm')))->grams());
        $half = Outline::of([[0, 0], [210 * 320, 0], [0, 297 * 320]]);
        $triangle = new Sheet(Size::ofMillimetres(210, 297), Grammage::parse('80 gsm'), outline: $half);
        self::assertEqualsWithDelta((float) $sheet->grams() / 2, $triangle->grams(), 1e-9);
        self::assertSame($sheet->doubledArea(), 2 * (int) $triangle->doubledArea());
        self::assertFalse((new Sheet())->hasFacts());
        self::assertTrue($triangle->hasFacts());
        $scrap = new Sheet(Size::ofMillimetres(280, 200));
        self::assertTrue($scrap->canComeFrom($sheet), 'turned');
        self::assertFalse((new Sheet(Size::ofMillimetres(280, 211)))->canComeFrom($sheet));
        self::assertTrue($scrap->canComeFrom(new Sheet()), 'nothing is known that speaks against it');
        self::assertSame(Direction::Height, $sheet->cutTo(Size::ofMillimetres(50, 60))->direction);
    }
}
