<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Paper;

use Lottel\Core\Measure\Size;
use Lottel\Core\Paper\Basis;
use Lottel\Core\Paper\IsoSize;
use Lottel\Core\Paper\Surface;
use PHPUnit\Framework\TestCase;

final class PaperTest extends TestCase
{
    /** ISO 216:2007, A0 to A10 in millimetres; from memory. */
    public function testTheASeriesIsThatOfTheStandard(): void
    {
        $published = [[841, 1189], [594, 841], [420, 594], [297, 420], [210, 297], [148, 210], [105, 148], [74, 105], [52, 74], [37, 52], [26, 37]];
        foreach ($published as $n => [$width, $height]) {
            self::assertEquals(Size::ofMillimetres($width, $height), IsoSize::a($n), "A{$n}");
        }
    }

    public function testBasisWeightsGoBothWays(): void
    {
        foreach (Basis::cases() as $basis) {
            self::assertEqualsWithDelta(80.0, $basis->pounds($basis->grammage(80.0)), 1e-9);
        }
        self::assertEqualsWithDelta(216.3, Basis::Cover->grammage(80), 0.05);
    }

    /** An office sheet of 80 g/m² is about a tenth of a millimetre thick, a ream of it about 50 mm (common practice, no source). */
    public function testThicknessIsTypical(): void
    {
        self::assertEqualsWithDelta(0.092, Surface::Smooth->thickness(80)->millimetres(), 0.004);
        self::assertEqualsWithDelta(46, Surface::Smooth->stackHeight(500, 80)->millimetres(), 0.5);
        self::assertGreaterThan(Surface::Coated->thickness(300)->ticks, Surface::Textured->thickness(300)->ticks);
    }
}
