<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Cutting;

use Lottel\Core\Cutting\Corner;
use Lottel\Core\Cutting\OutlineFit;
use Lottel\Core\Paper\Exact;
use Lottel\Core\Paper\InvalidOutline;
use Lottel\Core\Paper\Outline;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Rectangles in outlines of any shape, exactly. */
final class OutlineFitTest extends TestCase
{
    /** In a right triangle with legs of 16 a rectangle at its right angle fits just when its sides sum to 16 (a fact of plane geometry). */
    public function testATriangleHoldsWhatSumsToItsLeg(): void
    {
        foreach ([[0, 0], [123_456, -77]] as [$x, $y]) {
            $triangle = Outline::of([[$x, $y], [$x + 16, $y], [$x, $y + 16]]);
            for ($width = 1; $width < 16; ++$width) {
                self::assertNotNull((new OutlineFit($triangle, $width, 16 - $width))->corner(), "$width");
                self::assertNull((new OutlineFit($triangle, $width, 17 - $width))->corner(), "$width and one more");
            }
        }
    }

    /**
     * A square of side s stands on its corner in one with the diagonal d: a level square in it has at most the side d / 2 (plane
     * geometry). In ticks of a foot, so that a tick more is told from just fitting.
     */
    public function testASquareOnItsCornerHoldsHalfItsDiagonalToTheTick(): void
    {
        $half = 48_768;
        $diamond = Outline::of([[$half, 0], [2 * $half, $half], [$half, 2 * $half], [0, $half]]);
        self::assertEquals(new Corner(24_384, 24_384, 1), self::plain((new OutlineFit($diamond, $half, $half))->corner()));
        self::assertNull((new OutlineFit($diamond, $half + 1, $half))->corner());
        self::assertNull((new OutlineFit($diamond, $half, $half + 1))->corner());
    }

    public function testAPieceGoesBetweenTwoSlantsAtAFractionOfATick(): void
    {
        // The strip between y = x/3 and y = x/3 + 10, from x = 0 to 30: a piece 3 wide is at most 9 high, and lies between whole ticks.
        $strip = Outline::of([[0, 0], [30, 10], [30, 20], [0, 10]]);
        self::assertNotNull((new OutlineFit($strip, 3, 9))->corner());
        self::assertNull((new OutlineFit($strip, 4, 9))->corner());
        self::assertNotNull((new OutlineFit($strip, 27, 1))->corner());
        self::assertNull((new OutlineFit($strip, 28, 1))->corner());
    }

    public function testAHoleIsInTheWay(): void
    {
        $holed = Outline::of([[0, 0], [12, 0], [12, 9], [0, 9]], [[[4, 3], [6, 3], [6, 5], [4, 5]]]);
        self::assertSame(2 * (108 - 4), $holed->doubledArea());
        foreach ([[6, 9, true], [7, 9, false], [12, 4, true], [12, 5, false], [4, 9, true], [8, 4, true]] as [$width, $height, $fits]) {
            self::assertSame($fits, null !== (new OutlineFit($holed, $width, $height))->corner(), "$width × $height");
        }
    }

    /** Against another way: in a convex outline the places of a corner are what all edges, drawn in by the rectangle, leave in common. */
    public function testInConvexOutlinesItAgreesWithHalfPlanes(): void
    {
        $random = new Randomizer(new Mt19937(5));
        $fits = 0;
        for ($case = 0; $case < 400; ++$case) {
            $ring = self::convex($random);
            [$width, $height] = [$random->getInt(1, 90), $random->getInt(1, 90)];
            $corner = (new OutlineFit(Outline::of($ring), $width, $height))->corner();
            self::assertSame(self::fitsInHalfPlanes($ring, $width, $height), null !== $corner, "case $case");
            $fits += (int) (null !== $corner);
        }
        self::assertGreaterThan(100, $fits);
        self::assertLessThan(350, $fits, 'both answers come up');
    }

