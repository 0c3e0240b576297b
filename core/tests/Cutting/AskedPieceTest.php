<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Cutting;

use Lottel\Core\Cutting\AskedPiece;
use Lottel\Core\Cutting\Crease;
use Lottel\Core\Cutting\InvalidPieces;
use Lottel\Core\Design\Fold;
use Lottel\Core\Design\Sides;
use Lottel\Core\Measure\Length;
use Lottel\Core\Measure\LengthFormat;
use Lottel\Core\Measure\LengthUnit;
use Lottel\Core\Measure\Size;
use Lottel\Core\Paper\Direction;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class AskedPieceTest extends TestCase
{
    /** @return iterable<string, array{string, int, string, float, float, list<array{string, float}>, string}> */
    public static function lines(): iterable
    {
        yield 'with its size' => ['12 panels 4 × 5 1/4 Petrel', 12, 'panel', 4, 5.25, [], 'Petrel'];
        yield 'by its name' => ['40 A2 panels', 40, 'A2 panel', 4.25, 5.5, [], ''];
        yield 'the paper before the name' => ['12 white A2 panels', 12, 'A2 panel', 4.25, 5.5, [], 'white'];
        yield 'the paper has a size in its name' => ['40 A2 panels Petrel cardstock 12 × 12', 40, 'A2 panel', 4.25, 5.5, [], 'Petrel cardstock 12 × 12'];
        yield 'a size of its own wins' => ['40 A2 panels 4 x 5 Petrel', 40, 'A2 panel', 4, 5, [], 'Petrel'];
        yield 'a base' => ['25 top-fold bases', 25, 'A2 top-fold base', 4.25, 11, [['y', 5.5]], ''];
        yield 'a base at the side' => ['3 side fold bases Gull', 3, 'A2 side-fold base', 8.5, 5.5, [['x', 4.25]], 'Gull'];
        yield 'a base of a size' => ['8 5 × 7 bases White', 8, '5 × 7 base', 10, 7, [['x', 5]], 'White'];
        yield 'folded as it is said' => ['10 bases 4 1/4 × 5 1/2 top fold White', 10, 'base', 4.25, 11, [['y', 5.5]], 'White'];
        yield 'one' => ['a strip 1 × 6 of Rope', 1, 'a strip', 1, 6, [], 'Rope'];
        yield 'the number before the size' => ['6 4x5 mats Buoy card', 6, 'mat', 4, 5, [], 'Buoy card'];
        yield 'no name' => ['5 3 × 4 Fog', 5, 'piece', 3, 4, [], 'Fog'];
    }

    /** @param list<array{string, float}> $creases */
    #[DataProvider('lines')]
    public function testLinesAreRead(string $line, int $quantity, string $name, float $width, float $height, array $creases, string $paper): void
    {
        $asked = AskedPiece::read($line, LengthUnit::Inch);
        self::assertSame([$quantity, $name, $paper], [$asked->quantity, $asked->name, $asked->paper]);
        self::assertTrue($asked->size->equals(Size::ofTicks((int) ($width * 8128), (int) ($height * 8128))));
        $inches = array_map(static fn (Crease $crease): array => [$crease->kept()[0], $crease->at / 8128], $asked->creases);
        self::assertEquals($creases, $inches);
    }

    /** The flat sizes of folded bases are those of the design of a card: the same geometry, worked out another way. */
    public function testBasesAreThoseOfADesign(): void
    {
        foreach (['top-fold base' => [Fold::Top, 17, 22], 'side-fold base' => [Fold::Side, 17, 22], 'slimline base' => [Fold::Side, 14, 34]] as $line => $of) {
            [$fold, $width, $height] = $of;
            $quarter = Length::TICKS_PER_INCH / 4;
            $asked = AskedPiece::read($line, LengthUnit::Inch);
            $finished = new Sides($width * $quarter, $height * $quarter);
            self::assertTrue($fold->flat($finished)->equals(Sides::of($asked->size)), $line);
            self::assertEquals($fold->scores($finished), $asked->creases, $line);
        }
    }

    public function testMillimetresAreRead(): void
    {
        $asked = AskedPiece::read('3 photo mats 100 × 150 from Gull upright', LengthUnit::Millimetre);
        self::assertSame([32_000, 48_000, 'photo mat', 'Gull', false], [
            $asked->size->width->ticks,
            $asked->size->height->ticks,
            $asked->name,
            $asked->paper,
            $asked->mayTurn,
        ]);
    }

    public function testWhatIsNotSaidFollowsThePaper(): void
    {
        $unsaid = AskedPiece::read('3 panels 3 × 4', LengthUnit::Inch);
        self::assertSame([true, true, false, false], array_map($unsaid->mayTurnOn(...), [null, Direction::None, Direction::Height, Direction::Width]));
        self::assertTrue(AskedPiece::read('3 panels 3 × 4 Gull either way', LengthUnit::Inch)->mayTurnOn(Direction::Height));
        self::assertFalse(AskedPiece::read('3 panels 3 × 4 Gull upright', LengthUnit::Inch)->mayTurnOn(null));
    }

    /** @return iterable<string, array{string, string}> */
    public static function unreadable(): iterable
    {
        yield 'nothing' => ["\n  \n", 'Write what is to be cut'];
        yield 'no size' => ['12 panels Petrel', 'How large is “12 panels Petrel”?'];
        yield 'no piece' => ['0 panels 3 × 4', 'from 1 to 1,000'];
        yield 'too many' => ['10000 panels 3 × 4', 'from 1 to 1,000'];
        yield 'a side that is nothing' => ['3 panels 0 × 4', 'more than nothing'];
        yield 'too large' => ['3 panels 4000 mm × 4 mm', 'no more than 3 m'];
        yield 'too many lines' => [str_repeat("1 panel 3 × 4\n", 41), '41 lines'];
    }

    #[DataProvider('unreadable')]
    public function testWhatCannotBeReadIsSaid(string $text, string $why): void
    {
        $this->expectException(InvalidPieces::class);
        $this->expectExceptionMessage($why);
        AskedPiece::lines($text, LengthUnit::Inch);
    }

    public function testWhatWasCutBeforeIsAskedForAgain(): void
    {
        $lengths = new LengthFormat(LengthUnit::Inch);
        foreach (
            [
                'White A2 panels' => [4.25, 5.5],
                'Petrel A2 mats' => [4.125, 5.375],
                'White A2 top-fold bases, scored' => [4.25, 11],
                'Odd tags' => [2, 3.5],
            ] as $name => $sides
        ) {
            $size = Size::ofTicks((int) ($sides[0] * 8128), (int) ($sides[1] * 8128));
            $line = AskedPiece::lineFor(24, $name, $size, $lengths, 'Gull cardstock 12 × 12');
            $asked = AskedPiece::read($line, LengthUnit::Inch);
            self::assertSame([24, 'Gull cardstock 12 × 12', true], [$asked->quantity, $asked->paper, $asked->size->equals($size)], $line);
        }
    }
}
