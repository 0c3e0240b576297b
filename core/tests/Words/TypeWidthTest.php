<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Words;

use Lottel\Core\Words\TypeWidth;
use PHPUnit\Framework\TestCase;

/** Widths of text. That they are those of the shipped typeface is checked in the browser. */
final class TypeWidthTest extends TestCase
{
    public function testATextIsAsWideAsItsLetters(): void
    {
        self::assertEqualsWithDelta(TypeWidth::of('cube', 10) + TypeWidth::of(' wall', 10), TypeWidth::of('cube wall', 10), 1e-9);
        self::assertEqualsWithDelta(2 * TypeWidth::of('chest', 10), TypeWidth::of('chest', 20), 1e-9);
        self::assertGreaterThan(TypeWidth::of('iii', 10), TypeWidth::of('mmm', 10));
        self::assertSame(0.0, TypeWidth::of('', 10));
        self::assertSame(TypeWidth::of('Schrankchen', 10), TypeWidth::of('Schränkchen', 10));
    }

    public function testLinesAreAsFewAsFit(): void
    {
        $wide = TypeWidth::of('scraps by', 10);
        self::assertSame(['scraps by', 'colour'], TypeWidth::lines('scraps by  colour', 10, [$wide]));
        self::assertSame(['scraps by colour'], TypeWidth::lines('scraps by colour', 10, [500.0]));
        self::assertSame(['', 'scraps by', 'colour'], TypeWidth::lines('scraps by colour', 10, [5.0, $wide]), 'nothing beside the letters');
        self::assertNull(TypeWidth::lines('scraps by colour', 10, [TypeWidth::of('scrap', 10)]));
        self::assertSame(['blues', '12 × 12'], TypeWidth::lines('blues 12 × 12', 10, [TypeWidth::of('blues 12 ×', 10)]), 'a size stays whole');
        self::assertSame([''], TypeWidth::lines('', 10, [1.0]));
    }

    public function testATextIsCutToAWidth(): void
    {
        self::assertSame('south wall', TypeWidth::cut('south wall', 10, TypeWidth::of('south wall', 10)));
        self::assertSame('south…', TypeWidth::cut('south wall', 10, TypeWidth::of('south…', 10) + 0.1), 'without a space before it');
        self::assertSame('', TypeWidth::cut('south wall', 10, 3.0));
        foreach (range(0, 60, 5) as $width) {
            self::assertLessThanOrEqual($width, TypeWidth::of(TypeWidth::cut('the wall with the door', 10, $width), 10));
        }
    }
}