    /** In outlines that are not convex: where it says no, no place tried at random holds the piece; where it says where, it lies there. */
    public function testInStarsNoPlaceIsOverlooked(): void
    {
        $random = new Randomizer(new Mt19937(6));
        $answers = [0, 0];
        for ($case = 0; $case < 60; ++$case) {
            $outline = Outline::of(self::star($random));
            [$width, $height] = [$random->getInt(20, 150), $random->getInt(20, 150)];
            $corner = (new OutlineFit($outline, $width, $height))->corner();
            ++$answers[(int) (null !== $corner)];
            if (null !== $corner) {
                self::assertFalse(self::crosses($outline, $corner->x / $corner->of, $corner->y / $corner->of, $width, $height, 1e-7), "case $case");
                continue;
            }
            for ($try = 0; $try < 400; ++$try) {
                [$x, $y] = [$random->getInt(-200, 200), $random->getInt(-200, 200)];
                self::assertFalse($outline->holds($x, $y, $width, $height), "case $case: it lies at $x, $y");
            }
        }
        self::assertGreaterThan(10, min($answers));
    }

    /** @return iterable<string, array{list<array{int, int}>, list<list<array{int, int}>>}> */
    public static function broken(): iterable
    {
        yield 'a bow tie' => [[[0, 0], [4, 4], [4, 0], [0, 4]], []];
        yield 'an edge that turns back on itself' => [[[0, 0], [6, 0], [3, 0], [3, 5]], []];
        yield 'a corner twice' => [[[0, 0], [6, 0], [6, 0], [3, 5]], []];
        yield 'a corner on another edge' => [[[0, 0], [8, 0], [8, 6], [4, 0], [0, 6]], []];
        yield 'the first corner once more at the end' => [[[0, 0], [8, 0], [8, 6], [0, 0]], []];
        yield 'a hole outside' => [[[0, 0], [8, 0], [8, 6], [0, 6]], [[[10, 1], [12, 1], [12, 2]]]];
        yield 'a hole at the edge' => [[[0, 0], [8, 0], [8, 6], [0, 6]], [[[0, 1], [2, 1], [2, 2]]]];
        yield 'two corners' => [[[0, 0], [8, 0]], []];
        yield 'all on one line' => [[[0, 0], [8, 0], [4, 0]], []];
    }

    /**
     * @param list<array{int, int}> $outer
     * @param list<list<array{int, int}>> $holes
     */
    #[DataProvider('broken')]
    public function testAnOutlineThatIsNoneIsRefused(array $outer, array $holes): void
    {
        $this->expectException(InvalidOutline::class);
        Outline::of($outer, $holes);
    }

    /** Against another way: two edges cross where each has the ends of the other on both its sides, by floating point. */
    public function testAnOutlineIsRefusedJustWhereItsEdgesCross(): void
    {
        $random = new Randomizer(new Mt19937(8));
        $answers = ['taken' => 0, 'refused' => 0];
        for ($case = 0; $case < 300; ++$case) {
            $ring = self::star($random);
            if (0 === $case % 2) {
                [$one, $other] = [$random->getInt(0, \count($ring) - 1), $random->getInt(0, \count($ring) - 1)];
                [$ring[$one], $ring[$other]] = [$ring[$other], $ring[$one]];
            }
            $crosses = self::crossesItself(array_values($ring));
            try {
                Outline::of(array_values($ring));
                self::assertFalse($crosses, "case $case");
                ++$answers['taken'];
            } catch (InvalidOutline) {
                self::assertTrue($crosses, "case $case");
                ++$answers['refused'];
            }
        }
        self::assertGreaterThan(60, min($answers));
    }

    public function testEdgesOnOneLineThatLieApartAreAllowed(): void
    {
        $comb = Outline::of([[0, 0], [9, 0], [9, 4], [7, 4], [7, 2], [5, 2], [5, 4], [3, 4], [3, 2], [2, 2], [2, 4], [0, 4]]);
        self::assertSame(2 * (36 - 4 - 2), $comb->doubledArea());
        self::assertNotNull((new OutlineFit($comb, 9, 2))->corner());
        self::assertNull((new OutlineFit($comb, 3, 4))->corner());
    }

    public function testProductsAreComparedBeyondSixtyFourBits(): void
    {
        $large = (1 << 61) + 12_345;
        self::assertSame(0, Exact::compare($large, 7, $large, 7));
        self::assertSame(1, Exact::compare($large, 1_000_003, $large - 1, 1_000_003));
        self::assertSame(-1, Exact::compare(-$large, 1_000_003, $large, -1_000_002));
        self::assertSame(1, Exact::compare(-$large, -1_000_003, $large, 1_000_002));
        self::assertSame(0, Exact::compare(1 << 60, 1 << 30, 1 << 61, 1 << 29));
        $random = new Randomizer(new Mt19937(3));
        for ($case = 0; $case < 500; ++$case) {
            [$a, $b, $c, $d] = array_map(static fn (): int => $random->getInt(-40_000, 40_000), [1, 2, 3, 4]);
            self::assertSame($a * $b <=> $c * $d, Exact::compare($a, $b, $c, $d));
        }
    }

