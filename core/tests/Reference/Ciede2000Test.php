<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Reference;

use Lottel\Core\Colour\Difference;
use Lottel\Core\Colour\Lab;
use Lottel\Core\Colour\Srgb;
use PHPUnit\Framework\TestCase;

/** CIEDE2000 against published and independently computed differences. */
final class Ciede2000Test extends TestCase
{
    /**
     * L*, a*, b* of two colours and their ΔE00. Source: table 1 of G. Sharma, W. Wu and E. N. Dalal, “The CIEDE2000
     * Color-Difference Formula: Implementation Notes, Supplementary Test Data, and Mathematical Observations”, Color Research
     * and Application 30 (2005), 21–30. Typed from memory; the npm package culori 4.0.2 computes the same four decimals.
     */
    private const PAIRS = [
        [50.0, 2.6772, -79.7751, 50.0, 0.0, -82.7485, 2.0425],
        [50.0, 3.1571, -77.2803, 50.0, 0.0, -82.7485, 2.8615],
        [50.0, 2.8361, -74.02, 50.0, 0.0, -82.7485, 3.4412],
        [50.0, -1.3802, -84.2814, 50.0, 0.0, -82.7485, 1.0],
        [50.0, -1.1848, -84.8006, 50.0, 0.0, -82.7485, 1.0],
        [50.0, -0.9009, -85.5211, 50.0, 0.0, -82.7485, 1.0],
        [50.0, 0.0, 0.0, 50.0, -1.0, 2.0, 2.3669],
        [50.0, -1.0, 2.0, 50.0, 0.0, 0.0, 2.3669],
        [50.0, 2.49, -0.001, 50.0, -2.49, 0.0009, 7.1792],
        [50.0, 2.49, -0.001, 50.0, -2.49, 0.001, 7.1792],
        [50.0, 2.49, -0.001, 50.0, -2.49, 0.0011, 7.2195],
        [50.0, 2.49, -0.001, 50.0, -2.49, 0.0012, 7.2195],
        [50.0, -0.001, 2.49, 50.0, 0.0009, -2.49, 4.8045],
        [50.0, -0.001, 2.49, 50.0, 0.001, -2.49, 4.8045],
        [50.0, -0.001, 2.49, 50.0, 0.0011, -2.49, 4.7461],
        [50.0, 2.5, 0.0, 50.0, 0.0, -2.5, 4.3065],
        [50.0, 2.5, 0.0, 73.0, 25.0, -18.0, 27.1492],
        [50.0, 2.5, 0.0, 61.0, -5.0, 29.0, 22.8977],
        [50.0, 2.5, 0.0, 56.0, -27.0, -3.0, 31.903],
        [50.0, 2.5, 0.0, 58.0, 24.0, 15.0, 19.4535],
        [50.0, 2.5, 0.0, 50.0, 3.1736, 0.5854, 1.0],
        [50.0, 2.5, 0.0, 50.0, 3.2972, 0.0, 1.0],
        [50.0, 2.5, 0.0, 50.0, 1.8634, 0.5757, 1.0],
        [50.0, 2.5, 0.0, 50.0, 3.2592, 0.335, 1.0],
        [60.2574, -34.0099, 36.2677, 60.4626, -34.1751, 39.4387, 1.2644],
        [63.0109, -31.0961, -5.8663, 62.8187, -29.7946, -4.0864, 1.263],
        [61.2901, 3.7196, -5.3901, 61.4292, 2.248, -4.962, 1.8731],
        [35.0831, -44.1164, 3.7933, 35.0232, -40.0716, 1.5901, 1.8645],
        [22.7233, 20.0904, -46.694, 23.0331, 14.973, -42.5619, 2.0373],
        [36.4612, 47.858, 18.3852, 36.2715, 50.5065, 21.2231, 1.4146],
        [90.8027, -2.0831, 1.441, 91.1528, -1.6435, 0.0447, 1.4441],
        [90.9257, -0.5406, -0.9208, 88.6381, -0.8985, -0.7239, 1.5381],
        [6.7747, -0.2908, -2.4247, 5.8714, -0.0985, -2.2286, 0.6377],
        [2.0776, 0.0795, -1.135, 0.9033, -0.0636, -0.5514, 0.9082],
    ];

    public function testThePublishedPairsToFourDecimals(): void
    {
        foreach (self::PAIRS as $row => [$l1, $a1, $b1, $l2, $a2, $b2, $expected]) {
            $difference = Difference::between(new Lab($l1, $a1, $b1), new Lab($l2, $a2, $b2));
            self::assertSame(number_format($expected, 4), number_format($difference, 4), 'pair '.($row + 1));
        }
    }

    /** Source: the npm package culori 4.0.2 (dev dependency); make-culori.mjs beside this file made the numbers. */
    public function testRandomColoursAgreeWithAReferenceLibrary(): void
    {
        $rows = json_decode((string) file_get_contents(__DIR__.'/culori.json'), true);
        self::assertIsArray($rows);
        self::assertCount(500, $rows);
        /** @var list<array{string, string, list<float>, float}> $rows */
        foreach ($rows as [$one, $other, $lab, $expected]) {
            $first = Lab::of(Srgb::ofHex($one));
            self::assertEqualsWithDelta($lab, [$first->l, $first->a, $first->b], 1e-4, $one);
            self::assertEqualsWithDelta($expected, Difference::between($first, Lab::of(Srgb::ofHex($other))), 1e-4, $one.' '.$other);
        }
    }

    public function testDifferenceIsSymmetricAndNothingDiffersFromItself(): void
    {
        foreach (self::PAIRS as [$l1, $a1, $b1, $l2, $a2, $b2]) {
            [$one, $other] = [new Lab($l1, $a1, $b1), new Lab($l2, $a2, $b2)];
            self::assertEqualsWithDelta(Difference::between($one, $other), Difference::between($other, $one), 1e-9);
            self::assertSame(0.0, Difference::between($one, $one));
        }
    }
}
