<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Picture;

use Lottel\Core\Measure\Size;
use Lottel\Core\Picture\Raster;
use Lottel\Core\Picture\ScrapOnSheet;
use Lottel\Core\Picture\SmallestBox;
use Lottel\Core\Picture\UnclearPicture;
use Lottel\Core\Picture\View;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Pictures drawn with known sizes, seen by a camera that is tilted and turned: what is measured is what was drawn. */
final class ScrapOnSheetTest extends TestCase
{
    private const INCH = 8128;

    /**
     * A letter sheet with polygons on it, as a camera sees it.
     *
     * @param list<array{float, float}> $corners of the sheet in the picture
     * @param list<array{int, list<array{float, float}>}> $shapes colour, and corners in inches on the sheet
     */
    private static function picture(array $corners, array $shapes, float $width = 8.5, float $height = 11, int $table = 0x5A4630): Raster
    {
        $view = View::of($corners, (int) (1000 * $width), (int) (1000 * $height));
        $pixels = [];
        mt_srand(3);
        for ($y = 0; $y < 240; ++$y) {
            for ($x = 0; $x < 320; ++$x) {
                $point = $view->at($x + 0.5, $y + 0.5);
                [$u, $v] = [$point[0] / 1000, $point[1] / 1000];
                $colour = $u >= 0 && $v >= 0 && $u <= $width && $v <= $height ? 0xF4F1EA : $table;
                foreach ($shapes as [$fill, $shape]) {
                    $colour = self::isIn($shape, $u, $v) ? $fill : $colour;
                }
                $noise = mt_rand(-6, 6);
                $pixels[] = (self::channel($colour >> 16, $noise) << 16) | (self::channel($colour >> 8, $noise) << 8) | self::channel($colour, $noise);
            }
        }

        return new Raster(320, 240, $pixels);
    }

    private static function channel(int $value, int $noise): int
    {
        return max(0, min(255, ($value & 255) + $noise));
    }

    /** @param list<array{float, float}> $shape */
    private static function isIn(array $shape, float $x, float $y): bool
    {
        $isIn = false;
        foreach ($shape as $nth => [$x1, $y1]) {
            [$x2, $y2] = $shape[($nth + 1) % \count($shape)];
            if (($y1 > $y) !== ($y2 > $y) && $x < ($x2 - $x1) * ($y - $y1) / ($y2 - $y1) + $x1) {
                $isIn = !$isIn;
            }
        }

        return $isIn;
    }

    /** @return list<array{float, float}> */
    private static function box(float $x, float $y, float $width, float $height, float $turn = 0.0): array
    {
        [$cos, $sin] = [cos($turn), sin($turn)];

        return array_map(
            static fn (array $corner): array => [$x + $corner[0] * $cos - $corner[1] * $sin, $y + $corner[0] * $sin + $corner[1] * $cos],
            [[0, 0], [$width, 0], [$width, $height], [0, $height]],
        );
    }

    /** @return iterable<string, array{list<array{float, float}>}> */
    public static function cameras(): iterable
    {
        yield 'from straight above' => [[[90, 10], [258, 10], [258, 228], [90, 228]]];
        yield 'turned' => [[[110, 12], [262, 40], [226, 232], [72, 204]]];
        yield 'tilted' => [[[104, 20], [222, 24], [266, 226], [70, 218]]];
        yield 'lying across' => [[[20, 30], [296, 18], [300, 222], [28, 230]]];
    }

    /** @param list<array{float, float}> $corners */
    #[DataProvider('cameras')]
    public function testWhatIsMeasuredIsWhatWasDrawn(array $corners): void
    {
        foreach ([[3, 5, 0.0], [4, 2.5, 0.5], [1.5, 4.25, -0.3]] as [$width, $height, $turn]) {
            $isAcross = $corners[1][0] - $corners[0][0] > $corners[3][1] - $corners[0][1];
            $picture = self::picture($corners, [[0x1F5C6B, self::box(3, 1.5, $width, $height, $turn)]], $isAcross ? 11 : 8.5, $isAcross ? 8.5 : 11);
            $found = ScrapOnSheet::measured($picture, Size::ofSixteenths(136, 176));
            $sides = [$found->size->width->ticks / self::INCH, $found->size->height->ticks / self::INCH];
            [$short, $long] = [min($sides), max($sides)];
            $mayBeOff = 1.2 * $found->giveOrTake / self::INCH;
            self::assertEqualsWithDelta(min($width, $height), $short, $mayBeOff);
            self::assertEqualsWithDelta(max($width, $height), $long, $mayBeOff);
            self::assertLessThan(0.1, $mayBeOff, 'even in so small a picture');
            self::assertStringStartsWith('#1', $found->colour);
        }
    }

    /** @return iterable<string, array{list<array{int, list<array{float, float}>}>, list<array{float, float}>, int, string}> */
    public static function unclear(): iterable
    {
        $whole = [[90, 10], [258, 10], [258, 228], [90, 228]];
        $scrap = [0x1F5C6B, self::box(2, 2, 3, 4)];
        yield 'nothing on it' => [[], $whole, 0x5A4630, 'No scrap is seen'];
        yield 'two of them' => [[$scrap, [0x1F5C6B, self::box(5.5, 6, 2, 4)]], $whole, 0x5A4630, 'More than one'];
        yield 'a corner is missing' => [[[0x1F5C6B, [[2, 2], [5, 2], [5, 5], [7, 5], [7, 8], [2, 8]]]], $whole, 0x5A4630, 'no rectangle'];
        yield 'a part of the sheet' => [[$scrap], [[90, -40], [258, -40], [258, 228], [90, 228]], 0x5A4630, 'not seen whole'];
        yield 'a table of its colour' => [[$scrap], $whole, 0xF4F1EA, 'not seen whole'];
        yield 'no sheet' => [[], [[150, 100], [160, 100], [160, 110], [150, 110]], 0x5A4630, 'not seen whole'];
    }

    /**
     * @param list<array{int, list<array{float, float}>}> $shapes
     * @param list<array{float, float}> $corners
     */
    #[DataProvider('unclear')]
    public function testWhatCannotBeMeasuredIsSaid(array $shapes, array $corners, int $table, string $why): void
    {
        $this->expectException(UnclearPicture::class);
        $this->expectExceptionMessage($why);
        ScrapOnSheet::measured(self::picture($corners, $shapes, table: $table), Size::ofSixteenths(136, 176));
    }

    public function testTheSmallestBoxIsTurnedAsItsPointsAre(): void
    {
        mt_srand(8);
        for ($case = 0; $case < 40; ++$case) {
            $turn = mt_rand(0, 628) / 100;
            [$width, $height] = [mt_rand(5, 90), mt_rand(5, 90)];
            $points = self::box(mt_rand(0, 9), mt_rand(0, 9), $width, $height, $turn);
            $box = SmallestBox::around([...$points, [array_sum(array_column($points, 0)) / 4, array_sum(array_column($points, 1)) / 4]]);
            self::assertEqualsWithDelta(min($width, $height), min($box->width, $box->height), 1e-6);
            self::assertEqualsWithDelta(max($width, $height), max($box->width, $box->height), 1e-6);
        }
    }
}