    /** @param list<array{int, int}> $ring */
    private static function crossesItself(array $ring): bool
    {
        $many = \count($ring);
        $side = static fn (int $edge, int $corner): int => ($ring[($edge + 1) % $many][0] - $ring[$edge][0]) * ($ring[$corner][1] - $ring[$edge][1])
            <=> ($ring[($edge + 1) % $many][1] - $ring[$edge][1]) * ($ring[$corner][0] - $ring[$edge][0]);
        for ($one = 0; $one < $many; ++$one) {
            for ($other = $one + 2; $other < $many - (0 === $one ? 1 : 0); ++$other) {
                $apart = [$side($one, $other) * $side($one, ($other + 1) % $many), $side($other, $one) * $side($other, ($one + 1) % $many)];
                if (max($apart) <= 0) {
                    return true;
                }
            }
        }

        return false;
    }

    private static function plain(?Corner $corner): ?Corner
    {
        return null === $corner ? null : new Corner(intdiv((int) $corner->x, (int) $corner->of), intdiv((int) $corner->y, (int) $corner->of), 1);
    }

    /** @return list<array{int, int}> three to eight corners on a circle, in order */
    private static function convex(Randomizer $random): array
    {
        $angles = [];
        for ($nth = 0, $many = $random->getInt(3, 8); $nth < $many; ++$nth) {
            $angles[] = ($nth + $random->getInt(5, 80) / 100) * 2 * \M_PI / $many;
        }

        return array_map(static fn (float $angle): array => [(int) round(50 * cos($angle)), (int) round(50 * sin($angle))], $angles);
    }

    /** @return list<array{int, int}> corners around a middle, now near, now far */
    private static function star(Randomizer $random): array
    {
        $corners = [];
        $many = $random->getInt(6, 11);
        for ($nth = 0; $nth < $many; ++$nth) {
            [$angle, $far] = [($nth + 0.2) * 2 * \M_PI / $many, $random->getInt(40, 150)];
            $corners[] = [(int) round($far * cos($angle)), (int) round($far * sin($angle))];
        }

        return $corners;
    }

    /** @param list<array{int, int}> $ring with its inside on the left of each edge */
    private static function fitsInHalfPlanes(array $ring, int $width, int $height): bool
    {
        $planes = [];
        foreach ($ring as $nth => [$x, $y]) {
            [$nextX, $nextY] = $ring[($nth + 1) % \count($ring)];
            [$a, $b] = [-($nextY - $y), $nextX - $x];
            $planes[] = [$a, $b, $a * $x + $b * $y - min(0, $a * $width) - min(0, $b * $height)];
        }
        foreach ($planes as $nth => [$a, $b, $c]) {
            foreach (\array_slice($planes, $nth + 1) as [$otherA, $otherB, $otherC]) {
                $of = $a * $otherB - $b * $otherA;
                if (0 === $of) {
                    continue;
                }
                [$x, $y] = [($c * $otherB - $b * $otherC) / $of, ($a * $otherC - $c * $otherA) / $of];
                if ([] === array_filter($planes, static fn (array $plane): bool => $plane[0] * $x + $plane[1] * $y < $plane[2] - 1e-7)) {
                    return true;
                }
            }
        }

        return false;
    }

    private static function crosses(Outline $outline, float $x, float $y, int $width, int $height, float $slack): bool
    {
        foreach ($outline->edges() as [$x1, $y1, $x2, $y2]) {
            for ($part = 0; $part <= 200; ++$part) {
                [$px, $py] = [$x1 + ($x2 - $x1) * $part / 200, $y1 + ($y2 - $y1) * $part / 200];
                if ($px > $x + $slack && $px < $x + $width - $slack && $py > $y + $slack && $py < $y + $height - $slack) {
                    return true;
                }
            }
        }

        return false;
    }
}
